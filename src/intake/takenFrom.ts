import { type ClaimDraft, countsRows } from '@/desk/claimDraft'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { type KeptRows, ORDERED, type RowCondition } from '@/desk/rowCondition'
import type { ColumnWords, SampleDraft } from '@/desk/sampleDraft'
import { takeCount, type TakenCount } from './sheet/takeCount'
import { readNumber } from './reading/number'
import { asNumbers, hasDigits, isOfTexts } from './sheet/asNumbers'
import { cellText, type Column } from './sheet/columns'
import { sourcesOf, withMade } from './sheet/madeColumns'
import { columnNotFound } from './sheet/keepRows'
import { type NearEntry, nearEntry } from './sheet/nearEntry'
import { notNumbers, type TakenReadings, takeReadings } from './sheet/takeReadings'
import type { Writing } from './reading/entry'
import { READINGS_COLUMN, type TypedSheet, writingOf } from './sheet/typedSheet'

/** What a claim takes from a sheet: readings, or for a share a count of rows. */
export type Taken = TakenReadings &
  Readonly<{
    count?: TakenCount
    /** Of each reading, or of each row that is counted, the entry in the column of its group. */
    groups?: readonly string[]
    /** The first line of a typed list, where it names the column. */
    header?: string
    /** An entry that the conditions tell from what they state only by how it is written. */
    near?: NearEntry
  }>

/** What of a claim says where its evidence comes from. */
export type Wanted = Pick<
  ClaimDraft,
  'parameter' | 'limitSide' | 'column' | 'kept' | 'counted' | 'decimalMark'
>

/** Whether nobody has said yet what the second source of a claim is. */
export const isSecondOpen = ({ secondSampleId, secondColumn, secondKept }: ClaimDraft): boolean =>
  secondSampleId === null && secondColumn === '' && secondKept.length === 0

/** A claim about two spreads, as its second source sees it: that one's column and rows stand in the first one's place. */
export function ofSecond(draft: ClaimDraft): ClaimDraft {
  const { secondSampleId, secondColumn: column, secondKept: kept } = draft
  return { ...draft, sampleId: secondSampleId ?? draft.sampleId, column, kept }
}

/**
 * The column that a claim's readings come from: the only one, or the one that it names, also where there is none of that name
 * any more, since another one would be tested unseen. Empty where there are several and none is named.
 */
export function columnFor(
  draft: Pick<ClaimDraft, 'column'>,
  { columns, made }: Pick<SampleDraft, 'columns' | 'made'>,
): string {
  if (made.some(({ name }) => name !== '' && name === draft.column)) return draft.column
  return columns.length > 1 ? draft.column : (columns[0] ?? READINGS_COLUMN).name
}

/** The part of a sheet that a claim is held against: its column, its rows, and which of them count. */
type Part = Pick<ClaimDraft, 'column' | 'kept' | 'counted'>

/**
 * What a claim takes of another sample: the column and the rows that it took of the one before, where they are there too.
 *
 * @param names - of the other sample's columns
 * @param likely - the column that its readings most likely come from; empty where several could be meant
 */
export function keptPart(part: Part, names: readonly string[], likely = ''): Part {
  const areThere = (rows: KeptRows) => rows.flat().every(({ column }) => names.includes(column))
  return {
    column: part.column !== '' && names.includes(part.column) ? part.column : likely,
    kept: areThere(part.kept) ? part.kept : [],
    counted: areThere(part.counted) ? part.counted : [],
  }
}

/** The columns of a sheet that a claim needs to be read: that of its readings and those of its conditions. */
export function columnsWanted(draft: Wanted, sample: SampleOfColumns): readonly string[] {
  return namesTaken(wantedOf(draft, sample))
}

/** The columns of the sheet itself that are read. */
export const namesTaken = (wanted: SettledWanted): readonly string[] =>
  sourcesOf(namesWanted(wanted), wanted.written.made)

function namesWanted(wanted: SettledWanted): readonly string[] {
  const own = countsRows(wanted) ? [] : [wanted.column]
  const groups = wanted.group === '' ? [] : [wanted.group]
  return [...own, ...groups, ...conditionsOf(wanted).map(({ column }) => column)]
}

/** The column that names the cluster or the layer of each row; empty where there is none. */
const groupOf = ({ groupedBy, groupColumn }: Pick<SampleDraft, 'groupedBy' | 'groupColumn'>): string =>
  groupedBy === 'none' ? '' : groupColumn

function conditionsOf(wanted: Wanted): readonly RowCondition[] {
  const { kept, counted } = wanted
  return (countsRows(wanted) ? [...kept, ...counted] : kept).flat()
}

/** What a claim takes from a sheet. */
export function takenFrom(
  sheet: TakenSheet,
  draft: Wanted,
  sample: SampleOfColumns & Pick<SampleDraft, 'setAside'>,
): Outcome<Taken> {
  const setAside = sample.setAside.map(({ row }) => row)
  return takeWanted(sheet, wantedOf(draft, sample), setAside)
}

/** What is wanted of a sheet, once its column and how that is written are settled. */
export type SettledWanted = Wanted &
  Readonly<{ group: string; written: Pick<SampleDraft, 'columns' | 'decimalMark' | 'made'> }>

/** What of a sample says which columns it has and what they are. */
export type SampleOfColumns = Pick<
  SampleDraft,
  'columns' | 'made' | 'decimalMark' | 'groupedBy' | 'groupColumn'
>

