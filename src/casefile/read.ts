import { samplesNamed } from '@/desk/claimDraft'
import type { z } from 'zod/mini'
import '@/claims/terms/zod'
import { AT_ONCE, type Computing } from '@/answers/computing'
import { type Outcome, success } from '@/claims/terms/outcome'
import type { Column } from '@/intake/sheet/columns'
import { type CaseContent, type ContentSample, type Manifest, manifestSchema } from './content'
import { type Entries, jsonIn, jsonOf, linesOf, pathsIn, textOf, Wrong } from './entries'
import { readCsv } from './sheetCsv'
import { CASE_FILE_VERSION, KNOWN_VERSIONS, readRecord, type RecordKind } from './versions'
import { verifyRecord } from './follows'
import { verifyChecks } from './verify'
import { type Archive, caseFileProblem, opened } from './zip'

const PATHS =
  /^(manifest\.json|README\.txt|case\.json|trail\.ndjson|schemas\/[a-z-]+\.schema\.json|(claims|checks|results|samples)\/\d{2,6}\.(json|csv)|findings\/\d{2,6}-\d{2,6}\.json|files\/\d{2,6}|seals\/\d{2,6}\.tst)$/

/** A case read from its file, and the core that made its results. */
export type CaseFile = Readonly<{
  content: CaseContent
  version: number
  coreVersion: string
  /** What comes out otherwise with the core of today, by the files it stands in: only where another core made them. */
  differences: readonly string[]
  /** What can't be told of it, though nothing speaks against it. */
  notes: readonly string[]
}>

/**
 * Reads a case file, and takes nothing on trust: every file has the hash that the manifest states, the trail's chain holds,
 * each check follows from its claim and samples and each result from its check, and no signed finding was altered. A file of
 * an earlier version is brought up to today's; what another core made is computed anew, and the difference told.
 *
 * @returns the case, or the problem `case-file`, with the path of the entry that is wrong
 */
export async function readCaseFile(
  bytes: Uint8Array,
  computing: Computing = AT_ONCE,
): Promise<Outcome<CaseFile>> {
  const archive = await opened(bytes, (path) => PATHS.test(path))
  if (!archive.ok) return archive
  try {
    const manifest = await manifestOf(archive.value)
    const entries = await unpackedBy(manifest, archive.value)
    const content = await contentOf(entries, manifest)
    const { breaks, notes } = await verifyRecord(content, computing)
    const [broken] = breaks
    if (broken) throw new Wrong(broken.path, broken.message)
    const differences = await verifyChecks(entries, content, manifest, computing)
    const { version, coreVersion } = manifest
    return success({ content, version, coreVersion, differences, notes })
  } catch (error) {
    if (!(error instanceof Wrong)) throw error
    return caseFileProblem(error.path, error.message)
  } finally {
    archive.value.close()
  }
}

/** More than the names of as many entries as there may be come to. */
const MAX_MANIFEST = 64 * 1024 * 1024

/** What the file says is in it, held against what stands in it before anything else is unpacked. */
async function manifestOf({ sizes, unpack }: Archive): Promise<Manifest> {
  const path = 'manifest.json'
  if ((sizes.get(path) ?? 0) > MAX_MANIFEST) throw new Wrong(path, `${path} is too large for one.`)
  const read = manifestSchema.safeParse(jsonOf(textOf((await unpack(path)).bytes), path))
  if (!read.success) throw unfit(path, read.error.issues[0]!)
  const manifest = read.data
  if (!KNOWN_VERSIONS.includes(manifest.version))
    throw new Wrong(
      path,
      `it is of version ${manifest.version}, and this True Weight reads ${KNOWN_VERSIONS[0]} to ${CASE_FILE_VERSION}. Use the one that wrote it, or a later one.`,
    )
  const listed = new Set(manifest.files.map((file) => file.path))
  if (listed.size !== manifest.files.length) throw new Wrong(path, `${path} names a file twice.`)
  const lacking = ['case.json', 'trail.ndjson'].find((one) => !sizes.has(one))
  if (lacking) throw new Wrong(lacking, `${lacking} is missing.`)
  for (const one of sizes.keys()) {
    if (one !== path && !listed.has(one)) throw new Wrong(one, `its manifest does not name ${one}.`)
  }
  for (const { path: one, bytes } of manifest.files) {
    if (!sizes.has(one)) throw new Wrong(one, `${one} is missing.`)
    if (sizes.get(one) !== bytes)
      throw new Wrong(
        one,
        `${one} was altered: it has ${sizes.get(one)} bytes, and its manifest says ${bytes}.`,
      )
  }
  return manifest
}

