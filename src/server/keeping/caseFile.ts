import 'server-only'
import { beginningOf, wellFormed } from '@/desk/typed'
import type { CaseContent } from '@/casefile/content'
import { whyNotGoingOn } from '@/casefile/goingOn'
import { type CaseFile, readCaseFile } from '@/casefile/read'
import { writeCaseFile } from '@/casefile/write'
import { caseWordsOf } from '@/desk/caseWords'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { insertCase, removeCase } from '@/data/caseRepository'
import { insertClaim } from '@/data/claimRepository'
import type { Connection } from '@/data/client'
import { inTransaction } from '../transaction'
import { insertFinding } from '@/data/findingRepository'
import { insertSample } from '@/data/sampleRepository'
import { insertFile, readPackedFile } from '@/data/fileRepository'
import { packFile } from '../packed'
import { insertSeals } from '@/data/sealRepository'
import { insertColumns } from '@/data/sheetRepository'
import { holdCase, insertTrail } from '@/data/trailRepository'
import { bytesOfColumn } from '@/intake/sheet/columnBytes'
import { anewWords } from '@/words/en/trailWords'
import type { Doer } from '../doer'
import { computing } from '../compute/computing'
import { database } from './database'
import { outcomeOf } from '../check/outcomeOf'
import { notFound } from '../problems'
import { readContent, readContentNow } from './readContent'
import { record } from '../record'

/** A case as one file, and what it is called. */
export async function exportCase(
  caseId: string,
): Promise<Outcome<Readonly<{ name: string; bytes: AsyncGenerator<Uint8Array> }>>> {
  const content = await readContentNow(await database(), caseId)
  if (!content) return failure(notFound('case', caseId))
  const { reference, subject } = content.case
  return success({
    name: `${reference} ${subject}`.trim() || 'case',
    bytes: writeCaseFile(content, computing()),
  })
}

const LONGEST_NAME = 500

/**
 * Brings a case in from its file: all of it, or nothing. Where the same case is here already, the file takes its place if it
 * goes on from it.
 *
 * @returns the case, or the problem `case-file` or `already-here`
 */
export async function importCase(
  bytes: Uint8Array,
  called: string,
  { by, now }: Doer,
): Promise<Outcome<Readonly<{ caseId: string }>>> {
  const [fileName, who] = [called, by].map((text) =>
    beginningOf(wellFormed(text.replaceAll('\0', '')), LONGEST_NAME),
  )
  const file = await readCaseFile(bytes, computing())
  if (!file.ok) return file
  const { id } = file.value.content.case
  return inTransaction(
    await database(),
    async (transaction): Promise<Outcome<Readonly<{ caseId: string }>>> => {
      const { content, coreVersion } = file.value
      const anew = anewWords(file.value)
      await holdCase(transaction, id)
      const here = await readContent(transaction, id)
      const problem = here && (await whyNotGoingOn(here, content))
      if (problem) return failure(alreadyHere(here, problem))
      const kept = here ? await filesOf(transaction, here) : new Map<string, readonly Uint8Array[]>()
      if (here) await removeCase(transaction, id)
      await store(transaction, file.value, kept)
      const place = here ? `, in the place of the case as of entry ${here.head.length}` : ''
      const detail = `${fileName}, as of entry ${content.head.length}${place}, made with core ${coreVersion}${[
        anew,
        ...file.value.notes,
      ]
        .filter(Boolean)
        .map((note) => `. ${note}`)
        .join('')}`
      await record(transaction, { caseId: id, at: now, who: who!, action: 'imported', detail })
      return success({ caseId: id })
    },
  )
}

function alreadyHere({ case: { reference, subject } }: CaseContent, why: string): Problem {
  const name = `${reference} ${subject}`.trim() || 'without a name'
  const message = `This case is here already (${name}): ${why} Nothing was changed.`
  return { code: 'already-here', path: 'case.json', message }
}

/** The files that are kept here, packed, by their samples: a case file may leave them out. */
async function filesOf(
  db: Connection,
  { samples }: CaseContent,
): Promise<ReadonlyMap<string, readonly Uint8Array[]>> {
  const kept = new Map<string, readonly Uint8Array[]>()
  for (const { id } of samples) {
    const packed: Uint8Array[] = []
    for await (const piece of readPackedFile(db, id)) packed.push(piece)
    kept.set(id, packed)
  }
  return kept
}

async function store(
  db: Connection,
  { content }: CaseFile,
  kept: ReadonlyMap<string, readonly Uint8Array[]>,
): Promise<void> {
  const { id: caseId, state, createdAt, updatedAt } = content.case
  const [created, updated] = [new Date(createdAt), new Date(updatedAt)]
  await insertCase(db, {
    id: caseId,
    ...caseWordsOf(content.case),
    state,
    createdAt: created,
    updatedAt: updated,
  })
  for (const { id, draft, file, sheet, original, ...times } of content.samples) {
    await insertSample(db, { id, caseId, draft, ...(file ? { file } : {}), ...stored(times) })
    if (sheet) await insertColumns(db, id, (await sheet.columns()).map(bytesOfColumn))
    const pieces = await original?.()
    await insertFile(db, id, pieces ? packFile(pieces, file!.fileBytes) : (kept.get(id) ?? []))
  }
  for (const { id, draft, ...times } of content.claims) {
    const outcome = await outcomeOf(db, draft)
    await insertClaim(db, { id, caseId, draft, outcome, ...stored(times) })
  }
  for (const finding of content.findings)
    await insertFinding(db, { ...finding, createdAt: new Date(finding.createdAt) })
  await insertTrail(db, content.trail)
  await insertSeals(db, caseId, content.seals)
}

function stored({
  createdAt,
  updatedAt,
  revision,
}: Readonly<{ createdAt: string; updatedAt: string; revision: number }>) {
  return { now: new Date(createdAt), updatedAt: new Date(updatedAt), revision }
}
