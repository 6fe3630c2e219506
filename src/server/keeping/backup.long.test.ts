import { openTestDatabase } from '@tests/database'
import { newKey, proofOf } from '@tests/keys'
import { valueOf } from '@tests/outcome'
import { keyEntries } from '@/data/schema'
import { enterKey, readRegister } from '../keys/keys'
import { createHash } from 'node:crypto'
import { mkdtempSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { setImmediate } from 'node:timers/promises'
import { unzipSync, zipSync } from 'fflate'
import type { Database } from '@/data/client'
import { readBinaryCopy, writeBinaryCopy } from '@/data/binaryCopy'
import { findColumnHeads, readColumn } from '@/data/sheetRepository'
import { TABLES } from '@/data/tableCopies'
import { EMPTY_OFFICE } from '@/desk/office'
import { backUp } from './backup'
import { restore } from './restore'
import { CHUNK_LENGTH } from '@/intake/sheet/columns'
import { importSheet } from '../sample/importSheet'
import { exportCase } from './caseFile'
import { openCase, saveCase } from '../case/changeCase'
import { readCase } from '../docket/docket'
import { readOffice, saveOffice } from '../office/office'
import { readSeals, sealTrail } from '../seal/sealTrail'
import { BACKUP_VERSION } from './backupManifest'
import { readTrail } from '../case/readTrail'

const now = new Date('2026-11-05T08:00:00Z')
const later = new Date('2026-11-06T08:00:00Z')
const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }
const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-backup-'))
const file = path.join(folder, 'backup.zip')

/** A file of its own with such bytes. */
function written(bytes: Uint8Array): string {
  const place = path.join(mkdtempSync(path.join(tmpdir(), 'true-weight-backup-')), 'given.zip')
  writeFileSync(place, bytes)
  return place
}

let [full, empty]: Database[] = []
beforeAll(async () => {
  ;[full, empty] = [await openTestDatabase(), await openTestDatabase()]
  kept.trueWeightDatabase = Promise.resolve(full!)
  for (const by of ['A. Officer', 'B. Weigher']) {
    const { caseId } = await openCase({ by, now })
    const body = (async function* () {
      yield new TextEncoder().encode('depot,mass,note\n7,14.1,"a, b"\n8,15.2,\n7,14.2,=c\n')
    })()
    const brought = await importSheet(full!, { caseId, fileName: 'log.csv', by, body }, now)
    if (!brought.ok) throw new Error(brought.problem.message)
  }
  await backUp(full!, file, now)
})
afterAll(async () => {
  await full?.close()
  await empty?.close()
})

async function caseFilesOf(database: Database) {
  kept.trueWeightDatabase = Promise.resolve(database)
  const files = []
  for (const { id } of await database.query.cases.findMany({ orderBy: (row) => row.id })) {
    const exported = await exportCase(id)
    if (!exported.ok) throw new Error(exported.problem.message)
    const pieces = []
    for await (const piece of exported.value.bytes) pieces.push(piece)
    files.push(Buffer.concat(pieces).toString('base64'))
  }
  return files
}

test('what is restored elsewhere is what was backed up, to the last byte of every case', async () => {
  const restored = await restore(empty!, file, { folder, now })
  expect(restored).toEqual({ ok: true, value: { madeAt: now.toISOString(), cases: 2, dropped: 0 } })
  expect(await caseFilesOf(empty!)).toEqual(await caseFilesOf(full!))
})

test('what was there before is backed up first, and can be restored in its turn', async () => {
  kept.trueWeightDatabase = Promise.resolve(empty!)
  const { caseId } = await openCase({ by: 'A. Officer', now: later })
  const restored = await restore(empty!, file, { folder, now: later })
  if (!restored.ok) throw new Error(restored.problem.message)
  expect(restored.value.cases).toBe(2)
  const again = await restore(empty!, restored.value.keptAs!, { folder, now })
  expect(again).toMatchObject({ ok: true, value: { cases: 3 } })
  expect(await readTrail(caseId, { page: 0, pageSize: 1 })).toMatchObject({
    verdict: { holds: true },
    total: 3,
  })
})

