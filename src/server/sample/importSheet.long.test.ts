import { createHash } from 'node:crypto'
import { buffer } from 'node:stream/consumers'
import { startTestDatabase } from '@tests/database'
import { valueOf } from '@tests/outcome'
import { newCase, now } from '@tests/storedCase'
import type { SampleDraft } from '@/desk/sampleDraft'
import { unpackColumns } from '@/intake/sheet/columnBytes'
import { openCase } from '../case/changeCase'
import { saveClaim } from '../claim/saveClaim'
import { readCase } from '../docket/docket'
import { importSheet } from './importSheet'
import { readKeptFile } from './keptFile'
import { readPackedColumns, readSampleDraft, readSampleIn, readSamplesOf } from './readSample'
import { saveSample } from './saveSample'

const database = startTestDatabase()

async function bring(caseId: string, text: string, more: object = {}) {
  const body = (async function* () {
    for (const part of [text.slice(0, 20), text.slice(20)]) yield Buffer.from(part)
  })()
  return importSheet(database(), { caseId, fileName: 'log.csv', by: 'A. Officer', body, ...more }, now)
}

async function brought(caseId: string, text: string, more: object = {}): Promise<string> {
  const imported = valueOf(await bring(caseId, text, more))
  if (imported.is !== 'brought-in') throw new Error('asked where nothing had to be')
  return imported.sampleId
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

const LOG = 'depot,mass,note\n7,14.1,"a, b"\n8,15.2,\n7,14.2,c\n7,14.0,d\n'

test('a file becomes a sample with its hash, its columns and an entry on the trail', async () => {
  const { caseId, claimId, draft } = await newCase()
  const sampleId = await brought(caseId, LOG)
  const found = (await readSampleIn(caseId, sampleId))!
  expect(found.sample.draft).toMatchObject({
    kind: 'file',
    name: 'log',
    columns: [{ name: 'depot' }, {}, {}],
  })
  expect(found.sample.file).toMatchObject({ fileName: 'log.csv', fileBytes: LOG.length, rowCount: 4 })
  expect(found.sample.file?.fileSha256).toMatch(/^[0-9a-f]{64}$/)
  expect(found.trail).toMatchObject([{ action: 'brought-in', who: 'A. Officer' }])
  const [mass] = unpackColumns(
    new Uint8Array(
      await new Blob([...valueOf(await readPackedColumns(sampleId, ['mass']))] as BlobPart[]).arrayBuffer(),
    ),
  )
  expect(mass?.head).toMatchObject({ name: 'mass', kind: 'number', length: 4 })
  const condition = { column: 'depot', relation: 'is', value: '7', upTo: '' } as const
  const held = { ...draft, sampleId, column: 'mass', kept: [[condition]] }
  valueOf(await saveClaim(claimId, { draft: held, revision: 1 }, now))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: 'contradicted' }])
})

test('the columns of a file keep their names and kinds; what they mean is free', async () => {
  const { caseId } = await newCase()
  const sampleId = await brought(caseId, LOG)
  const { draft } = valueOf(await readSampleDraft(sampleId))
  const change = (columns: SampleDraft['columns']) =>
    saveSample(sampleId, { draft: { ...draft, columns }, revision: 1, by: '' }, now)
  const renamed = draft.columns.map((column) => ({ ...column, name: `${column.name}!` }))
  expect(await change(renamed)).toMatchObject({ ok: false, problem: { code: 'invalid' } })
  expect(
    (await change(draft.columns.map((column) => ({ ...column, codes: '7 = North quay depot' })))).ok,
  ).toBe(true)
})

test('words among numbers are asked about, and a file that is refused leaves nothing behind', async () => {
  const { caseId } = await newCase()
  const text = 'mass\n14.1\nn/a\n14.2\n'
  const asked = await bring(caseId, text)
  expect(valueOf(asked)).toEqual({ is: 'asked', missingWords: [{ column: 'mass', word: 'n/a', count: 1 }] })
  expect(await bring(caseId, 'a,b\n1,2\n3\n')).toMatchObject({ ok: false, problem: { code: 'uneven-row' } })
  expect(await readSamplesOf(caseId)).toHaveLength(1)
  const sampleId = await brought(caseId, text, { missingWords: ['n/a'] })
  expect((await readSampleIn(caseId, sampleId))?.sample.file?.rowCount).toBe(3)
})

test.each([
  ['at once', 0],
  ['while it is stored', 0.7],
  ['at the last moment', 1],
])('an import that is broken off %s leaves nothing behind', async (_, from) => {
  const { caseId } = await newCase()
  const control = new AbortController()
  const onProgress = (_rows: number, share: number) => {
    if (share >= from) control.abort()
  }
  await expect(bring(caseId, LOG, { signal: control.signal, onProgress })).rejects.toThrow()
  expect(await readSamplesOf(caseId)).toHaveLength(1)
})
