import { refusalOf } from './ownSite'

const request = (method: string, headers: Readonly<Record<string, string>>) =>
  new Request('http://127.0.0.1:4100/api/cases/x/samples', { method, headers })

afterEach(() => delete process.env.TRUE_WEIGHT_HOSTS)

test.each(['127.0.0.1:4100', 'localhost', '[::1]:80'])('the machine’s own name %s is answered', (host) => {
  expect(refusalOf(request('POST', { host, origin: `http://${host}` }))).toBeUndefined()
  expect(refusalOf(request('POST', { host }))).toBeUndefined()
})

test.each(['example.org', '127.0.0.1.example.org', 'localhost.evil:4100', ''])(
  'the name %p is refused',
  (host) => {
    expect(refusalOf(request('GET', { host }))).toContain('is not one that this server answers to')
  },
)

test('a name that was allowed is answered', () => {
  process.env.TRUE_WEIGHT_HOSTS = 'office.example'
  expect(refusalOf(request('GET', { host: 'office.example' }))).toBeUndefined()
})

test('another site may look, and change nothing', () => {
  const headers = { host: 'localhost:4100', origin: 'http://evil.example' }
  expect(refusalOf(request('GET', headers))).toBeUndefined()
  expect(refusalOf(request('POST', headers))).toContain('may not change anything here')
  expect(refusalOf(request('POST', { ...headers, origin: 'null' }))).toContain('may not change anything here')
})

test('a name is the same in capitals', () => {
  process.env.TRUE_WEIGHT_HOSTS = 'Office.example'
  expect(
    refusalOf(request('POST', { host: 'OFFICE.example', origin: 'http://office.EXAMPLE' })),
  ).toBeUndefined()
  expect(refusalOf(request('GET', { host: 'LOCALHOST:4100' }))).toBeUndefined()
})

test('a browser that says that a page of another site asks is believed', () => {
  const host = 'localhost:4100'
  for (const site of ['cross-site', 'same-site'])
    expect(refusalOf(request('POST', { host, 'sec-fetch-site': site }))).toContain(
      'may not change anything here',
    )
  expect(refusalOf(request('POST', { host, 'sec-fetch-site': 'same-origin' }))).toBeUndefined()
})
