import { readBody } from './answer'

const LARGEST = 32 * 1024 * 1024
const sent = (length: number | undefined, body = '{"a":1}') =>
  new Request('http://localhost/', {
    method: 'POST',
    body,
    headers: length === undefined ? {} : { 'content-length': String(length) },
  })

test('a body is read up to the largest that is taken, and one byte more is refused', async () => {
  expect(await readBody(sent(LARGEST))).toEqual({ ok: true, value: { a: 1 } })
  expect(await readBody(sent(LARGEST + 1))).toMatchObject({ ok: false, problem: { code: 'too-large' } })
  expect(await readBody(sent(undefined))).toMatchObject({ ok: false, problem: { code: 'too-large' } })
})

test('what is no JSON is refused as such', async () => {
  expect(await readBody(sent(3, '{,}'))).toMatchObject({ ok: false, problem: { code: 'not-json' } })
})
