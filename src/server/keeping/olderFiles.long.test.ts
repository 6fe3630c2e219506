import { openTestDatabase } from '@tests/database'
import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { createHash } from 'node:crypto'
import { readCaseFile } from '@/casefile/read'
import { METHODS, PARAMETERS } from '@/claims/terms/names'
import { RELATIONS } from '@/claims/terms/relations'
import { CASE_FILE_VERSION } from '@/casefile/versions'
import { CORE_VERSION } from '@/claims/terms/version'
import type { Database } from '@/data/client'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { readTrail } from '../case/readTrail'
import { verifyFinding } from '../finding/readFinding'
import { restore } from './restore'
import { exportCase, importCase } from './caseFile'

/** Made by core 0.3.0, the last before case files had a second version: every parameter, method and relation is in it. */
const CASE_FILE = readFileSync('tests/fixtures/case-file-v1.zip')
/** A backup of the database that it was exported from. */
const BACKUP = 'tests/fixtures/backup-v1.zip'

const now = new Date('2026-11-28T09:00:00Z')
const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }
const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-older-'))
let database: Database
beforeAll(async () => {
  database = await openTestDatabase()
  kept.trueWeightDatabase = Promise.resolve(database)
})
afterAll(async () => {
  await database.close()
  rmSync(folder, { recursive: true })
})

type Json = Record<string, unknown>
const hashOf = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex')

/** The file with one of its entries changed, and a manifest that fits it again. */
function changed(entry: string, change: (record: Json) => void, more: (manifest: Json) => void = () => {}) {
  const entries = unzipSync(CASE_FILE)
  const record = JSON.parse(strFromU8(entries[entry]!)) as Json
  change(record)
  entries[entry] = strToU8(JSON.stringify(record))
  const manifest = JSON.parse(strFromU8(entries['manifest.json']!)) as Json & { files: Json[] }
  for (const file of manifest.files) {
    const bytes = entries[file.path as string]!
    Object.assign(file, { bytes: bytes.length, sha256: hashOf(bytes) })
  }
  more(manifest)
  entries['manifest.json'] = strToU8(JSON.stringify(manifest))
  return zipSync(entries)
}
const draftOf = (record: Json) => record.draft as Json

async function valueOf(bytes: Uint8Array) {
  const read = await readCaseFile(bytes)
  if (!read.ok) throw new Error(read.problem.message)
  return read.value
}

/** What this core computes otherwise, and why: docs/METHODS.md. */
const OTHERWISE: Readonly<Record<string, string>> = {
  '04': 'a resample that holds each reading once ties with them',
  '08': 'too few readings to resample',
  '12': 'too few readings to resample',
  '21': 'signed ranks counted given their ties',
  '22': 'signed ranks counted given their ties',
  '23': 'an interval between readings says its true level',
  '30': 'mid-p has an interval of its own',
}
const filesOf = (differences: readonly string[]) => [
  ...new Set(differences.map((path) => path.slice('results/'.length, 'results/'.length + 2))),
]

test('a case file of version 1 is read, and every figure in it comes out as it did', async () => {
  const { content, version, coreVersion, differences } = await valueOf(CASE_FILE)
  expect({ version, coreVersion }).toEqual({ version: 1, coreVersion: '0.3.0' })
  expect(filesOf(differences)).toEqual(Object.keys(OTHERWISE).toSorted())
  const drafts = content.claims.map(({ draft }) => draft)
  const names = (field: 'parameter' | 'relation' | 'method') => new Set(drafts.map((draft) => draft[field]))
  // Made since.
  const newer: readonly string[] = [
    ...['rate', 'quantile', 'exact-poisson', 'score-poisson'],
    ...['cluster-t', 'stratified-t', 'normal-share'],
  ]
  const methods = METHODS.filter((method) => !newer.includes(method))
  expect(names('parameter')).toEqual(new Set(PARAMETERS.filter((one) => !newer.includes(one))))
  expect(names('relation')).toEqual(new Set(RELATIONS))
  expect(names('method')).toEqual(new Set(['auto', ...methods]))
  expect(
    [content.claims, content.samples, content.findings, content.trail].map((list) => list.length),
  ).toEqual([37, 7, 4, 51])
})

