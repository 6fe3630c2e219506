import { createHash } from 'node:crypto'
import type { z } from 'zod'
import { canonicalJson } from '@/desk/canonicalJson'
import { check } from '@/answers/check'
import { type Outcome, success } from '@/claims/outcome'
import { verifyChain } from '@/desk/trail/chain'
import { CORE_VERSION } from '@/claims/version'
import { verdictWords } from '@/words/en/trailWords'
import { readClaimAgainst } from '@/intake/claimDocument'
import type { Column } from '@/intake/sheet/columns'
import {
  type CaseContent,
  type ContentClaim,
  type ContentFinding,
  type ContentSample,
  type Manifest,
  caseSchema,
  contentClaimSchema,
  contentFindingSchema,
  manifestSchema,
  sampleRecordSchema,
  sha256,
  trailEntrySchema,
} from './content'
import { readCsv } from './sheetCsv'
import { caseFileProblem, unzipped } from './zip'

const PATHS =
  /^(manifest\.json|README\.txt|case\.json|trail\.ndjson|schemas\/[a-z-]+\.schema\.json|(claims|checks|results|samples)\/\d{2,6}\.(json|csv)|findings\/\d{2,6}-\d{2,6}\.json)$/

/** Thrown within this file only, to say what is wrong from wherever it is seen. */
class Wrong extends Error {
  readonly path: string
  constructor(path: string, message: string) {
    super(message)
    this.path = path
  }
}

/** A case read from its file, and the core that made its results. */
export type CaseFile = Readonly<{ content: CaseContent; coreVersion: string }>

/**
 * Reads a case file, and takes nothing on trust: every file has the hash that the manifest states, the trail's chain holds,
 * each check follows from its claim and samples and each result from its check, and no signed finding was altered.
 *
 * @returns the case, or the problem `case-file`, with the path of the entry that is wrong
 */
export async function readCaseFile(bytes: Uint8Array): Promise<Outcome<CaseFile>> {
  const entries = unzipped(bytes, (path) => PATHS.test(path))
  if (!entries.ok) return entries
  try {
    const manifest = manifestOf(entries.value)
    const content = await contentOf(entries.value, manifest)
    verifyTrail(content)
    verifyFindings(content)
    await verifyChecks(entries.value, content, manifest)
    return success({ content, coreVersion: manifest.coreVersion })
  } catch (error) {
    if (!(error instanceof Wrong)) throw error
    return caseFileProblem(error.path, error.message)
  }
}

type Entries = ReadonlyMap<string, Uint8Array>

function manifestOf(entries: Entries): Manifest {
  const manifest = parsed(entries, 'manifest.json', manifestSchema)
  const listed = new Set(manifest.files.map(({ path }) => path))
  for (const path of entries.keys()) {
    if (path !== 'manifest.json' && !listed.has(path))
      throw new Wrong(path, `its manifest does not name ${path}.`)
  }
  for (const { path, bytes, sha256: stated } of manifest.files) {
    const entry = entries.get(path)
    if (!entry) throw new Wrong(path, `${path} is missing.`)
    const seen = createHash('sha256').update(entry).digest('hex')
    if (seen !== stated || entry.length !== bytes)
      throw new Wrong(path, `${path} was altered: its SHA-256 is ${seen}, and its manifest says ${stated}.`)
  }
  return manifest
}

async function contentOf(entries: Entries, { trail: head, caseId }: Manifest): Promise<CaseContent> {
  const own = parsed(entries, 'case.json', caseSchema)
  if (own.id !== caseId) throw new Wrong('case.json', 'case.json is of another case than manifest.json.')
  const claims = pathsIn(entries, 'claims', 'json').map((path) => parsed(entries, path, contentClaimSchema))
  const samples: ContentSample[] = []
  for (const path of pathsIn(entries, 'samples', 'json')) samples.push(await sampleOf(entries, path))
  const findings = pathsIn(entries, 'findings', 'json').map((path) =>
    parsed(entries, path, contentFindingSchema),
  )
  const trail = linesOf(entries, 'trail.ndjson').map((line, at) =>
    fitting(jsonOf(line, 'trail.ndjson'), trailEntrySchema, `trail.ndjson, line ${at + 1}`),
  )
  const content = { case: own, claims, samples, findings, trail, head }
  verifyOwnership(content)
  return content
}

/** Everything names only what is in the same case, and nothing comes twice. */
function verifyOwnership({ case: own, claims, samples, findings, trail }: CaseContent): void {
  const ids = (list: readonly Readonly<{ id: string }>[]) => new Set(list.map(({ id }) => id))
  const [claimIds, sampleIds] = [ids(claims), ids(samples)]
  const isTwice = [claims, samples, findings, trail].find((list) => ids(list).size !== list.length)
  if (isTwice) throw new Wrong('', 'two things in it have the same identifier.')
  for (const [at, { draft }] of claims.entries()) {
    const missing = [draft.sampleId, draft.secondSampleId].find((id) => id !== null && !sampleIds.has(id))
    if (missing)
      throw new Wrong('claims', `claim ${at + 1} is held against the sample ${missing}, which is not in it.`)
  }
  const foreign = trail.find(
    ({ caseId, claimId, sampleId }) =>
      caseId !== own.id || (claimId && !claimIds.has(claimId)) || (sampleId && !sampleIds.has(sampleId)),
  )
  if (foreign) throw new Wrong('trail.ndjson', `entry ${foreign.number} of its trail is about another case.`)
  const lost = findings.find(({ claimId }) => !claimIds.has(claimId))
  if (lost)
    throw new Wrong('findings', `a signed finding is of the claim ${lost.claimId}, which is not in it.`)
}

