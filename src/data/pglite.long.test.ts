import { randomBytes } from 'node:crypto'
import { chmodSync, cpSync, mkdtempSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { writeBinaryCopy } from './binaryCopy'
import type { Connection } from './connection'
import { openFolder } from './pglite'

const newFolder = () => mkdtempSync(path.join(tmpdir(), 'true-weight-folder-'))

function modesIn(folder: string): readonly string[] {
  const all = readdirSync(folder, { recursive: true, withFileTypes: true })
  return [
    ...new Set(
      all.map((entry) => {
        const mode = statSync(path.join(entry.parentPath, entry.name)).mode & 0o777
        return `${entry.isDirectory() ? 'folder' : 'file'} ${mode.toString(8)}`
      }),
    ),
  ].toSorted()
}

test('the data folder is its owner’s alone, also one that was open to others', async () => {
  const folder = path.join(newFolder(), 'data')
  const first = await openFolder(folder)
  const own = ['file 600', 'folder 700']
  expect(modesIn(folder)).toEqual(own)
  expect(statSync(folder).mode & 0o777).toBe(0o700)
  await first.close()
  chmodSync(folder, 0o777)
  chmodSync(path.join(folder, 'postgres/base'), 0o777)
  chmodSync(path.join(folder, 'postgres/PG_VERSION'), 0o666)
  writeFileSync(path.join(folder, 'before-restore-2026.zip'), '', { mode: 0o666 })
  chmodSync(path.join(folder, 'before-restore-2026.zip'), 0o666)
  const second = await openFolder(folder)
  await second.execute('create table one (x int)')
  expect(modesIn(folder)).toEqual(own)
  expect(statSync(folder).mode & 0o777).toBe(0o700)
  await second.close()
}, 60_000)

test('what is somebody else’s in the folder is left as it is', async () => {
  const folder = newFolder()
  chmodSync(folder, 0o755)
  const other = path.join(folder, 'program')
  writeFileSync(other, '')
  chmodSync(other, 0o755)
  const database = await openFolder(folder)
  expect(statSync(other).mode & 0o777).toBe(0o755)
  expect(statSync(folder).mode & 0o777).toBe(0o755)
  expect(statSync(path.join(folder, 'postgres')).mode & 0o777).toBe(0o700)
  await database.close()
}, 60_000)

test('what was copied and taken back gives its room on the disk back', async () => {
  const database = await openFolder(path.join(newFolder(), 'data'))
  await database.execute('create table "large" ("bytes" bytea)')
  const copied = (connection: Connection) =>
    connection.copyIn('"large" ("bytes")', writeBinaryCopy([[randomBytes(4 * 1024 * 1024)]]))
  const size = async () => {
    const { rows } = (await database.execute(
      `select pg_total_relation_size('"large"')::int as size`,
    )) as unknown as Readonly<{ rows: readonly [Readonly<{ size: number }>] }>
    return rows[0].size
  }
  const empty = await size()
  const failing = database.inTransaction(async (connection) => {
    await copied(connection)
    throw new Error('given up')
  })
  await expect(failing).rejects.toThrow('given up')
  expect(await size()).toBeLessThan(empty + 100_000)
  await database.inTransaction(copied)
  expect(await size()).toBeGreaterThan(4_000_000)
  await database.close()
}, 60_000)

test('commits are synced, and a folder that was made is not made again', async () => {
  const folder = newFolder()
  const first = await openFolder(folder)
  const shown = await first.execute(
    "select name, setting from pg_settings where name in ('fsync', 'shared_buffers', 'wal_sync_method') order by name",
  )
  expect(shown).toMatchObject({
    rows: [
      { name: 'fsync', setting: 'on' },
      // Of 8 kB each: what a server holds in memory rests on it.
      { name: 'shared_buffers', setting: '4096' },
      { name: 'wal_sync_method', setting: 'fsync' },
    ],
  })
  await first.execute('create table one (x int)')
  await first.close()
  expect(readdirSync(folder).toSorted()).toEqual(['postgres', 'reserve'])
  const second = await openFolder(folder)
  expect(await second.execute('select count(*)::int as n from one')).toMatchObject({ rows: [{ n: 0 }] })
  await second.close()
}, 60_000)

test('a new folder begins with a copy of the empty database that is named', async () => {
  const folder = newFolder()
  const empty = process.env.TRUE_WEIGHT_NEW_DATABASE
  const own = path.join(newFolder(), 'empty')
  cpSync(empty!, own, { recursive: true })
  writeFileSync(path.join(own, 'base/of-this-one'), 'its own')
  process.env.TRUE_WEIGHT_NEW_DATABASE = own
  try {
    await (await openFolder(folder)).close()
  } finally {
    process.env.TRUE_WEIGHT_NEW_DATABASE = empty
  }
  expect(readFileSync(path.join(folder, 'postgres/base/of-this-one'), 'utf8')).toBe('its own')
}, 60_000)

test('the empty database can be read by whoever serves, also where somebody else built', () => {
  expect(modesIn(process.env.TRUE_WEIGHT_NEW_DATABASE!)).toEqual(['file 644', 'folder 755'])
})

test('a folder that was left while its tables were made is begun anew', async () => {
  const folder = newFolder()
  await (await openFolder(folder)).close()
  writeFileSync(path.join(folder, 'postgres-is-being-made'), '')
  writeFileSync(path.join(folder, 'postgres/PG_VERSION'), '')
  const database = await openFolder(folder)
  expect(await database.query.cases.findMany()).toEqual([])
  await database.close()
}, 60_000)
