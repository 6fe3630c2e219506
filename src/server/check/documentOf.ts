import 'server-only'
import type { ClaimDocument } from '@/claims/checkAnswer'
import type { ClaimDraft } from '@/desk/claimDraft'
import type { SampleFile } from '@/desk/sampleFile'
import type { Connection } from '@/data/client'
import { findSample, type StoredSample } from '@/data/sampleRepository'
import { findColumnHeads, readColumn } from '@/data/sheetRepository'
import { askedOf } from '@/intake/readDraft'
import { type ClaimReading, readClaimAgainst, type SampleSource } from '@/intake/claimDocument'
import { columnOfBytes } from '@/intake/sheet/columnBytes'
import type { Column } from '@/intake/sheet/columns'

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
): Promise<ClaimDocument | undefined> {
  const reading = await readingOf(db, draft, known)
  return reading && askedOf(reading)
}

/** The same as it was read, with the rows that it was taken from. */
export const readingOf = (
  db: Connection,
  draft: ClaimDraft,
  known: readonly HeldAgainst[] = [],
): Promise<ClaimReading | undefined> =>
  readClaimAgainst(draft, async (id) => {
    const sample = known.find((one) => one.id === id) ?? (await findSample(db, id))
    return sample && sourceOf(db, sample)
  })

/** A stored sample, whose sheet is read where it is asked for. */
export function sourceOf(db: Connection, { id, draft, file }: HeldAgainst): SampleSource {
  return { draft, ...(file ? { sheet: storedSheet(db, id, file) } : {}) }
}

function storedSheet(db: Connection, id: string, { rowCount }: SampleFile): SampleSource['sheet'] {
  return {
    rowCount,
    columns: async (names) => {
      const columns: Column[] = []
      for (const head of await findColumnHeads(db, id, names))
        columns.push(columnOfBytes(await readColumn(db, id, head)))
      return columns
    },
  }
}
