import 'server-only'
import { checkOutcome } from '@/core/check/check'
import type { ClaimDraft } from '@/core/claim/draft'
import type { FindingOutcome } from '@/core/claim/finding'
import type { Outcome } from '@/core/outcome'
import type { Connection } from '@/data/client'
import type { StoredSample } from '@/data/sampleRepository'
import { findColumnHeads, readColumn } from '@/data/sheetRepository'
import { readDraft } from '@/intake/readDraft'
import { readEvidence } from '@/intake/readEvidence'
import { columnOfBytes } from '@/intake/sheet/columnBytes'
import type { Taken } from '@/intake/sheet/takeReadings'
import { readTypedSheet } from '@/intake/sheet/typedSheet'
import { columnFor, columnsWanted, takenFrom } from '@/intake/takenFrom'

type HeldAgainst = Pick<StoredSample, 'id' | 'draft' | 'file'>

/** What the check of a claim against its sample comes to; null while there is nothing to check. */
export async function outcomeOf(
  db: Connection,
  draft: ClaimDraft,
  sample: HeldAgainst,
): Promise<FindingOutcome | null> {
  const taken = await takenOf(db, draft, sample)
  const column = columnFor(draft, sample.draft)
  const { document } = readDraft(
    draft,
    readEvidence({ sample: sample.draft, taken, column, unit: draft.unit }),
  )
  return (document && checkOutcome(document)) ?? null
}

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
