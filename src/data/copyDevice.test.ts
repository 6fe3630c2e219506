import { randomBytes } from 'node:crypto'
import { openTestDatabase } from '@tests/database'
import { readBinaryCopy, writeBinaryCopy } from './binaryCopy'
import type { Database } from './connection'

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