test('it is brought in, its signed findings come to the same figures, and it goes out as a file of today', async () => {
  const imported = await importCase(CASE_FILE, 'case-file-v1.zip', { by: 'A. Officer', now })
  if (!imported.ok) throw new Error(imported.problem.message)
  const { caseId } = imported.value
  const { content } = await valueOf(CASE_FILE)
  for (const { claimId, number } of content.findings)
    expect(await verifyFinding(claimId, String(number))).toMatchObject({ isWhole: true, differences: [] })
  const trail = await readTrail(caseId, { page: 0, pageSize: 1 })
  expect(trail!.verdict).toMatchObject({ holds: true, length: 52 })
  expect(trail!.entries[0]!.detail).toContain(
    `made with core 0.3.0. Its results were made with core 0.3.0 and computed anew with core ${CORE_VERSION}`,
  )
  const exported = await exportCase(caseId)
  if (!exported.ok) throw new Error(exported.problem.message)
  const pieces: Uint8Array[] = []
  for await (const piece of exported.value.bytes) pieces.push(piece)
  const again = await valueOf(Buffer.concat(pieces))
  expect(again).toMatchObject({ version: CASE_FILE_VERSION, coreVersion: CORE_VERSION, differences: [] })
  expect(again.content.claims).toEqual(content.claims)
  expect(again.content.findings).toEqual(content.findings)
  expect(again.content.trail.slice(0, -1)).toEqual(content.trail)
})

test('a result that another core made otherwise is told by its path, and does not stand against the file', async () => {
  const file = changed('results/02.json', (result) => {
    Object.assign(result.test as Json, { pValue: 0.5 })
    delete result.interval
  })
  const { differences } = await valueOf(file)
  const changes = differences.filter((path) => path.startsWith('results/02'))
  expect(changes).toEqual(['results/02.json: test.pValue', 'results/02.json: interval'])
  const own = changed(
    'results/02.json',
    (result) => Object.assign(result.test as Json, { pValue: 0.5 }),
    (manifest) => {
      manifest.coreVersion = CORE_VERSION
    },
  )
  const refused = await readCaseFile(own)
  expect(refused.ok || refused.problem.message).toMatch(
    /checks\/\d+\.json does not follow|results\/\d+\.json is not what/,
  )
})

test('a check that another core’s intake read otherwise is told as well', async () => {
  const file = changed('checks/02.json', (document) => {
    Object.assign(document.claim as Json, { value: 15.5 })
  })
  expect((await valueOf(file)).differences).toContain('checks/02.json')
})

test('a key that a record lacks takes its default; one that is not known, or a name, is refused by name', async () => {
  const { content } = await valueOf(
    changed('claims/01.json', (record) => {
      delete draftOf(record).midP
      delete draftOf(record).remarks
    }),
  )
  const { midP, remarks } = EMPTY_CLAIM
  expect(content.claims[0]!.draft).toMatchObject({ midP, remarks })
  const refusals = [
    changed('claims/01.json', (record) => Object.assign(draftOf(record), { colour: 'red' })),
    changed('claims/01.json', (record) => Object.assign(draftOf(record), { parameter: 'mode' })),
    changed('claims/01.json', (record) => delete draftOf(record).sampleId),
    changed('case.json', (record) => Object.assign(record, { colour: 'red' })),
    changed(
      'case.json',
      () => {},
      (manifest) => (manifest.version = CASE_FILE_VERSION + 1),
    ),
  ]
  const told = await Promise.all(
    refusals.map(async (file) => {
      const read = await readCaseFile(file)
      return read.ok ? 'read' : read.problem.message
    }),
  )
  expect(told).toEqual([
    expect.stringContaining('"colour"'),
    expect.stringContaining('draft.parameter'),
    expect.stringContaining('draft.sampleId'),
    expect.stringContaining('"colour"'),
    expect.stringContaining(
      `it is of version ${CASE_FILE_VERSION + 1}, and this True Weight reads 1 to ${CASE_FILE_VERSION}`,
    ),
  ])
})

test('a backup of version 1 is restored, with every claim, finding and entry of its trail', async () => {
  const restored = await restore(database, BACKUP, { folder, now })
  expect(restored).toMatchObject({ ok: true, value: { cases: 1 } })
  const { content } = await valueOf(CASE_FILE)
  const exported = await exportCase(content.case.id)
  if (!exported.ok) throw new Error(exported.problem.message)
  const pieces: Uint8Array[] = []
  for await (const piece of exported.value.bytes) pieces.push(piece)
  const { content: again } = await valueOf(Buffer.concat(pieces))
  const { samples, ...rest } = again
  const { samples: known, ...others } = content
  expect(rest).toEqual(others)
  expect(samples.map(({ draft, file }) => ({ draft, file }))).toEqual(
    known.map(({ draft, file }) => ({ draft, file })),
  )
})
