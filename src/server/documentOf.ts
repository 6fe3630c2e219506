import 'server-only'
import type { CheckDocument } from '@/core/check/request'
import type { ClaimDraft } from '@/core/claim/draft'
import type { Outcome } from '@/core/outcome'
import type { Connection } from '@/data/client'
import { findSample, type StoredSample } from '@/data/sampleRepository'
import { findColumnHeads, readColumn } from '@/data/sheetRepository'
import { readDraft } from '@/intake/readDraft'
import { type EvidenceReading, readEvidence } from '@/intake/readEvidence'
import { columnOfBytes } from '@/intake/sheet/columnBytes'
import { readTypedSheet } from '@/intake/sheet/typedSheet'
import { columnsWanted, ofSecond, type Taken, takenFrom } from '@/intake/takenFrom'
import { joinSources } from '@/intake/twoSources'

/** A sample as a claim is held against it. */
export type HeldAgainst = Pick<StoredSample, 'id' | 'draft' | 'file'>

/**
 * The check document of a claim and of the samples that it is held against; undefined while there is nothing to check.
 *
 * @param known - samples as they stand, where they are not stored yet
 */
export async function documentOf(
  db: Connection,
  draft: ClaimDraft,
  known: readonly HeldAgainst[] = [],
): Promise<CheckDocument | undefined> {
  const evidenceOf = async (side: ClaimDraft) => {
    const sample = known.find(({ id }) => id === side.sampleId) ?? (await findSample(db, side.sampleId))
    return (
      sample && readEvidence({ sample: sample.draft, taken: await takenOf(db, side, sample), draft: side })
    )
  }
  const first = await evidenceOf(draft)
  if (!first) return undefined
  if (draft.parameter !== 'variance-ratio') return documentFrom(draft, first)
  const second = await evidenceOf(ofSecond(draft))
  return second && documentFrom(draft, joinSources(draft, { first, second }))
}

const documentFrom = (draft: ClaimDraft, evidence: EvidenceReading) => readDraft(draft, evidence).document

/** What a claim takes from the sheet of its sample: of a file, only the columns that it needs are read. */
async function takenOf(
  db: Connection,
  draft: ClaimDraft,
  { id, draft: sample, file }: HeldAgainst,
): Promise<Outcome<Taken> | undefined> {
  if (sample.kind === 'typed') return takenFrom(readTypedSheet(sample), draft, sample)
  if (!file) return undefined
  const heads = await findColumnHeads(db, id, columnsWanted(draft, sample))
  const columns = []
  for (const head of heads) columns.push(columnOfBytes(await readColumn(db, id, head)))
  return takenFrom({ columns, rowCount: file.rowCount }, draft, sample)
}
