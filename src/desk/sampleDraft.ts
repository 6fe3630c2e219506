import * as z from 'zod/mini'
import { READ_RULES } from '@/claims/terms/entries'
import { madeColumnSchema } from './madeColumn'
import { DECIMAL_MARKS, storedText } from './typed'

/** Of a column's name, and of any other label. */
export const LONGEST_NAME = 500
const words = storedText(LONGEST_NAME)
/** Holds a million readings of fifteen characters. */
const READINGS_LENGTH = 16_000_000
/** Holds a code list of some thousand places. */
const CODES_LENGTH = 200_000
/** More columns than any sheet of measurements has. */
export const MAX_COLUMNS = 400
const MAX_SET_ASIDE = 100_000
const MAX_READ_RULES = 40
const MAX_MADE = 40

/** How a sample was brought in: typed or pasted readings, a file as it was handed in, summary figures only, a count, or events over an exposure. */
export const SAMPLE_KINDS = ['typed', 'file', 'summary', 'count', 'events'] as const
export type SampleKind = (typeof SAMPLE_KINDS)[number]

export const COLUMN_KINDS = ['number', 'category', 'text', 'date'] as const
export type ColumnKind = (typeof COLUMN_KINDS)[number]

export const SPREADS = ['standard-deviation', 'variance'] as const
export const RANDOMNESS = ['unknown', 'random', 'not-random'] as const
export const INDEPENDENCE = ['unknown', 'independent', 'not-independent'] as const
/** How readings belong together: not at all, by what was drawn, or by the layer of the lot that they are of. */
export const GROUPINGS = ['none', 'clusters', 'strata'] as const

/** How entries are read that can be read in several ways, or only with a sign taken off. */
export const readRuleSchema = z.strictObject({ rule: z.enum(READ_RULES), text: words })

/** What a column of a sheet is: texts as a person typed them. */
export const columnWordsSchema = z.strictObject({
  name: words,
  label: words,
  unit: words,
  kind: z.enum(COLUMN_KINDS),
  /** Whether somebody said the kind; else that of a typed column follows its cells. */
  isKindSaid: z.optional(z.boolean()),
  /** What each code means, one a line: "7 = North quay depot". */
  codes: storedText(CODES_LENGTH),
  readAs: z.optional(z.array(readRuleSchema).check(z.maxLength(MAX_READ_RULES))),
})

/** A reading that is kept out of every test of this sample: it stays visible and can be brought back. */
export const setAsideSchema = z.strictObject({
  /** The row of the sheet, counted from 0. */
  row: z.int().check(z.nonnegative()),
  reason: storedText(2000),
  by: words,
})

/**
 * A sample as a person describes it: texts, half-typed ones too. The cells of a file are kept apart from it, since nobody
 * changes them.
 */
export const sampleDraftSchema = z.strictObject({
  name: words,
  kind: z.enum(SAMPLE_KINDS),
  /** What is typed: a list of readings, or rows of cells that tabs separate where there are two columns or more. */
  readings: storedText(READINGS_LENGTH),
  decimalMark: z.enum(DECIMAL_MARKS),
  columns: z.array(columnWordsSchema).check(z.maxLength(MAX_COLUMNS)),
  setAside: z.array(setAsideSchema).check(z.maxLength(MAX_SET_ASIDE)),
  /** Columns that are made of those of the sheet. */
  made: z.array(madeColumnSchema).check(z.maxLength(MAX_MADE)),
  sampleSize: words,
  mean: words,
  spread: words,
  spreadIs: z.enum(SPREADS),
  /** "18 of 40", or "45 % of 40". */
  count: words,
  /** How many events there were. */
  events: words,
  /** Over what they were counted, in units of what the rate is per; of counts in rows, that of each row. */
  exposure: words,
  drawnHow: words,
  drawnAtRandom: z.enum(RANDOMNESS),
  /** Whether the units were taken, and the readings made, without one bearing on another. */
  takenIndependently: z.enum(INDEPENDENCE),
  groupedBy: z.enum(GROUPINGS),
  /** The column that names the cluster or the layer of each row. */
  groupColumn: words,
  clustersInLot: words,
  /** The size of each layer of the lot, one a line: "north = 400". */
  strataSizes: storedText(CODES_LENGTH),
  drawnWhen: words,
  drawnWhere: words,
  drawnBy: words,
  /** When the items came in, and in what condition. */
  receivedOn: words,
  itemsCondition: words,
  measuredOn: words,
  measuredWhere: words,
  environment: words,
  /** What was measured by, with its edition, and in what it was departed from. */
  procedure: words,
  deviations: words,
  /** What of the readings others made, and who. */
  fromOthers: words,
  lot: words,
  lotSize: words,
  instrument: words,
  resolution: words,
  calibratedOn: words,
  calibrationDue: words,
  /** The expanded uncertainty U of what all readings share, its k and its degrees of freedom, as a certificate states them. */
  uncertainty: words,
  coverageFactor: words,
  uncertaintyDegrees: words,
  /** The standard uncertainty of one reading by itself. */
  readingUncertainty: words,
  /** The certificate, and what its values are traceable to. */
  traceability: words,
  /** Kept, but part of nothing any more; it can be taken up again. */
  isDiscarded: z.boolean(),
})

export type SampleDraft = z.infer<typeof sampleDraftSchema>
export type ReadRule = Readonly<z.infer<typeof readRuleSchema>>
export type ColumnWords = Readonly<z.infer<typeof columnWordsSchema>>
export type SetAside = Readonly<z.infer<typeof setAsideSchema>>

export const EMPTY_SAMPLE: SampleDraft = {
  name: '',
  kind: 'typed',
  readings: '',
  decimalMark: 'point',
  columns: [],
  setAside: [],
  made: [],
  sampleSize: '',
  mean: '',
  spread: '',
  spreadIs: 'standard-deviation',
  count: '',
  events: '',
  exposure: '',
  drawnHow: '',
  drawnAtRandom: 'unknown',
  takenIndependently: 'unknown',
  groupedBy: 'none',
  groupColumn: '',
  clustersInLot: '',
  strataSizes: '',
  drawnWhen: '',
  drawnWhere: '',
  drawnBy: '',
  receivedOn: '',
  itemsCondition: '',
  measuredOn: '',
  measuredWhere: '',
  environment: '',
  procedure: '',
  deviations: '',
  fromOthers: '',
  lot: '',
  lotSize: '',
  instrument: '',
  resolution: '',
  calibratedOn: '',
  calibrationDue: '',
  uncertainty: '',
  coverageFactor: '',
  uncertaintyDegrees: '',
  readingUncertainty: '',
  traceability: '',
  isDiscarded: false,
}

/** A column that nobody has said anything about yet. */
export const columnNamed = (name: string, kind: ColumnKind): ColumnWords => ({
  name,
  label: '',
  unit: '',
  kind,
  codes: '',
})