/** Every file, each as its manifest says, or the first that is not. */
async function unpackedBy({ files }: Manifest, { unpack }: Archive): Promise<Entries> {
  const entries = new Map<string, Uint8Array>()
  for (const { path, sha256: stated } of files) {
    const { bytes, sha256: actual } = await unpack(path)
    if (actual !== stated)
      throw new Wrong(path, `${path} was altered: its SHA-256 is ${actual}, and its manifest says ${stated}.`)
    entries.set(path, bytes)
  }
  return entries
}

async function contentOf(entries: Entries, manifest: Manifest): Promise<CaseContent> {
  const { trail: head, caseId, version } = manifest
  const own = recordIn(entries, 'case.json', 'case', version)
  if (own.id !== caseId) throw new Wrong('case.json', 'case.json is of another case than manifest.json.')
  const claims = pathsIn(entries, 'claims', 'json').map((path) => recordIn(entries, path, 'claim', version))
  const samples: ContentSample[] = []
  for (const path of pathsIn(entries, 'samples', 'json')) samples.push(await sampleOf(entries, path, version))
  const files = [...entries.keys()].filter((path) => path.startsWith('files/'))
  const stray = files.find((path) => !entries.has(`samples/${path.slice('files/'.length)}.csv`))
  if (stray) throw new Wrong(stray, `${stray} is the file of no sample.`)
  const findings = pathsIn(entries, 'findings', 'json').map((path) =>
    recordIn(entries, path, 'finding', version),
  )
  const trail = linesOf(entries, 'trail.ndjson').map((line, at) =>
    fitting('trail-entry', jsonOf(line, 'trail.ndjson'), { version, place: `trail.ndjson, line ${at + 1}` }),
  )
  const seals = pathsIn(entries, 'seals', 'tst').map((path) => entries.get(path)!)
  const content = { case: own, claims, samples, findings, trail, seals, head }
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
    const missing = samplesNamed(draft).find((id) => !sampleIds.has(id))
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

async function sampleOf(entries: Entries, path: string, version: number): Promise<ContentSample> {
  const { columns: heads, ...record } = recordIn(entries, path, 'sample', version)
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
  const original = entries.get(path.replace(/^samples\/(\d+)\.json$/, 'files/$1'))
  return {
    ...record,
    sheet: { rowCount: file.rowCount, columns: (names) => Promise.resolve(named(columns, names)) },
    ...(original ? { original: () => Promise.resolve([original]) } : {}),
  }
}

const named = (columns: readonly Column[], names: readonly string[] | undefined) =>
  names ? columns.filter(({ name }) => names.includes(name)) : columns

function recordIn<Kind extends RecordKind>(entries: Entries, path: string, kind: Kind, version: number) {
  return fitting(kind, jsonIn(entries, path), { version, place: path })
}

function fitting<Kind extends RecordKind>(
  kind: Kind,
  value: unknown,
  { version, place }: Readonly<{ version: number; place: string }>,
) {
  const read = readRecord(kind, value, version)
  if (!read.ok) throw unfit(place, read.issue)
  return read.value
}

function unfit(path: string, issue: z.core.$ZodIssue): Wrong {
  return new Wrong(path, `${path} is not as it has to be: ${issue.path.join('.')}: ${issue.message}.`)
}
