import { createHash } from 'node:crypto'
import * as z from 'zod/mini'
import { canonicalJson } from '@/desk/canonicalJson'
import { AT_ONCE, type Computing } from '@/answers/computing'
import { requestJsonSchema } from '@/answers/jsonSchema'
import { CORE_VERSION } from '@/claims/terms/version'
import { askedOf } from '@/intake/readDraft'
import { readClaimAgainst } from '@/intake/claimDocument'
import {
  type CaseContent,
  caseSchema,
  contentClaimSchema,
  contentFindingSchema,
  type ContentSample,
  type Manifest,
  manifestSchema,
  sampleRecordSchema,
  type SampleRecord,
  trailEntrySchema,
} from './content'
import { checkAnswerSchema } from '@/claims/checkAnswer'
import { writeCsv } from './sheetCsv'
import { CASE_FILE_VERSION } from './versions'
import { type ZipEntry, zipped } from './zip'

const README = `This is a case of True Weight, whole, in open formats.

manifest.json   what is in here, with the SHA-256 of each file
case.json       what the case is called and about
claims/         each claim as it was typed
samples/        each sample as it was described (JSON), and the cells of its file (CSV)
files/          the files that samples were brought in from, byte for byte, where they were kept
checks/         of each claim that can be tested, the check document: what is claimed, measured and asked
results/        what each check came to
findings/       the findings that were signed, as they were signed
trail.ndjson    every change, chained by hash: an entry a line
seals/          time stamps over the trail (RFC 3161)
schemas/        JSON Schemas of all of these

In the CSV files a text that begins with = + - @ ' or a tab has an apostrophe before it, so that no
spreadsheet runs it as a formula. Bringing the case in takes it away again.
`

/** A pretty JSON file, keys in one order, so that the same content is the same bytes. */
const jsonText = (value: unknown): string => `${JSON.stringify(JSON.parse(canonicalJson(value)), null, 2)}\n`

/**
 * Writes a case as one ZIP file of open formats. The same case gives the same bytes: no time of writing is in it.
 *
 * @returns the file's bytes, as they come
 */
export async function* writeCaseFile(
  content: CaseContent,
  computing: Computing = AT_ONCE,
): AsyncGenerator<Uint8Array> {
  yield* zipped(entriesOf(content, computing))
}

/** Every file of the case, and behind them the manifest, which names them with their hashes. */
async function* entriesOf(content: CaseContent, computing: Computing): AsyncGenerator<ZipEntry> {
  const files: Manifest['files'][number][] = []
  for await (const { path, pieces } of contentEntries(content, computing)) {
    const hash = createHash('sha256')
    let bytes = 0
    const counted = async function* () {
      for await (const piece of pieces) {
        hash.update(piece)
        bytes += piece.length
        yield piece
      }
    }
    yield { path, pieces: counted() }
    files.push({ path, bytes, sha256: hash.digest('hex') })
  }
  const manifest: Manifest = {
    kind: 'true-weight-case-file',
    version: CASE_FILE_VERSION,
    coreVersion: CORE_VERSION,
    caseId: content.case.id,
    trail: content.head,
    files,
  }
  yield textEntry('manifest.json', jsonText(manifest))
}

async function* contentEntries(content: CaseContent, computing: Computing): AsyncGenerator<ZipEntry> {
  yield textEntry('README.txt', README)
  yield textEntry('case.json', jsonText(content.case))
  yield textEntry('trail.ndjson', content.trail.map((entry) => `${canonicalJson(entry)}\n`).join(''))
  for (const [at, token] of content.seals.entries())
    yield { path: `seals/${placeOf(at)}.tst`, pieces: [token] }
  for (const [name, schema] of Object.entries(SCHEMAS))
    yield textEntry(`schemas/${name}.schema.json`, jsonText(schema()))
  let room = MAX_FILES
  for (const [at, sample] of content.samples.entries()) {
    const { fileBytes } = sample.file ?? { fileBytes: 0 }
    const hasRoom = fileBytes <= room
    if (hasRoom) room -= fileBytes
    yield* sampleEntries(placeOf(at), sample, hasRoom)
  }
  const sourceOf = async (id: string) => content.samples.find((sample) => sample.id === id)
  for (const [at, claim] of content.claims.entries()) {
    const place = placeOf(at)
    yield textEntry(`claims/${place}.json`, jsonText(claim))
    const reading = await readClaimAgainst(claim.draft, sourceOf)
    const document = reading && askedOf(reading)
    if (document) {
      yield textEntry(`checks/${place}.json`, `${canonicalJson(document)}\n`)
      yield textEntry(`results/${place}.json`, `${canonicalJson(await computing.check(document))}\n`)
    }
    for (const finding of content.findings.filter(({ claimId }) => claimId === claim.id))
      yield textEntry(`findings/${place}-${placeOf(finding.number - 1)}.json`, jsonText(finding))
  }
}

const SCHEMAS: Readonly<Record<string, () => object>> = {
  check: requestJsonSchema,
  result: () => z.toJSONSchema(checkAnswerSchema),
  manifest: () => z.toJSONSchema(manifestSchema),
  case: () => z.toJSONSchema(caseSchema),
  claim: () => z.toJSONSchema(contentClaimSchema),
  sample: () => z.toJSONSchema(sampleRecordSchema),
  finding: () => z.toJSONSchema(contentFindingSchema),
  'trail-entry': () => z.toJSONSchema(trailEntrySchema),
}

/** Counted from 1, in two digits at least: 01. */
const placeOf = (at: number): string => String(at + 1).padStart(2, '0')

/** Files are left out where they would make the case's too large to be brought in: what was read of them is there. */
const MAX_FILES = 256 * 1024 * 1024

async function* sampleEntries(
  place: string,
  sample: ContentSample,
  hasRoom: boolean,
): AsyncGenerator<ZipEntry> {
  const { sheet, original, ...own } = sample
  const columns = (await sheet?.columns()) ?? []
  const record: SampleRecord = {
    ...own,
    columns: columns.map(({ name, kind, length, missing }) => ({ name, kind, length, missing })),
  }
  yield textEntry(`samples/${place}.json`, jsonText(record))
  if (sheet) yield { path: `samples/${place}.csv`, pieces: writeCsv(columns, sheet.rowCount) }
  const pieces = hasRoom ? await original?.() : undefined
  if (pieces) yield { path: `files/${place}`, pieces }
}

function textEntry(path: string, text: string): ZipEntry {
  return { path, pieces: [new TextEncoder().encode(text)] }
}
