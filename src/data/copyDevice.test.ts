import { randomBytes } from 'node:crypto'
import type { PGlite } from '@electric-sql/pglite'
import { openTestDatabase } from '@tests/database'
import { readBinaryCopy, writeBinaryCopy } from './binaryCopy'
import type { Database } from './connection'
import { CopyDevice } from './copyDevice'

let db: Database
beforeAll(async () => {
  db = await openTestDatabase()
  await db.execute('create table "copied" ("bytes" bytea)')
})
afterAll(() => db.close())
beforeEach(() => db.execute('truncate "copied"'))

const copyIn = (parts: readonly Uint8Array[]) => db.copyIn('"copied" ("bytes")', parts)
const stored = async () => readBinaryCopy(await db.copyOut('"copied" ("bytes")')).map(([bytes]) => bytes!)

test.each([
  ['few bytes', [3, 0, 1]],
  ['more than is read at once', [65_535, 65_536, 65_537, 1_000_003]],
])('%s are stored as they were given', async (_, lengths) => {
  const fields = lengths.map((length) => randomBytes(length))
  await copyIn(writeBinaryCopy(fields.map((field) => [field])))
  expect(Buffer.compare(Buffer.concat(await stored()), Buffer.concat(fields))).toBe(0)
})

test('parts may end anywhere, and several copies may be asked for at once', async () => {
  const fields = [randomBytes(100_000), randomBytes(200_000)]
  const [one, other] = fields.map((field) => Buffer.concat(writeBinaryCopy([[field]])))
  const inSevens = Array.from({ length: Math.ceil(one!.length / 7) }, (_, at) =>
    one!.subarray(7 * at, 7 * at + 7),
  )
  await Promise.all([copyIn(inSevens), copyIn([other!])])
  const lengths = (await stored()).map(({ length }) => length)
  expect(lengths.toSorted()).toEqual([100_000, 200_000])
  const all = Buffer.concat(await stored())
  expect(fields.every((field) => all.includes(field))).toBe(true)
})

test('a copy that is cut short stores nothing, and the next one is whole', async () => {
  const whole = Buffer.concat(writeBinaryCopy([[randomBytes(300_000)]]))
  await expect(copyIn([whole.subarray(0, 150_000)])).rejects.toThrow()
  expect(await stored()).toEqual([])
  await copyIn([whole])
  expect((await stored()).map(({ length }) => length)).toEqual([300_000])
})

test('nothing of a copy is left once it is over, whether it came about or not', async () => {
  const there = new Set<string>()
  type Write = (stream: object, memory: Int8Array, at: number, length: number) => number
  let write: Write | undefined
  const files = {
    makedev: () => 1,
    registerDevice: (_: number, operations: Readonly<{ write: Write }>) => void (write = operations.write),
    mkdev: (path: string) => there.add(path),
    unlink: (path: string) => there.delete(path),
  }
  const device = new CopyDevice({ Module: { FS: files } } as unknown as PGlite)
  const writeTo = (path: string) =>
    write!({ node: { name: path.replace('/dev/', '') } }, Int8Array.of(1, 2, 3), 1, 2)
  let path = ''
  const copy = async (given: string) => {
    path = given
    writeTo(path)
    expect([...there]).toEqual([path])
  }
  expect([...(await device.written(copy))]).toEqual([2, 3])
  expect(there.size).toBe(0)
  expect(() => writeTo(path)).toThrow(TypeError)
  const failing = device.written(async (given) => {
    await copy(given)
    throw new Error('stopped')
  })
  await expect(failing).rejects.toThrow('stopped')
  expect(there.size).toBe(0)
  expect(() => writeTo(path)).toThrow(TypeError)
})
