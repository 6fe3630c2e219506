import type { ClaimDraft } from '@/core/claim/draft'
import type { Outcome } from '@/core/outcome'
import type { SampleDraft } from '@/core/sample/sampleDraft'
import { type Taken, takeReadings } from './sheet/takeReadings'
import type { TypedSheet } from './sheet/typedSheet'

/**
 * The column that a claim's readings come from: the only one; else the one that it names, also where there is none of that
 * name any more, since another one would be tested unseen; else the first of numbers that has a unit, or the first.
 */
export function columnFor(draft: Pick<ClaimDraft, 'column'>, sample: Pick<SampleDraft, 'columns'>): string {
  const { columns } = sample
  if (columns.length > 1 && draft.column !== '') return draft.column
  const numbers = columns.filter(({ kind }) => kind === 'number')
  return (numbers.find(({ unit }) => unit !== '') ?? numbers[0] ?? columns[0])?.name ?? 'readings'
}

type Wanted = Pick<ClaimDraft, 'column' | 'kept' | 'decimalMark'>

/** The columns of a sheet that a claim needs to be read: that of its readings and those of its conditions. */
export function columnsWanted(draft: Wanted, sample: Pick<SampleDraft, 'columns'>): readonly string[] {
  return [columnFor(draft, sample), ...draft.kept.flat().map(({ column }) => column)]
}

/** What a claim takes from a sheet. */
export function takenFrom(
  sheet: Pick<TypedSheet, 'columns' | 'rowCount'>,
  draft: Wanted,
  sample: Pick<SampleDraft, 'columns'>,
): Outcome<Taken> {
  return takeReadings(sheet, { column: columnFor(draft, sample), kept: draft.kept, mark: draft.decimalMark })
}
