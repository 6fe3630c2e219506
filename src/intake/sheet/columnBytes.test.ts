import { bytesOfColumn, columnOfBytes, packColumns, unpackColumns } from './columnBytes'
import { CHUNK_LENGTH, type Column } from './columns'

test('doubles stand with the lowest byte first, a missing one as a NaN', () => {
  const column: Column = {
    kind: 'number',
    name: 'a',
    chunks: [Float64Array.of(1, Number.NaN)],
    length: 2,
    missing: 1,
  }
  const [bytes] = bytesOfColumn(column).chunks
  expect(Array.from(bytes!.subarray(0, 8))).toEqual([0, 0, 0, 0, 0, 0, 0xf0, 0x3f])
  expect(columnOfBytes(bytesOfColumn(column))).toEqual(column)
})

test('bytes that begin where no double can are read all the same', () => {
  const column: Column = {
    kind: 'number',
    name: 'a',
    chunks: [Float64Array.of(14.93)],
    length: 1,
    missing: 0,
  }
  const { head, chunks } = bytesOfColumn(column)
  const shifted = new Uint8Array(9)
  shifted.set([...chunks][0]!, 1)
  expect(columnOfBytes({ head, chunks: [shifted.subarray(1)] })).toEqual(column)
})

test('bytes in a Buffer, which is a view of others, are read as they are', () => {
  const column: Column = {
    kind: 'number',
    name: 'a',
    chunks: [Float64Array.of(1.5, 2)],
    length: 2,
    missing: 0,
  }
  const { head, chunks } = bytesOfColumn(column)
  expect(columnOfBytes({ head, chunks: Array.from(chunks, (bytes) => Buffer.from(bytes)) })).toEqual(column)
})

test('a text that begins with a byte order mark keeps it', () => {
  const texts = ['\ufeff4', '4', '\ufeff']
  const note: Column = { kind: 'text', name: 'note', texts, length: 3, missing: 0 }
  expect(columnOfBytes(bytesOfColumn(note))).toEqual(note)
})

test('texts are cut into chunks of their own, and packed columns are taken apart one by one', () => {
  const texts = Array.from({ length: CHUNK_LENGTH + 2 }, (_, row) => `note ${row}`)
  const note: Column = { kind: 'text', name: 'note', texts, length: texts.length, missing: 0 }
  const empty: Column = { kind: 'category', name: 'none', chunks: [], dictionary: [], length: 0, missing: 0 }
  const columns = [note, empty].map(bytesOfColumn)
  expect([...columns[0]!.chunks]).toHaveLength(2)
  const parts = packColumns(columns)
  const packed = new Uint8Array(parts.reduce((sum, part) => sum + part.length, 0))
  let at = 0
  for (const part of parts) {
    packed.set(part, at)
    at += part.length
  }
  expect(unpackColumns(packed).map(columnOfBytes)).toEqual([note, empty])
})
