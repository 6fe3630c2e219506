import fc from 'fast-check'
import { inCopies, readBinaryCopy, writeBinaryCopy } from './binaryCopy'

const joined = (parts: readonly Uint8Array[]) => Uint8Array.from(parts.flatMap((part) => Array.from(part)))

test('a copy begins with the signature and ends with −1, as PostgreSQL’s manual has it', () => {
  const bytes = joined(writeBinaryCopy([[Uint8Array.of(7)]]))
  expect(new TextDecoder('latin1').decode(bytes.subarray(0, 11))).toBe('PGCOPY\n\u00ff\r\n\0')
  expect(Array.from(bytes.subarray(11))).toEqual([0, 0, 0, 0, 0, 0, 0, 0, 0, 1, 0, 0, 0, 1, 7, 255, 255])
  const none = joined(writeBinaryCopy([[null]]))
  expect(Array.from(none.subarray(19))).toEqual([0, 1, 255, 255, 255, 255, 255, 255])
})

test('what is written is read back, empty fields and no rows too', () => {
  const field = fc.uint8Array({ maxLength: 20 })
  fc.assert(
    fc.property(fc.array(fc.array(field, { maxLength: 4 }), { maxLength: 6 }), (rows) => {
      const read = readBinaryCopy(joined(writeBinaryCopy(rows)))
      expect(read.map((fields) => fields.map((one) => Array.from(one)))).toEqual(
        rows.map((fields) => fields.map((one) => Array.from(one))),
      )
    }),
  )
})

test('parts are copied by as many as have 8 MB, in their order, and none is left over', async () => {
  const megabytes = async (...sizes: readonly number[]) => {
    const parts = sizes.map((size) => new Uint8Array(size * 1024 * 1024))
    const copies = []
    for await (const some of inCopies(parts)) copies.push(some)
    expect(copies.flat()).toEqual(parts)
    return copies.map((some) => some.map(({ length }) => length / 1024 / 1024))
  }
  expect(await megabytes(5, 2, 3, 8, 1)).toEqual([[5, 2, 3], [8], [1]])
  expect(await megabytes(8)).toEqual([[8]])
  expect(await megabytes()).toEqual([])
})
