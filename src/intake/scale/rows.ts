import { type ColumnWords, columnNamed, type SampleDraft } from '@/desk/sampleDraft'
import type { NotTaken } from '@/words/en/scaleWords'
import { READINGS_COLUMN, readTypedSheet, typedCells } from '../sheet/typedSheet'

/** What goes with each reading that is taken from an instrument, as columns of the sample's sheet. */
export const WITH_READING = {
  unit: 'unit of the lot',
  tare: 'tare',
  at: 'taken at',
  instrument: 'taken with',
} as const
type WithReading = Readonly<Record<keyof typeof WITH_READING, string>>

/** A reading as it is taken: its digits with a point, and what goes with it. */
export type TakenReading = Readonly<{ text: string; unitOfReading: string }> & WithReading

type Change = Readonly<{
  fields: Pick<SampleDraft, 'readings' | 'columns' | 'setAside'>
  /** The column that holds the readings. */
  column: string
}>

/**
 * Puts a reading behind those of a typed sample, with what goes with it in columns of their own.
 *
 * @param claim - the column that it is held against, where there are several; and its unit, which readings without one are in
 */
export function withReading(
  sample: SampleDraft,
  claim: Readonly<{ column: string; unit: string }>,
  { text, unitOfReading, ...beside }: TakenReading,
): Readonly<{ ok: true; value: Change } | { ok: false; problem: NotTaken }> {
  if (sample.kind !== 'typed') return { ok: false, problem: { why: 'not-typed' } }
  const { header } = readTypedSheet(sample)
  // The name above a list is a row of it, and becomes the column's.
  const rows = typedCells(sample).slice(header === undefined ? 0 : 1)
  const setAside =
    header === undefined ? sample.setAside : sample.setAside.map((one) => ({ ...one, row: one.row - 1 }))
  const listed = {
    ...READINGS_COLUMN,
    ...sample.columns[0],
    ...(header === undefined ? {} : { name: header }),
  }
  const known = sample.columns.length > 1 ? sample.columns : [listed]
  const own = known.length === 1 ? known[0] : known.find(({ name }) => name === claim.column)
  const isMade = sample.made.some(({ name }) => name === claim.column)
  if (!own || own.kind !== 'number' || isMade) return { ok: false, problem: { why: 'no-column' } }
  const { name } = own
  const isFirst = rows.every((row) => row.every((cell) => cell === ''))
  const unit = own.unit || claim.unit
  if (!isFirst && unitOfReading !== '' && unit !== unitOfReading)
    return { ok: false, problem: { why: 'other-unit', instrument: unitOfReading, readings: unit } }
  const columns = withColumns(known, isFirst && unitOfReading !== '' ? { ...own, unit: unitOfReading } : own)
  const cellOf = ({ name: of }: ColumnWords): string => {
    if (of === name) return sample.decimalMark === 'comma' ? text.replace('.', ',') : text
    const field = FIELDS.find((one) => WITH_READING[one] === of)
    return field ? beside[field].replace(/[\t\r\n]/g, ' ') : ''
  }
  const width = columns.length
  const lines = (isFirst ? [] : rows).map((row) =>
    Array.from({ length: width }, (_, at) => row[at] ?? '').join('\t'),
  )
  const readings = [...lines, columns.map(cellOf).join('\t')].join('\n')
  return { ok: true, value: { fields: { readings, columns, setAside }, column: name } }
}

const FIELDS = Object.keys(WITH_READING) as (keyof WithReading)[]

function withColumns(known: readonly ColumnWords[], own: ColumnWords): ColumnWords[] {
  const placed = known.map((one) => (one.name === own.name ? own : one))
  const names = new Set(placed.map(({ name }) => name))
  const added = FIELDS.map((field) => WITH_READING[field]).filter((name) => !names.has(name))
  return [...placed, ...added.map((name) => ({ ...columnNamed(name, 'text'), isKindSaid: true }))]
}

/** The rows that were taken from an instrument, the first first. */
export function takenRows(sample: SampleDraft): readonly WithReading[] {
  const places = FIELDS.map((field) => sample.columns.findIndex(({ name }) => name === WITH_READING[field]))
  return typedCells(sample).flatMap((row) => {
    const read = Object.fromEntries(FIELDS.map((field, at) => [field, row[places[at]!] ?? ''])) as WithReading
    return read.at === '' ? [] : [read]
  })
}

/**
 * The units of the lot that are noted with readings that are not set aside, row by row.
 *
 * @param column - of the readings
 */
export function unitsNoted(sample: SampleDraft, column: string): readonly string[] {
  const placeOf = (wanted: string) => sample.columns.findIndex(({ name }) => name === wanted)
  const [at, reading] = [placeOf(WITH_READING.unit), placeOf(column)]
  if (sample.kind !== 'typed') return []
  const aside = new Set(sample.setAside.map(({ row }) => row))
  return typedCells(sample).flatMap((row, place) => {
    const [unit, read] = [row[at]?.trim() ?? '', row[reading]?.trim() ?? '']
    return unit === '' || read === '' || aside.has(place) ? [] : [unit]
  })
}

/** Takes the last row out, where it was taken from an instrument and is not set aside. */
export function withoutLast(sample: SampleDraft): Pick<SampleDraft, 'readings'> | undefined {
  const rows = typedCells(sample)
  const at = sample.columns.findIndex(({ name }) => name === WITH_READING.at)
  const last = rows.length - 1
  const isTaken = (rows[last]?.[at] ?? '') !== ''
  if (!isTaken || sample.setAside.some(({ row }) => row === last)) return undefined
  return {
    readings: rows
      .slice(0, last)
      .map((row) => row.join('\t'))
      .join('\n'),
  }
}
