import 'server-only'
import { and, asc, eq, sql } from 'drizzle-orm'
import type { ColumnWords, SampleDraft } from '@/desk/sampleDraft'
import type { SampleFile } from '@/desk/sampleFile'
import type { Connection } from './connection'
import { samples } from './schema'

export type StoredSample = Readonly<{
  id: string
  caseId: string
  draft: SampleDraft
  file: SampleFile | null
  revision: number
  createdAt: Date
  updatedAt: Date
}>

/** A sample as a list shows it. */
export type SampleLine = Readonly<{
  id: string
  name: string
  kind: SampleDraft['kind']
  fileName: string | null
  rowCount: number | null
  columns: readonly ColumnWords[]
  isDiscarded: boolean
}>

export async function findSample(db: Connection, id: string): Promise<StoredSample | undefined> {
  const row = await db.query.samples.findFirst({ where: eq(samples.id, id) })
  if (!row) return undefined
  const {
    caseId,
    revision,
    createdAt,
    updatedAt,
    fileName,
    fileBytes,
    fileSha256,
    rowCount,
    id: sampleId,
    ...draft
  } = row
  const file =
    fileName === null || fileBytes === null || fileSha256 === null || rowCount === null
      ? null
      : { fileName, fileBytes, fileSha256, rowCount }
  return { id: sampleId, caseId, draft, file, revision, createdAt, updatedAt }
}

/** The samples of a case, the oldest first, those that are discarded too. */
export function listSamples(db: Connection, caseId: string): Promise<readonly SampleLine[]> {
  return db
    .select({
      id: samples.id,
      name: samples.name,
      kind: samples.kind,
      fileName: samples.fileName,
      rowCount: samples.rowCount,
      columns: samples.columns,
      isDiscarded: samples.isDiscarded,
    })
    .from(samples)
    .where(eq(samples.caseId, caseId))
    .orderBy(asc(samples.createdAt), asc(samples.id))
}

export async function insertSample(
  db: Connection,
  sample: Readonly<{
    id: string
    caseId: string
    draft: SampleDraft
    file?: SampleFile
    now: Date
    /** Where it was kept elsewhere before. */
    revision?: number
    updatedAt?: Date
  }>,
): Promise<void> {
  const { id, caseId, draft, file, now, revision = 1, updatedAt = now } = sample
  await db.insert(samples).values({ id, caseId, ...draft, ...file, revision, createdAt: now, updatedAt })
}

/**
 * Stores a changed sample, if the change was made to the revision that is stored.
 *
 * @returns the new revision, or undefined where the stored sample is another revision, or none
 */
export async function updateSample(
  db: Connection,
  change: Readonly<{ id: string; revision: number; draft: SampleDraft; now: Date }>,
): Promise<number | undefined> {
  const [changed] = await db
    .update(samples)
    .set({ ...change.draft, updatedAt: change.now, revision: sql`${samples.revision} + 1` })
    .where(and(eq(samples.id, change.id), eq(samples.revision, change.revision)))
    .returning({ revision: samples.revision })
  return changed?.revision
}
