import { randomBytes } from 'node:crypto'
import { buffer } from 'node:stream/consumers'
import { openTestDatabase } from '@tests/database'
import { count, eq } from 'drizzle-orm'
import fc from 'fast-check'
import { v7 as uuidv7 } from 'uuid'
import type { ColumnBytes } from '@/desk/columnBytes'
import { EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { bytesOfColumn, columnOfBytes, packColumns, unpackColumns } from '@/intake/sheet/columnBytes'
import { CHUNK_LENGTH, type Column } from '@/intake/sheet/columns'
import { insertCase, removeCase } from './caseRepository'
import { insertFile, isFileKept, readPackedFile } from './fileRepository'
import type { Database } from './client'
import { findColumnHeads, insertColumns, readColumn } from './sheetRepository'
import { columnChunks, samples } from './schema'
import { insertSample } from './sampleRepository'

const now = new Date('2026-11-03T10:42:00Z')
let db: Database
beforeAll(async () => {
  db = await openTestDatabase()
})
afterAll(() => db.close())

async function newSample(id = uuidv7()): Promise<string> {
  const caseId = uuidv7()
  const words = { reference: '', subject: '', party: '', createdAt: now, updatedAt: now }
  await insertCase(db, { id: caseId, ...words })
  await insertSample(db, { id, caseId, draft: EMPTY_SAMPLE, now })
  return id
}

const store = (id: string, columns: readonly ColumnBytes[]) =>
  db.inTransaction((connection) => insertColumns(connection, id, columns))

const columnOf = (...cells: number[]): Column => ({
  kind: 'number',
  name: 'a',
  chunks: [Float64Array.from(cells)],
  length: cells.length,
  missing: 0,
})

async function stored(id: string, names?: readonly string[]): Promise<readonly Column[]> {
  const heads = await findColumnHeads(db, id, names)
  return Promise.all(heads.map(async (head) => columnOfBytes(await readColumn(db, id, head))))
}

const double = fc.oneof(fc.double({ noNaN: true }), fc.constant(Number.NaN))
const columns: fc.Arbitrary<readonly Column[]> = fc
  .array(double, { minLength: 1, maxLength: 40 })
  .chain((cells) => {
    const length = cells.length
    const texts = fc.array(fc.string({ unit: 'grapheme' }), { minLength: length, maxLength: length })
    const codes = fc.array(fc.integer({ min: 0, max: 2 }), { minLength: length, maxLength: length })
    return fc.tuple(texts, codes).map(([words, numbers]): readonly Column[] => [
      { kind: 'number', name: 'a', chunks: [Float64Array.from(cells)], length, missing: 0 },
      {
        kind: 'category',
        name: 'b, “b”',
        chunks: [Uint16Array.from(numbers)],
        dictionary: ['x', 'ÿ'],
        length,
        missing: 1,
      },
      { kind: 'text', name: 'c', texts: words, length, missing: 2 },
      { kind: 'date', name: 'd', chunks: [Float64Array.from(cells)], length, missing: 0 },
    ])
  })

test('what is stored comes back bit by bit, and so does what is sent', async () => {
  await fc.assert(
    fc.asyncProperty(columns, async (made) => {
      const id = await newSample()
      const bytes = made.map(bytesOfColumn)
      await store(id, bytes)
      expect(await stored(id)).toEqual(made)
      const sent = new Uint8Array(await new Blob([...packColumns(bytes)] as BlobPart[]).arrayBuffer())
      expect(unpackColumns(sent).map(columnOfBytes)).toEqual(made)
    }),
    { numRuns: 30 },
  )
})

test('a column longer than a chunk is kept in chunks, and read without the others', async () => {
  const id = await newSample()
  const length = 2 * CHUNK_LENGTH + 3
  const cells = Float64Array.from({ length }, (_, row) => row / 7)
  const chunks = [0, 1, 2].map((at) => cells.slice(at * CHUNK_LENGTH, (at + 1) * CHUNK_LENGTH))
  const made: Column = { kind: 'number', name: 'long', chunks, length, missing: 0 }
  const other: Column = {
    kind: 'text',
    name: 'other',
    texts: Array.from({ length }, () => 'x'),
    length,
    missing: 0,
  }
  await store(id, [other, made].map(bytesOfColumn))
  expect(await stored(id, ['long'])).toEqual([made])
  expect(await db.select({ n: count() }).from(columnChunks).where(eq(columnChunks.sampleId, id))).toEqual([
    { n: 6 },
  ])
})

test('a column that was read lately is not copied out of the database again', async () => {
  const id = await newSample()
  await store(id, [columnOf(1, 2), { ...columnOf(3), name: 'b' }].map(bytesOfColumn))
  const read = () =>
    db.inSnapshot(async (connection) => {
      const copyOut = jest.spyOn(connection, 'copyOut')
      const [head] = await findColumnHeads(connection, id, ['a'])
      const column = columnOfBytes(await readColumn(connection, id, head!))
      return { column, copies: copyOut.mock.calls.length }
    })
  expect(await read()).toEqual({ column: columnOf(1, 2), copies: 1 })
  expect(await read()).toEqual({ column: columnOf(1, 2), copies: 0 })
  expect(await stored(id)).toEqual([columnOf(1, 2), { ...columnOf(3), name: 'b' }])
})

test('a column that is stored anew in the place of another is read anew', async () => {
  const id = await newSample()
  await store(id, [bytesOfColumn(columnOf(1, 2))])
  expect(await stored(id)).toEqual([columnOf(1, 2)])
  const [sample] = await db.select().from(samples).where(eq(samples.id, id))
  await removeCase(db, sample!.caseId)
  await newSample(id)
  await store(id, [bytesOfColumn(columnOf(1, 3))])
  expect(await stored(id)).toEqual([columnOf(1, 3)])
})

test('a transaction that fails in the middle of a copy leaves nothing behind', async () => {
  const id = await newSample()
  const failing = db.inTransaction(async (connection) => {
    await insertColumns(connection, id, [bytesOfColumn(columnOf(1))])
    throw new Error('stopped')
  })
  await expect(failing).rejects.toThrow('stopped')
  expect(await stored(id)).toEqual([])
})

test('a column of more cells than are copied at once keeps their order, and tells how far it is', async () => {
  const id = await newSample()
  const chunks = Array.from({ length: 18 }, (_, at) => new Float64Array(CHUNK_LENGTH).fill(at))
  const long: Column = { kind: 'number', name: 'long', chunks, length: 18 * CHUNK_LENGTH, missing: 0 }
  const short: Column = { ...long, name: 'short', chunks: chunks.slice(0, 1), length: CHUNK_LENGTH }
  const shares: number[] = []
  await db.inTransaction((connection) =>
    insertColumns(connection, id, [long, short].map(bytesOfColumn), async (share) => {
      shares.push(share)
    }),
  )
  expect(await stored(id)).toEqual([long, short])
  expect(shares).toEqual([0, 0, 0.5, 0.5, 1])
})

test('a file of more pieces than are read at once comes back byte for byte, and one that was not kept is told', async () => {
  const [id, other] = [await newSample(), await newSample()]
  const packed = randomBytes(17.5 * 1024 * 1024)
  await db.inTransaction((connection) =>
    insertFile(connection, id, [packed.subarray(0, 5), packed.subarray(5)]),
  )
  expect((await buffer(readPackedFile(db, id))).equals(packed)).toBe(true)
  expect(await buffer(readPackedFile(db, other))).toHaveLength(0)
  expect([await isFileKept(db, id), await isFileKept(db, other)]).toEqual([true, false])
})
