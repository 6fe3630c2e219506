import { unlessFull } from './transaction'

test.each([
  ['the embedded database', Object.assign(new Error('full'), { name: 'DiskFull' })],
  [
    'a PostgreSQL server',
    new Error('failed', { cause: Object.assign(new Error('full'), { code: '53100' }) }),
  ],
  ['the folder of a scratch file', Object.assign(new Error('full'), { code: 'ENOSPC' })],
])('a disk that is full is told in words, where %s says so', async (_, error) => {
  const outcome = await unlessFull(() => Promise.reject(error))
  expect(outcome).toMatchObject({ ok: false, problem: { code: 'disk-full' } })
})

test('any other error is thrown on', async () => {
  const error = Object.assign(new Error('no such file'), { code: 'ENOENT' })
  await expect(unlessFull(() => Promise.reject(error))).rejects.toBe(error)
})