test('a backup of version 3, which has no seals, takes the place of cases that have some', async () => {
  const own = await openTestDatabase()
  kept.trueWeightDatabase = Promise.resolve(own)
  const { caseId } = await openCase({ by: 'A. Officer', now }, { subject: 'Sacks' })
  expect(await sealTrail(caseId, { by: 'A. Officer', now })).toMatchObject({ ok: true })
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-backup-'))
  const entries = unzipSync(
    withCopies((copies) =>
      copies.splice(
        0,
        copies.length,
        ...copies.filter(({ table }) => !['seals', 'instruments', 'control_plans', 'office'].includes(table)),
      ),
    ),
  )
  manifest((text) => text.replace(`"version":${BACKUP_VERSION}`, '"version":3'))(entries)
  const restored = await restore(own, written(zipSync(entries)), { folder, now: later })
  expect(restored.ok || restored.problem.message).toBe(true)
  expect(await readCase(caseId)).toBeUndefined()
  // The seal is in what was there before, with its case.
  const keptAs = restored.ok ? restored.value.keptAs! : ''
  expect(await restore(own, keptAs, { folder, now })).toMatchObject({ ok: true })
  expect(await readSeals(caseId)).toHaveLength(1)
  await own.close()
})

test('a backup of version 7, which knows nothing of the office, leaves what it says of itself as it stands', async () => {
  const own = await openTestDatabase()
  kept.trueWeightDatabase = Promise.resolve(own)
  const words = { ...EMPTY_OFFICE, office: 'Skerrow Fair Measures Office' }
  expect(await saveOffice({ words, by: '' }, now)).toMatchObject({ ok: true })
  const entries = unzipSync(
    withCopies((copies) =>
      copies.splice(0, copies.length, ...copies.filter(({ table }) => table !== 'office')),
    ),
  )
  manifest((text) => text.replace(`"version":${BACKUP_VERSION}`, '"version":7'))(entries)
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-backup-'))
  const restored = await restore(own, written(zipSync(entries)), { folder, now: later })
  expect(restored.ok || restored.problem.message).toBe(true)
  expect(await readOffice()).toMatchObject(words)
  await own.close()
})

test('the register of keys is restored with the rest, and stays where a backup knows nothing of it', async () => {
  const [before, after] = [await openTestDatabase(), await openTestDatabase()]
  const own = newKey('A. Officer')
  kept.trueWeightDatabase = Promise.resolve(before)
  expect(await enterKey({ proof: proofOf(own, now.toISOString()) }, now)).toMatchObject({ ok: true })
  const place = path.join(mkdtempSync(path.join(tmpdir(), 'true-weight-backup-')), 'keys.zip')
  await backUp(before, place, now)
  expect(await restore(after, place, { folder: path.dirname(place), now })).toMatchObject({
    ok: true,
  })
  kept.trueWeightDatabase = Promise.resolve(after)
  expect((await readRegister()).keys).toMatchObject([{ key: own.key, name: 'A. Officer' }])
  const newer = ['key_entries', 'file_chunks', 'seals', 'instruments', 'control_plans', 'office']
  const older = withCopies((copies) =>
    copies.splice(0, copies.length, ...copies.filter(({ table }) => !newer.includes(table))),
  )
  const entries = unzipSync(older)
  manifest((text) => text.replace(`"version":${BACKUP_VERSION}`, '"version":2'))(entries)
  const restored = await restore(after, written(zipSync(entries)), {
    folder: path.dirname(place),
    now: later,
  })
  expect(restored.ok || restored.problem.message).toBe(true)
  expect((await readRegister()).keys).toMatchObject([{ key: own.key }])
  await before.update(keyEntries).set({ name: 'C. Officer' })
  const forged = `${place}.forged`
  await backUp(before, forged, now)
  expect(
    await restore(after, forged, {
      folder: path.dirname(place),
      now: new Date('2026-11-09T08:00:00Z'),
    }),
  ).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('entry 1 of the register of keys is not what was written') },
  })
  await before.close()
  await after.close()
})

test('a backup is nobody else’s to read, and is not written over', async () => {
  expect(statSync(file).mode & 0o077).toBe(0)
  await expect(backUp(full!, file, now)).rejects.toMatchObject({ code: 'EEXIST' })
})

