import { parameterOf } from '@/claims/all'
import type { ClaimDraft } from '@/desk/claimDraft'
import { type Outcome, success } from '@/claims/terms/outcome'
import type { SampleDraft } from '@/desk/sampleDraft'
import { takeCount, type TakenCount } from './sheet/takeCount'
import { type TakenReadings, takeReadings } from './sheet/takeReadings'
import type { TypedSheet } from './sheet/typedSheet'

/** What a claim takes from a sheet: readings, or for a share a count of rows. */
export type Taken = TakenReadings & Readonly<{ count?: TakenCount }>

/** What of a claim says where its evidence comes from. */
export type Wanted = Pick<ClaimDraft, 'parameter' | 'column' | 'kept' | 'counted' | 'decimalMark'>

/** A claim about two spreads, as its second source sees it: that one's column and rows stand in the first one's place. */
export function ofSecond(draft: ClaimDraft): ClaimDraft {
  const { secondSampleId, secondColumn: column, secondKept: kept } = draft
  return { ...draft, sampleId: secondSampleId ?? draft.sampleId, column, kept }
}

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

/** The columns of a sheet that a claim needs to be read: that of its readings and those of its conditions. */
export function columnsWanted(draft: Wanted, sample: Pick<SampleDraft, 'columns'>): readonly string[] {
  const { kept, counted, parameter } = draft
  const isCounted = parameterOf(parameter).sample === 'counted'
  const conditions = isCounted ? [...kept, ...counted] : kept
  const own = isCounted ? [] : [columnFor(draft, sample)]
  return [...own, ...conditions.flat().map(({ column }) => column)]
}

/** What a claim takes from a sheet. */
export function takenFrom(
  sheet: Pick<TypedSheet, 'columns' | 'rowCount'>,
  draft: Wanted,
  sample: Pick<SampleDraft, 'columns' | 'setAside'>,
): Outcome<Taken> {
  const setAside = sample.setAside.map(({ row }) => row)
  return takeWanted(sheet, { ...draft, column: columnFor(draft, sample) }, setAside)
}

/**
 * What a claim takes from a sheet.
 *
 * @param wanted.column - the column of the readings, by its name
 * @param setAside - rows; they matter only where rows are counted
 */
export function takeWanted(
  sheet: Pick<TypedSheet, 'columns' | 'rowCount'>,
  wanted: Wanted,
  setAside: readonly number[],
): Outcome<Taken> {
  const { parameter, column, kept, counted, decimalMark: mark } = wanted
  if (parameterOf(parameter).sample !== 'counted') return takeReadings(sheet, { column, kept, mark })
  const count = takeCount(sheet, { kept, counted, mark, setAside })
  if (!count.ok) return count
  const { withSetAside, missing } = count.value
  return success({ values: [], rows: [], keptCount: withSetAside.n + missing, count: count.value })
}
