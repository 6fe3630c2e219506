import { createHash } from 'node:crypto'
import { buffer } from 'node:stream/consumers'
import type { Database } from '@/data/client'
import { openTestDatabase } from '@tests/database'
import { valueOf } from '@tests/outcome'
import { openCase } from '../case/changeCase'
import { importSheet } from './importSheet'
import { readKeptFile } from './keptFile'
import { readSampleIn, readSamplesOf } from './readSample'

const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }
const now = new Date('2026-11-03T10:42:00Z')
let db: Database
beforeAll(async () => {
  db = await openTestDatabase()
  kept.trueWeightDatabase = Promise.resolve(db)
})
afterAll(() => db.close())

async function bring(caseId: string, text: string, more: object = {}) {
  const body = (async function* () {
    yield Buffer.from(text)
  })()
  return importSheet(db, { caseId, fileName: 'log.csv', by: 'A. Officer', body, ...more }, now)
}

async function brought(caseId: string, text: string, more: object = {}): Promise<string> {
  const imported = valueOf(await bring(caseId, text, more))
  return imported.is === 'brought-in' ? imported.sampleId : ''
}

test('a file of many pieces is counted to its last row, hashed and kept byte for byte', async () => {
  const { caseId } = await openCase({ by: 'A. Officer', now })
  // Hardly any shorter when it is packed.
  const text = `mass\n${Array.from({ length: 600_000 }, (_, row) => Math.sin(row).toFixed(15)).join('\n')}`
  const sampleId = await brought(caseId, text)
  const { file } = (await readSampleIn(caseId, sampleId))!.sample
  const sha256 = createHash('sha256').update(text).digest('hex')
  expect(file).toMatchObject({ rowCount: 600_000, fileBytes: text.length, fileSha256: sha256 })
  const { bytes } = valueOf(await readKeptFile(sampleId))
  expect((await buffer(bytes)).equals(Buffer.from(text))).toBe(true)
  const { length: before } = await readSamplesOf(caseId)
  const control = new AbortController()
  let reads = 0
  const onProgress = () => {
    reads += 1
    if (reads === 2) control.abort()
  }
  await expect(bring(caseId, text, { signal: control.signal, onProgress })).rejects.toThrow()
  expect(await readSamplesOf(caseId)).toHaveLength(before)
})

test('how far it is is told from the first piece to the last, and never goes back', async () => {
  const { caseId } = await openCase({ by: 'A. Officer', now })
  const shares: number[] = []
  const onProgress = (_: number, share: number) => shares.push(share)
  const rows = Array.from({ length: 300_000 }, (_, row) => `${row},${row % 7}`).join('\n')
  await brought(caseId, `row,depot\n${rows}\n`, { onProgress })
  expect(shares).toEqual(shares.toSorted((a, b) => a - b))
  expect(shares.some((share) => share > 0.1 && share < 0.5)).toBe(true)
  expect(shares.filter((share) => share === 0.6)).toHaveLength(2)
  expect(shares.at(-1)).toBe(1)
})
