import { backedUpTestDatabase, caseFilesOf, manifest, withCopies, written } from '@tests/backupFile'
import { openTestDatabase } from '@tests/database'
import { newKey, proofOf } from '@tests/keys'
import { valueOf } from '@tests/outcome'
import { keyEntries } from '@/data/schema'
import { enterKey, readRegister } from '../keys/keys'
import { mkdtempSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { setImmediate } from 'node:timers/promises'
import { unzipSync, zipSync } from 'fflate'
import type { Database } from '@/data/client'
import { findColumnHeads, readColumn } from '@/data/sheetRepository'
import { TABLES } from '@/data/tableCopies'
import { EMPTY_OFFICE } from '@/desk/office'
import { backUp } from './backup'
import { restore } from './restore'
import { CHUNK_LENGTH } from '@/intake/sheet/columns'
import { importSheet } from '../sample/importSheet'
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

let [full, empty]: Database[] = []
let file: string
beforeAll(async () => {
  const made = await backedUpTestDatabase()
  ;[full, file, empty] = [made.database, made.file, await openTestDatabase()]
})
afterAll(async () => {
  await full?.close()
  await empty?.close()
})

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
    withCopies(file, (copies) =>
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
    withCopies(file, (copies) =>
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
  const older = withCopies(file, (copies) =>
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

test('every table is in a backup', async () => {
  const names = Object.keys(unzipSync(readFileSync(file)))
  for (const table of TABLES) expect(names.some((name) => name.includes(`-${table}.`))).toBe(true)
})
