import fc from 'fast-check'
import { readLines } from './lines'

const WRITING = { mark: 'point', rules: [] } as const
const read = (text: string) => readLines(text, WRITING, false)
/** What another text leaves nothing of to be used. */
function readAnew(text: string) {
  readLines('', { ...WRITING, mark: 'comma' }, false)
  return read(text)
}

const text = fc
  .array(fc.constantFrom('1', '9', '.', ',', ' ', ';', '\t', 'x', '\n', '\n', '\r\n', '\r'), {
    maxLength: 30,
  })
  .map((pieces) => pieces.join(''))

test('a text is read alike whatever was read before it', () => {
  fc.assert(
    fc.property(text, text, text, text, (begin, middle, otherwise, end) => {
      const [before, after] = [begin + middle + end, begin + otherwise + end]
      const anew = readAnew(after)
      readAnew(before)
      expect(read(after)).toEqual(anew)
      expect(read(before)).toEqual(readAnew(before))
    }),
    { numRuns: 2000 },
  )
})

test('a line that begins before a key is read anew, one that ended before it is the same', () => {
  const before = read('1.5\n\n 2\n3')
  const after = read('1.5\n\n 2\n34\n5')
  expect(after.lines.map(({ line, start, reading }) => ({ line, start, reading }))).toEqual([
    { line: 1, start: 0, reading: { ok: true, value: 1.5 } },
    { line: 3, start: 6, reading: { ok: true, value: 2 } },
    { line: 4, start: 8, reading: { ok: true, value: 34 } },
    { line: 5, start: 11, reading: { ok: true, value: 5 } },
  ])
  expect(after.lines[1]).toBe(before.lines[1])
})

test('what is known of a list is still known once its beginning was read by itself', () => {
  const list = read('1\n2\n3\n4')
  expect(read('1\n2').lines).toHaveLength(2)
  expect(read('1\n2\n3\n45').lines[2]).toBe(list.lines[2])
})

test('another way of writing is read anew', () => {
  expect(read('1,5\n2').lines[0]!.reading.ok).toBe(false)
  expect(readLines('1,5\n2', { ...WRITING, mark: 'comma' }, false).lines[0]!.reading).toEqual({
    ok: true,
    value: 1.5,
  })
  const rules = [{ rule: 'missing', text: 'x' }] as const
  expect(read('x').lines[0]!.reading.ok).toBe(false)
  expect(readLines('x', { ...WRITING, rules }, false).lines[0]!.reading.ok).toBe(true)
})