const changed = (change: (entries: Record<string, Uint8Array>) => void) => {
  const entries = unzipSync(readFileSync(file))
  change(entries)
  return zipSync(entries)
}
const manifest = (edit: (text: string) => string) => (entries: Record<string, Uint8Array>) => {
  entries['backup.json'] = new TextEncoder().encode(edit(new TextDecoder().decode(entries['backup.json'])))
}
const firstTable = (entries: Record<string, Uint8Array>) =>
  Object.keys(entries).find((name) => name.startsWith('tables/'))!

/** A copy without any row: the beginning and the end of PostgreSQL's binary form. */
const NO_ROWS = Buffer.concat([
  Buffer.from('PGCOPY\n\xff\r\n\0', 'latin1'),
  Buffer.alloc(8),
  Buffer.from([0xff, 0xff]),
])

/** The backup with other copies, and a manifest that states their hashes. */
const withCopies = (
  change: (
    copies: { path: string; table: string; bytes: number; sha256: string }[],
    entries: Record<string, Uint8Array>,
  ) => void,
) =>
  changed((entries) => {
    const read = JSON.parse(new TextDecoder().decode(entries['backup.json']))
    change(read.copies, entries)
    for (const copy of read.copies) {
      copy.bytes = entries[copy.path]!.length
      copy.sha256 = createHash('sha256').update(entries[copy.path]!).digest('hex')
    }
    entries['backup.json'] = new TextEncoder().encode(JSON.stringify(read))
  })
const without = (table: string) =>
  withCopies((copies) => copies.splice(0, copies.length, ...copies.filter((copy) => copy.table !== table)))
const emptied = (table: string) =>
  withCopies((copies, entries) => {
    for (const copy of copies) if (copy.table === table) entries[copy.path] = NO_ROWS
  })
/** Every column with one more cell than its sheet has rows. */
const lengthened = () =>
  withCopies((copies, entries) => {
    for (const { path: place } of copies.filter((copy) => copy.table === 'column_chunks')) {
      const rows = readBinaryCopy(entries[place]!).map((row) => [...row])
      for (const row of rows) row.push(Buffer.concat([row.pop()!, Buffer.alloc(8)]))
      entries[place] = Buffer.concat(writeBinaryCopy(rows))
    }
  })

test('a backup that ends early leaves nothing under its name, nor beside it', async () => {
  const place = mkdtempSync(path.join(tmpdir(), 'true-weight-backup-'))
  const failing = { ...full!, inSnapshot: () => Promise.reject(new Error('cut')) }
  await expect(backUp(failing, path.join(place, 'one.zip'), now)).rejects.toThrow('cut')
  expect(readdirSync(place)).toEqual([])
  await backUp(full!, path.join(place, 'one.zip'), now)
  expect(readdirSync(place)).toEqual(['one.zip'])
})

test('a backup made while others write is of one moment', async () => {
  const busy = await openTestDatabase()
  kept.trueWeightDatabase = Promise.resolve(busy)
  let isOver = false
  const write = async () => {
    const { caseId } = await openCase({ by: 'A. Officer', now })
    for (let at = 0; !isOver; at += 1) {
      valueOf(await saveCase(caseId, { words: { subject: `Sacks ${at}` }, by: '' }, now))
      // A database in memory waits for nothing, and would leave no turn to the files.
      await setImmediate()
    }
  }
  const days = [1, 2, 3, 4, 5].map((day) => new Date(`2026-12-0${day}T08:00:00Z`))
  const fileOf = (day: Date) => path.join(folder, `busy-${day.getTime()}.zip`)
  const back = async () => {
    for (const day of days) await backUp(busy, fileOf(day), now)
    isOver = true
  }
  await Promise.all([write(), write(), write(), write(), back()])
  // A chain that does not hold would be refused.
  for (const day of days)
    expect(await restore(empty!, fileOf(day), { folder, now: day })).toMatchObject({ ok: true })
  await busy.close()
})