export function wantedOf(draft: Wanted, sample: SampleOfColumns): SettledWanted {
  const { parameter, limitSide, kept, counted, decimalMark } = draft
  const { columns, made, decimalMark: mark } = sample
  // The worker is sent no more of them than it reads.
  const isTold = ({ readAs = [] }: ColumnWords) => made.length > 0 || readAs.length > 0
  const written = { columns: columns.filter(isTold), made, decimalMark: mark }
  const settled = { column: columnFor(draft, sample), group: groupOf(sample), written }
  return { parameter, limitSide, kept, counted, decimalMark, ...settled }
}

/** A sheet that was typed, with what could not be read of it, or columns of a file. */
export type TakenSheet = Pick<TypedSheet, 'columns' | 'rowCount'> &
  Partial<Pick<TypedSheet, 'unread' | 'said' | 'limits' | 'header'>>

/**
 * What a claim takes from a sheet.
 *
 * @param wanted.column - the column of the readings, by its name
 * @param setAside - rows; they matter only where rows are counted
 */
export function takeWanted(
  sheet: TakenSheet,
  wanted: SettledWanted,
  setAside: readonly number[],
): Outcome<Taken> {
  const { column, kept, counted, decimalMark: mark } = wanted
  const made = withMade(sheet.columns, {
    names: namesWanted(wanted),
    sample: wanted.written,
    limits: sheet.limits ?? {},
  })
  if (!made.ok) return made
  const unreadThere = [...(sheet.unread ?? []), ...made.value.unread]
  const compared = withCompared({ ...sheet, columns: made.value.columns, unread: unreadThere }, wanted)
  if (!compared.ok) return compared
  const { columns, unread, said } = compared.value
  const { header, rowCount } = sheet
  const near = nearEntry(columns, conditionsOf(wanted), mark, { mark, rules: [] })
  const named = { ...(header === undefined ? {} : { header }), ...(near ? { near } : {}) }
  const labels = labelsIn(columns, wanted.group)
  if (!labels.ok) return labels
  if (!countsRows(wanted)) {
    const writing = writingFor(wanted, column)
    const taken = takeReadings(
      { columns, rowCount },
      { column, kept, mark, writing, limits: sheet.limits?.[column] },
    )
    if (!taken.ok) return taken
    return success({
      ...taken.value,
      said: taken.value.said ?? said[column],
      keptCount: taken.value.keptCount - (header === undefined ? 0 : 1),
      unread: [...unread, ...taken.value.unread],
      ...labels.value(taken.value.rows),
      ...named,
    })
  }
  // The name of the column is no row.
  const left = header === undefined ? setAside : [...setAside, 0]
  const count = takeCount(
    { columns, rowCount },
    { kept, counted, mark, setAside: left, ...(wanted.group === '' ? {} : { listed: 'rows' }) },
  )
  if (!count.ok) return count
  const { withSetAside, missing, listed } = count.value
  const keptCount = withSetAside.n + missing
  const rows = listed?.rows ?? []
  const groups = labels.value(rows)
  return success({ values: [], rows, keptCount, unread, count: count.value, ...groups, ...named })
}

/** The entries of the column of groups in some rows; nothing where there is no such column. */
function labelsIn(
  columns: readonly Column[],
  name: string,
): Outcome<(rows: readonly number[]) => Pick<Taken, 'groups'>> {
  if (name === '') return success(() => ({}))
  const found = columns.find((column) => column.name === name)
  return found
    ? success((rows) => ({ groups: rows.map((row) => cellText(found, row).trim()) }))
    : failure(columnNotFound(name, columns))
}

const writingFor = ({ written }: SettledWanted, name: string): Writing =>
  writingOf(
    written.decimalMark,
    written.columns.find((one) => one.name === name),
  )

/** A row that is kept where another lies above a value can't be told of an entry that is a limit itself. */
const beyondOrder = (name: string) => ({
  code: 'not-numbers',
  path: 'kept',
  message: `“${name}” has entries that are limits, such as “< 0.5”: whether they lie above or below another value is not known, so rows cannot be kept or counted by it. Go by another column, or claim a share of items by their readings, which takes them.`,
})

/**
 * The columns with those of texts read as numbers that a condition compares with a number: a text that is none would not be
 * above or below it, and nobody would see. What can't be read of all columns that are wanted is told of.
 */
function withCompared(
  { columns, unread: typed = [], said: typedSaid = {}, limits = {} }: TakenSheet,
  wanted: SettledWanted,
): Outcome<Required<Pick<TypedSheet, 'columns' | 'unread' | 'said'>>> {
  const names = [...namesWanted(wanted), ...namesTaken(wanted)]
  const unread = typed.filter((entry) => names.includes(entry.column))
  const made = [...columns]
  const said = { ...typedSaid }
  for (const { column: name, relation, value } of conditionsOf(wanted)) {
    const at = made.findIndex((column) => column.name === name)
    const found = made[at]
    if (ORDERED.includes(relation) && limits[name]) return failure(beyondOrder(name))
    if (!found || !isOfTexts(found) || !ORDERED.includes(relation)) continue
    if (!hasDigits(found) || !readNumber(value, wanted.decimalMark).ok)
      return failure(notNumbers(found, 'Only numbers and dates lie above, below or between.'))
    const read = asNumbers(found, writingFor(wanted, name))
    if (read.limits.below.length + read.limits.above.length > 0) return failure(beyondOrder(name))
    made[at] = read.column
    for (const one of read.unread) unread.push(one)
    if (read.said) said[name] = read.said
  }
  return success({ columns: made, unread, said })
}