async function sampleOf(entries: Entries, path: string): Promise<ContentSample> {
  const { columns: heads, ...record } = parsed(entries, path, sampleRecordSchema)
  const { file, draft } = record
  if ((file !== null) !== (draft.kind === 'file'))
    throw new Wrong(path, `${path} is of a file and names none, or the other way round.`)
  if (!file) return record
  const csvPath = path.replace(/json$/, 'csv')
  const csv = entries.get(csvPath)
  if (!csv) throw new Wrong(csvPath, `${csvPath} is missing.`)
  const read = await readCsv(
    csv,
    heads.map(({ kind }) => kind),
  )
  if (!read.ok) throw new Wrong(csvPath, `${csvPath} can't be read: ${read.problem.message}`)
  const columns = read.value
  const isSame = columns.every(({ name, length, missing }, at) => {
    const head = heads[at]!
    return (
      name === head.name && length === head.length && missing === head.missing && length === file.rowCount
    )
  })
  if (!isSame) throw new Wrong(csvPath, `${csvPath} has other columns or rows than ${path} says.`)
  return {
    ...record,
    sheet: { rowCount: file.rowCount, columns: (names) => Promise.resolve(named(columns, names)) },
  }
}

const named = (columns: readonly Column[], names: readonly string[] | undefined) =>
  names ? columns.filter(({ name }) => names.includes(name)) : columns

function verifyTrail({ trail, head }: CaseContent): void {
  const verdict = verifyChain(trail, sha256, head)
  if (!verdict.holds) throw new Wrong('trail.ndjson', `${verdictWords(verdict)}`)
}

function verifyFindings({ findings }: CaseContent): void {
  const altered = findings.find(({ signed, fingerprint }) => sha256(signed) !== fingerprint)
  if (altered)
    throw new Wrong(
      'findings',
      `the signed finding ${altered.number} of claim ${altered.claimId} was altered: ${fingerprintWords(altered)}`,
    )
}

function fingerprintWords({ signed, fingerprint }: ContentFinding): string {
  return `its fingerprint is ${sha256(signed)}, and it was signed with ${fingerprint}.`
}

/** What the claims come to here is what the file says that they came to. Another core may give other results, and they are left. */
async function verifyChecks(
  entries: Entries,
  content: CaseContent,
  { coreVersion }: Manifest,
): Promise<void> {
  for (const [at, claim] of content.claims.entries()) {
    const place = pathsIn(entries, 'claims', 'json')[at]!.slice('claims/'.length)
    const document = await documentIn(content, claim)
    const [checkPath, resultPath] = [`checks/${place}`, `results/${place}`]
    if (textOf(entries.get(checkPath)) !== lineOf(document))
      throw new Wrong(checkPath, `${checkPath} does not follow from the claim and its samples.`)
    if (
      coreVersion === CORE_VERSION &&
      textOf(entries.get(resultPath)) !== lineOf(document && check(document))
    )
      throw new Wrong(resultPath, `${resultPath} is not what ${checkPath} comes to.`)
  }
}

async function documentIn({ samples }: CaseContent, { draft }: ContentClaim) {
  return (await readClaimAgainst(draft, async (id) => samples.find((sample) => sample.id === id)))?.document
}

const lineOf = (value: unknown): string => (value === undefined ? '' : `${canonicalJson(value)}\n`)
const textOf = (bytes: Uint8Array | undefined): string => (bytes ? new TextDecoder().decode(bytes) : '')

/** In the order of their numbers. */
function pathsIn(entries: Entries, folder: string, kind: string): readonly string[] {
  const paths = [...entries.keys()].filter(
    (path) => path.startsWith(`${folder}/`) && path.endsWith(`.${kind}`),
  )
  return paths.sort((a, b) => a.length - b.length || (a < b ? -1 : 1))
}

function linesOf(entries: Entries, path: string): readonly string[] {
  const bytes = entries.get(path)
  if (!bytes) throw new Wrong(path, `${path} is missing.`)
  return textOf(bytes)
    .split('\n')
    .filter((line) => line !== '')
}

function parsed<T>(entries: Entries, path: string, schema: z.ZodType<T>): T {
  const bytes = entries.get(path)
  if (!bytes) throw new Wrong(path, `${path} is missing.`)
  return fitting(jsonOf(textOf(bytes), path), schema, path)
}

function jsonOf(text: string, path: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw new Wrong(path, `${path} is no JSON.`)
  }
}

function fitting<T>(value: unknown, schema: z.ZodType<T>, path: string): T {
  const read = schema.safeParse(value)
  if (read.success) return read.data
  const [issue] = read.error.issues
  throw new Wrong(path, `${path} is not as it has to be: ${issue?.path.join('.')}: ${issue?.message}.`)
}
