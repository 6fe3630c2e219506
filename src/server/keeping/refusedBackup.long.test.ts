import { backedUpTestDatabase, caseFilesOf, changed, manifest, withCopies, written } from '@tests/backupFile'
import { mkdtempSync, readdirSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { readBinaryCopy, writeBinaryCopy } from '@/data/binaryCopy'
import type { Database } from '@/data/client'
import { BACKUP_VERSION } from './backupManifest'
import { restore } from './restore'

const now = new Date('2026-11-05T08:00:00Z')
let full: Database
let file: string
beforeAll(async () => {
  ;({ database: full, file } = await backedUpTestDatabase())
})
afterAll(() => full?.close())

const firstTable = (entries: Record<string, Uint8Array>) =>
  Object.keys(entries).find((name) => name.startsWith('tables/'))!

/** A copy without any row: the beginning and the end of PostgreSQL's binary form. */
const NO_ROWS = Buffer.concat([
  Buffer.from('PGCOPY\n\xff\r\n\0', 'latin1'),
  Buffer.alloc(8),
  Buffer.from([0xff, 0xff]),
])

const without = (table: string) =>
  withCopies(file, (copies) =>
    copies.splice(0, copies.length, ...copies.filter((copy) => copy.table !== table)),
  )
const emptied = (table: string) =>
  withCopies(file, (copies, entries) => {
    for (const copy of copies) if (copy.table === table) entries[copy.path] = NO_ROWS
  })
/** Every column with one more cell than its sheet has rows. */
const lengthened = () =>
  withCopies(file, (copies, entries) => {
    for (const { path: place } of copies.filter((copy) => copy.table === 'column_chunks')) {
      const rows = readBinaryCopy(entries[place]!).map((row) => [...row])
      for (const row of rows) row.push(Buffer.concat([row.pop()!, Buffer.alloc(8)]))
      entries[place] = Buffer.concat(writeBinaryCopy(rows))
    }
  })

test.each<readonly [string, () => Uint8Array, string]>([
  ['no table at all', () => withCopies(file, (copies) => copies.splice(0)), 'no copy of the table cases'],
  ['no signed findings', () => without('findings'), 'no copy of the table findings'],
  ['no trail', () => without('trail_entries'), 'no copy of the table trail_entries'],
  ['a trail without entries', () => emptied('trail_entries'), 'does not hold'],
  ['no cells', () => without('column_chunks'), 'cells and not 3'],
  ['more cells than rows', lengthened, 'cells and not 3'],
  ['cells of no sample', () => emptied('samples'), 'a table in it is malformed'],
  [
    'a table that is none inside',
    () => withCopies(file, (copies, entries) => (entries[copies[0]!.path] = Buffer.from('hello'))),
    'a table in it is malformed',
  ],
  [
    'a manifest that says something twice',
    () =>
      changed(
        file,
        manifest((text) => text.replace('"madeAt"', '"madeAt": "2026-01-01T00:00:00.000Z", "madeAt"')),
      ),
    'its backup.json is missing, or is not as it has to be',
  ],
  [
    'a backup of a later version',
    () =>
      changed(
        file,
        manifest((text) => text.replace(`"version": ${BACKUP_VERSION}`, `"version": ${BACKUP_VERSION + 1}`)),
      ),
    `it is of version ${BACKUP_VERSION + 1}`,
  ],
  [
    'a damaged manifest',
    () => {
      const bytes = readFileSync(file)
      const begin = bytes.indexOf('backup.json') + 'backup.json'.length
      return bytes.fill(255, begin + 20, begin + 120)
    },
    'backup.json is damaged',
  ],
  [
    'an altered table',
    () => changed(file, (entries) => (entries[firstTable(entries)]![40]! ^= 1)),
    'was altered',
  ],
  ['a missing table', () => changed(file, (entries) => delete entries[firstTable(entries)]), 'is missing'],
  [
    'a file of a later version',
    () =>
      changed(
        file,
        manifest((text) => text.replace('"reference"', '"colour"')),
      ),
    'a later version',
  ],
  [
    'a table that is none',
    () =>
      changed(
        file,
        manifest((text) => text.replace('"cases"', '"users"')),
      ),
    'not as it has to be',
  ],
  [
    'a statement for a name',
    () =>
      changed(
        file,
        manifest((text) => text.replace('"reference"', '"x\\"; drop table cases; --"')),
      ),
    'not as it has to be',
  ],
  [
    'a path out of the file',
    () => changed(file, (entries) => (entries['../x'] = Uint8Array.of(1))),
    'has no place',
  ],
  ['a file that is none', () => new TextEncoder().encode('hello'), 'no ZIP file'],
])(
  'refuses %s, and leaves everything as it is',
  async (_, make, message) => {
    const before = await caseFilesOf(full)
    const own = mkdtempSync(path.join(tmpdir(), 'true-weight-backup-'))
    const refused = await restore(full, written(make()), { folder: own, now })
    expect(readdirSync(own)).toEqual([])
    expect(refused.ok || refused.problem.message).toContain(message)
    expect(await caseFilesOf(full)).toEqual(before)
  },
  60_000,
)
