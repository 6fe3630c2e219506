import { buffer } from 'node:stream/consumers'
import { text } from '@tests/changedFile'
import { openTestDatabase } from '@tests/database'
import { EVERY_CASE, exported, exportedDemo } from '@tests/exportedDemo'
import { valueOf } from '@tests/outcome'
import { computeOutcomes } from '../check/laterOutcomes'
import { createHash } from 'node:crypto'
import { gzipSync } from 'node:zlib'
import { unzipSync, zipSync } from 'fflate'
import type { Database } from '@/data/client'
import { readCaseFile } from '@/casefile/read'
import { importCase } from './caseFile'
import { openCase, saveCase } from '../case/changeCase'
import { readCase, readDocket } from '../docket/docket'
import { readRecord, readTrail } from '../case/readTrail'
import { eq } from 'drizzle-orm'
import { fileChunks } from '@/data/schema'
import { MAX_BYTES } from '@/intake/sheet/sheetProblems'
import { importSheet } from '../sample/importSheet'
import { packFile } from '../packed'
import { readKeptFile } from '../sample/keptFile'

const now = new Date('2026-11-05T08:00:00Z')
const doer = { by: 'C. Colleague', now }
const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }

let [here, elsewhere]: Database[] = []
let files: Awaited<ReturnType<typeof exportedDemo>>

const at = (database: Database) => (kept.trueWeightDatabase = Promise.resolve(database))

const keptBytes = async (sampleId: string) => buffer(valueOf(await readKeptFile(sampleId)).bytes)

beforeAll(async () => {
  ;[here, elsewhere] = [await openTestDatabase(), await openTestDatabase()]
  at(here!)
  files = await exportedDemo(here!)
}, 120_000)
afterAll(async () => {
  await here?.close()
  await elsewhere?.close()
})

test('every case of the demo comes in on another machine with the same findings, byte for byte', async () => {
  at(elsewhere!)
  for (const { caseId, bytes } of files.values()) {
    expect(valueOf(await importCase(bytes, 'case.zip', doer))).toEqual({ caseId })
    const [before, after] = [unzipSync(bytes), unzipSync(await exported(caseId))]
    expect(Object.keys(after)).toEqual(Object.keys(before))
    const same = Object.keys(before).filter(
      (path) => !['manifest.json', 'case.json', 'trail.ndjson'].includes(path),
    )
    expect(same.some((path) => path.startsWith('results/'))).toBe(true)
    for (const path of same) expect(text(after[path]!)).toBe(text(before[path]!))
    const trail = await readTrail(caseId, { page: 0, pageSize: 1 })
    expect(trail).toMatchObject({
      verdict: { holds: true },
      entries: [{ action: 'imported', who: 'C. Colleague' }],
    })
  }
  const marks = async (database: Database) => {
    at(database)
    computeOutcomes(database)
    let { cases } = await readDocket(EVERY_CASE)
    // That of 200,000 rows is computed a moment later.
    while (cases.some(({ claims }) => claims.some(({ isComputing }) => isComputing)))
      ({ cases } = await readDocket(EVERY_CASE))
    return cases.map(({ id, claims }) => [id, claims.map((claim) => [claim.id, claim.outcome])])
  }
  expect(await marks(elsewhere!)).toEqual(await marks(here!))
}, 60_000)

test('the same case gives the same file', async () => {
  at(here!)
  const { caseId, bytes } = files.get('WH-014')!
  expect(Buffer.compare(await exported(caseId), bytes)).toBe(0)
})