test('a sample longer than one copy holds is backed up in several, and restored as it was', async () => {
  const [long, other] = [await openTestDatabase(), await openTestDatabase()]
  kept.trueWeightDatabase = Promise.resolve(long)
  const { caseId } = await openCase({ by: 'A. Officer', now })
  const rows = 16 * CHUNK_LENGTH + 3
  const body = (async function* () {
    yield new TextEncoder().encode(`row\n${Array.from({ length: rows }, (_, row) => row).join('\n')}`)
  })()
  const brought = valueOf(await importSheet(long, { caseId, fileName: 'long.csv', by: '', body }, now))
  const sampleId = brought.is === 'brought-in' ? brought.sampleId : ''
  const place = path.join(folder, 'long.zip')
  await backUp(long, place, now)
  const names = Object.keys(unzipSync(readFileSync(place))).filter((name) => name.includes('column_chunks'))
  expect(names).toHaveLength(2)
  expect(await restore(other, place, { folder, now })).toMatchObject({ ok: true })
  const cellsIn = async (database: Database) => {
    const [head] = await findColumnHeads(database, sampleId)
    return Buffer.concat([...(await readColumn(database, sampleId, head!)).chunks])
  }
  const cells = await cellsIn(other)
  expect(cells.length).toBe(8 * rows)
  expect(cells.equals(await cellsIn(long))).toBe(true)
  await long.close()
  await other.close()
})

test('of what was there before restores, the last five files are kept', async () => {
  const place = mkdtempSync(path.join(tmpdir(), 'true-weight-backup-'))
  for (let day = 1; day <= 7; day += 1)
    writeFileSync(path.join(place, `before-restore-2026-10-0${day}T08-00-00-000Z.zip`), '')
  const restored = await restore(empty!, file, { folder: place, now })
  expect(restored).toMatchObject({ ok: true, value: { dropped: 3 } })
  expect(readdirSync(place)).toHaveLength(5)
})

test.each<readonly [string, () => Uint8Array, string]>([
  ['no table at all', () => withCopies((copies) => copies.splice(0)), 'no copy of the table cases'],
  ['no signed findings', () => without('findings'), 'no copy of the table findings'],
  ['no trail', () => without('trail_entries'), 'no copy of the table trail_entries'],
  ['a trail without entries', () => emptied('trail_entries'), 'does not hold'],
  ['no cells', () => without('column_chunks'), 'cells and not 3'],
  ['more cells than rows', lengthened, 'cells and not 3'],
  ['cells of no sample', () => emptied('samples'), 'a table in it is malformed'],
  [
    'a table that is none inside',
    () => withCopies((copies, entries) => (entries[copies[0]!.path] = Buffer.from('hello'))),
    'a table in it is malformed',
  ],
  [
    'a backup of a later version',
    () =>
      changed(
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
  ['an altered table', () => changed((entries) => (entries[firstTable(entries)]![40]! ^= 1)), 'was altered'],
  ['a missing table', () => changed((entries) => delete entries[firstTable(entries)]), 'is missing'],
  [
    'a file of a later version',
    () => changed(manifest((text) => text.replace('"reference"', '"colour"'))),
    'a later version',
  ],
  [
    'a table that is none',
    () => changed(manifest((text) => text.replace('"cases"', '"users"'))),
    'not as it has to be',
  ],
  [
    'a statement for a name',
    () => changed(manifest((text) => text.replace('"reference"', '"x\\"; drop table cases; --"'))),
    'not as it has to be',
  ],
  [
    'a path out of the file',
    () => changed((entries) => (entries['../x'] = Uint8Array.of(1))),
    'has no place',
  ],
  ['a file that is none', () => new TextEncoder().encode('hello'), 'no ZIP file'],
])(
  'refuses %s, and leaves everything as it is',
  async (_, make, message) => {
    const before = await caseFilesOf(full!)
    const own = mkdtempSync(path.join(tmpdir(), 'true-weight-backup-'))
    const refused = await restore(full!, written(make()), { folder: own, now })
    expect(readdirSync(own)).toEqual([])
    expect(refused.ok || refused.problem.message).toContain(message)
    expect(await caseFilesOf(full!)).toEqual(before)
  },
  60_000,
)

test('every table is in a backup', async () => {
  const names = Object.keys(unzipSync(readFileSync(file)))
  for (const table of TABLES) expect(names.some((name) => name.includes(`-${table}.`))).toBe(true)
})
