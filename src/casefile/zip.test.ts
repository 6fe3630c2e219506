import { strToU8, zipSync } from 'fflate'
import { MAX_UNPACKED, unzipped, type ZipEntry, zipped } from './zip'

async function packed(...entries: readonly ZipEntry[]): Promise<Uint8Array> {
  const given = (async function* () {
    yield* entries
  })()
  const pieces = []
  for await (const piece of zipped(given)) pieces.push(piece)
  return Buffer.concat(pieces)
}
const entry = (path: string, ...texts: readonly string[]): ZipEntry => ({
  path,
  pieces: texts.map((text) => strToU8(text)),
})
const all = () => true
const messageOf = (
  bytes: Uint8Array,
  isAllowed: (path: string) => boolean = all,
  limits?: Parameters<typeof unzipped>[2],
) => {
  const read = unzipped(bytes, isAllowed, limits)
  return read.ok ? 'taken' : read.problem.message
}

test('what is packed in pieces comes back whole', async () => {
  const read = unzipped(await packed(entry('a/b.txt', 'one ', 'two'), entry('empty.txt')), all)
  if (!read.ok) throw new Error(read.problem.message)
  expect([...read.value].map(([path, bytes]) => [path, Buffer.from(bytes).toString()])).toEqual([
    ['a/b.txt', 'one two'],
    ['empty.txt', ''],
  ])
})

test('the same entries give the same bytes, whenever they are packed', async () => {
  const [one, other] = [await packed(entry('a', 'x')), await packed(entry('a', 'x'))]
  expect(Buffer.compare(one, other)).toBe(0)
})

test('a path that has no place is refused, and named', () => {
  const bytes = zipSync({ '../../home/.profile': strToU8('x') })
  expect(messageOf(bytes, (path) => !path.includes('..'))).toContain('“../../home/.profile” has no place')
})

test('an entry that stands in it twice is refused', async () => {
  expect(messageOf(await packed(entry('a', 'x'), entry('a', 'y')))).toContain('“a” stands in it twice')
})

test('what would fill the memory is refused before it is unpacked', async () => {
  const bytes = zipSync({ a: new Uint8Array(3_000_000), b: new Uint8Array(3_000_000) })
  expect(bytes.length).toBeLessThan(20_000)
  expect(messageOf(bytes, all, { max: 5_000_000 })).toContain('unpacked it has more than')
  expect(messageOf(bytes, all, { max: MAX_UNPACKED })).toBe('taken')
})

test('what is packed better than measurements can be is refused where it is large', async () => {
  const zeros = zipSync({ a: new Uint8Array(140_000_000) })
  expect(messageOf(zeros)).toMatch(/unpacked it has \d{3,4} times its size/)
  expect(messageOf(zeros, all, { isOwn: true })).toBe('taken')
  expect(messageOf(zipSync({ a: new Uint8Array(100_000_000) }))).toBe('taken')
})

test('an entry that was damaged is named', async () => {
  const words = Array.from({ length: 5000 }, (_, at) => at.toString(36)).join(' ')
  const bytes = await packed(entry('first.txt', words), entry('second.txt', words))
  bytes.fill(255, bytes.length * 0.75, bytes.length * 0.75 + 200)
  expect(messageOf(bytes)).toMatch(/second\.txt is damaged \(/)
})

test('bytes that were damaged are refused', async () => {
  const bytes = await packed(entry('a', 'x'.repeat(10_000)))
  expect(messageOf(bytes.subarray(0, bytes.length - 10))).toMatch(/no ZIP file, or is damaged/)
})