describe('a case that is here already', () => {
  const refusal = async (bytes: Uint8Array) => {
    const refused = await importCase(bytes, 'case.zip', doer)
    expect(refused).toMatchObject({ ok: false, problem: { code: 'already-here' } })
    return refused.ok ? '' : refused.problem.message
  }
  const renamed = (caseId: string, subject: string) =>
    saveCase(caseId, { words: { subject }, by: 'C. Colleague' }, now)

  test('is left as it is where its file has nothing newer', async () => {
    at(here!)
    expect(await refusal(files.get('WH-014')!.bytes)).toContain('the file holds nothing newer')
  })

  test('goes on from what a colleague did with it, with both trails as one', async () => {
    const { caseId } = files.get('WH-017')!
    at(elsewhere!)
    valueOf(await renamed(caseId, 'Deliveries, looked at twice'))
    const theirs = await exported(caseId)
    at(here!)
    const before = unzipSync(files.get('WH-017')!.bytes)
    valueOf(await importCase(theirs, 'back.zip', doer))
    expect(await readCase(caseId)).toMatchObject({ subject: 'Deliveries, looked at twice' })
    const trail = (await readTrail(caseId, { page: 0, pageSize: 100 }))!
    expect(trail.verdict).toMatchObject({ holds: true })
    expect(trail.entries.slice(0, 3).map(({ action }) => action)).toEqual(['imported', 'changed', 'imported'])
    expect(trail.entries[0]!.detail).toContain('in the place of the case as of entry 8')
    const after = unzipSync(await exported(caseId))
    for (const path of Object.keys(before).filter((one) => /^(samples|results)\//.test(one)))
      expect(text(after[path]!)).toBe(text(before[path]!))
  }, 60_000)

  test('is left as it is where both went on from what they shared', async () => {
    const { caseId } = files.get('WH-021')!
    at(elsewhere!)
    valueOf(await renamed(caseId, 'Theirs'))
    const theirs = await exported(caseId)
    at(here!)
    valueOf(await renamed(caseId, 'Ours'))
    expect(await refusal(theirs)).toContain('both here and in the file since entry')
    expect(await readCase(caseId)).toMatchObject({ subject: 'Ours' })
  })
})

test('the file that a sample was brought in from goes with its case, byte for byte, and one that was altered is told of', async () => {
  const bytes = new TextEncoder().encode('\ufeffdepot;mass\r\n7;14,1\r\n"8";15,2\r\n')
  const [one, other] = [await openTestDatabase(), await openTestDatabase()]
  at(one)
  const { caseId } = await openCase(doer)
  const bringIn = async (fileName: string, isKept?: boolean) => {
    const body = (async function* () {
      yield bytes
    })()
    const brought = valueOf(await importSheet(one, { caseId, fileName, by: 'C', body, isKept }, now))
    return brought.is === 'brought-in' ? brought.sampleId : ''
  }
  const [kept, left] = [await bringIn('log.csv'), await bringIn('other.csv', false)]
  expect(valueOf(await readKeptFile(kept)).name).toBe('log.csv')
  expect(await keptBytes(kept)).toEqual(Buffer.from(bytes))
  expect(await readKeptFile(left)).toMatchObject({ problem: { code: 'file-not-kept' } })
  expect(await readKeptFile('x')).toMatchObject({ problem: { code: 'not-found' } })
  const file = await exported(caseId)
  expect(Object.keys(unzipSync(file)).filter((name) => name.startsWith('files/'))).toEqual(['files/02'])
  at(other)
  valueOf(await importCase(file, 'case.zip', doer))
  expect(await keptBytes(kept)).toEqual(Buffer.from(bytes))
  // A case file that goes on and leaves it out takes nothing away from where it is kept.
  const entries = unzipSync(await exported(caseId))
  const manifest = JSON.parse(new TextDecoder().decode(entries['manifest.json']))
  manifest.files = manifest.files.filter(({ path }: { path: string }) => path !== 'files/02')
  const { 'files/02': _, ...rest } = entries
  const without = zipSync({ ...rest, 'manifest.json': new TextEncoder().encode(JSON.stringify(manifest)) })
  at(one)
  const read = await readCaseFile(without)
  expect(read.ok && read.value.notes).toEqual([
    'The file log.csv of the sample “log” was kept when it was brought in, and is not here.',
  ])
  const files = { ...rest, 'files/01': entries['files/02']! }
  manifest.files.push({
    path: 'files/01',
    bytes: bytes.length,
    sha256: createHash('sha256').update(bytes).digest('hex'),
  })
  const stray = zipSync({ ...files, 'manifest.json': new TextEncoder().encode(JSON.stringify(manifest)) })
  expect(await readCaseFile(stray)).toMatchObject({
    problem: { path: 'files/01', message: expect.stringContaining('is the file of no sample') },
  })
  const grown = await importCase(without, 'case.zip', doer)
  expect(grown.ok || grown.problem.message).toBe(true)
  expect(await keptBytes(kept)).toEqual(Buffer.from(bytes))
  const altered = new TextEncoder().encode('depot;mass\n7;99\n')
  const packed = await buffer(packFile([altered], altered.length))
  await one.update(fileChunks).set({ bytes: packed }).where(eq(fileChunks.sampleId, kept))
  expect(await readKeptFile(kept)).toMatchObject({ problem: { code: 'file-altered' } })
  expect((await readRecord(caseId, true))!.verdict.breaks).toMatchObject([
    { message: expect.stringContaining('What is kept of the file log.csv') },
  ])
  await one
    .update(fileChunks)
    .set({ bytes: Buffer.from('no gzip') })
    .where(eq(fileChunks.sampleId, kept))
  expect(await readKeptFile(kept)).toMatchObject({ problem: { code: 'file-altered' } })
  // Unpacked, larger than any file that is taken: members of such a file may follow one another (RFC 1952, 2.2).
  const member = gzipSync(new Uint8Array(64 * 1024 * 1024))
  const bomb = Buffer.concat(Array.from({ length: MAX_BYTES / (64 * 1024 * 1024) + 1 }, () => member))
  await one.update(fileChunks).set({ bytes: bomb }).where(eq(fileChunks.sampleId, kept))
  expect(await readKeptFile(kept)).toMatchObject({
    problem: { code: 'file-altered', message: expect.stringContaining('log.csv is damaged') },
  })
  await one.close()
  await other.close()
})
