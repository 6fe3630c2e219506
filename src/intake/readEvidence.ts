import type { CheckDocument } from '@/claims/terms/request'
import { type ClaimDraft, countsRows, isByReadings } from '@/desk/claimDraft'
import { type Outcome, success } from '@/claims/terms/outcome'
import type { SampleDraft } from '@/desk/sampleDraft'
import { parameterOf } from '@/claims/all'
import { PARAMETER_WORDS } from '@/words/en/parameters'
import { formatCount } from '@/words/figures'
import { entriesOf } from './entriesOf'
import { readCount } from './reading/count'
import type { UnreadEntry } from './reading/readings'
import { hasUnit } from './draftUnits'
import { readGroups } from './readGroups'
import { fromMarks, fromRows, listed } from './readRows'
import { readMeasurement } from './readMeasurement'
import { fromEvents, fromStretches } from './readEvents'
import { fromSummary } from './readSummary'
import { type FieldProblem, FieldReader, stated, wholeFrom } from './reading/fieldReader'
import { unitOfMade } from './sheet/madeColumns'
import { columnFor, type Taken } from './takenFrom'
import { type Conversion, conversionBetween } from './reading/units'

export type EvidenceReading = Readonly<{
  /** Present when the sample can be tested. */
  evidence?: CheckDocument['evidence']
  /** In the claim's unit, those that are set aside too. */
  values: readonly number[]
  /** The row of each value. */
  rows: readonly number[]
  /** Which of the values are set aside. */
  setAside: readonly number[]
  /** The same with what is set aside put back, where that is no list of readings and so cannot be told from it. */
  withSetAside?: CheckDocument['evidence']
  conversion?: Conversion
  /** Each value as it was measured, and the unit, where it was converted. */
  measured?: Readonly<{ values: readonly number[]; unit: string }>
  /** Entries that are neither read nor set aside: while there are any, nothing is computed. */
  unread: readonly UnreadEntry[]
  problems: readonly FieldProblem[]
  missing: readonly FieldProblem[]
}>

type Question = Readonly<{
  sample: SampleDraft
  /** What is taken of the sample's sheet; absent while it is being read, and for a sample without one. */
  taken: Outcome<Taken> | undefined
  /** The claim that it is taken for. */
  draft: Pick<
    ClaimDraft,
    | 'parameter'
    | 'unit'
    | 'exposureUnit'
    | 'column'
    | 'counted'
    | 'knownStandardDeviation'
    | 'decimalMark'
    | 'limitSide'
    | 'guardFactor'
    | 'allowForMeasurement'
  >
}>

const MIN_READINGS = 2
const NOTHING = { values: [], rows: [], setAside: [], unread: [] } as const

/** Makes evidence of a sample, in the claim's unit, or says what is missing or can't be used. */
export function readEvidence(question: Question): EvidenceReading {
  const { sample, draft } = question
  const { fields, lotSize } = readLotSize(sample)
  const hasNoUnit = !hasUnit(draft)
  const converted = hasNoUnit ? success(undefined) : conversionBetween(unitOf(question), draft.unit)
  if (!converted.ok) fields.problems.push({ field: 'columns', message: converted.problem.message })
  const conversion = converted.ok ? converted.value : undefined
  const made: Made =
    sample.kind === 'typed' || sample.kind === 'file'
      ? fromSheet(question, conversion, fields)
      : sample.kind === 'summary'
        ? fromSummary(fields, draft, conversion)
        : sample.kind === 'count'
          ? fromCount(sample, draft)
          : fromEvents(fields, draft)
  const { evidence, withSetAside } = made
  const drawn = sample.drawnAtRandom === 'unknown' ? undefined : sample.drawnAtRandom
  const independence = sample.takenIndependently === 'unknown' ? undefined : sample.takenIndependently
  // An exposure is of no lot.
  const isOfLot = parameterOf(draft.parameter).sample !== 'events'
  const origin = stated({ ...(isOfLot ? { lotSize } : {}), drawn, independence })
  const instrument = isMeasured(evidence) ? readMeasurement(sample, draft, unitOf(question)) : undefined
  const problems = [...fields.problems, ...(made.problems ?? []), ...(instrument?.problems ?? [])]
  const missing = [...(made.missing ?? []), ...(instrument?.missing ?? [])]
  const measurement = stated({ measurement: instrument?.measurement })
  return {
    ...NOTHING,
    ...made,
    problems,
    missing,
    ...(conversion ? { conversion } : {}),
    ...(evidence && problems.length === 0 && missing.length === 0
      ? { evidence: { ...evidence, ...origin, ...measurement } }
      : { evidence: undefined }),
    ...(withSetAside ? { withSetAside: { ...withSetAside, ...origin } } : {}),
  } as EvidenceReading
}

/** Readings or their figures, to which what is known of an instrument belongs. */
const isMeasured = (evidence: Made['evidence']) =>
  evidence?.kind === 'readings' || evidence?.kind === 'summary'

/** The size of the lot, where it is stated, and the reader that read it, with its problem. */
export function readLotSize(sample: SampleDraft) {
  const fields = new FieldReader<keyof SampleDraft>(sample, sample.decimalMark)
  return {
    fields,
    lotSize: fields.number('lotSize', 'size of the lot', wholeFrom(1)),
    problems: fields.problems,
  }
}

/** The unit of the column in question; a sample without a sheet has one column at most. */
function unitOf({ sample, draft }: Question): string {
  const column = columnFor(draft, sample)
  const made = sample.made.find(({ name }) => name === column)
  if (made) return unitOfMade(made, sample.columns)
  const known = sample.columns.find(({ name }) => name === column) ?? sample.columns[0]
  const isOnly = sample.columns.length === 1
  return known && (isOnly || known.name === column) ? known.unit : ''
}

type Made = Partial<EvidenceReading>

function fromSheet(
  { sample, taken, draft }: Question,
  conversion: Conversion | undefined,
  fields: FieldReader<keyof SampleDraft>,
): Made {
  if (countsRows(draft) && draft.counted.length === 0)
    return {
      missing: [{ field: 'counted', message: 'Say which of the rows count, such as hours at most 48.' }],
    }
  if (!countsRows(draft) && columnFor(draft, sample) === '')
    return {
      missing: [{ field: 'column', message: 'Say which column of the sample holds the readings.' }],
    }
  if (!taken) return { missing: [{ field: 'readings', message: 'The readings are being read.' }] }
  if (!taken.ok) return { problems: [{ field: 'readings', message: taken.problem.message }] }
  const left = new Set(sample.setAside.map(({ row }) => row))
  const unread = taken.value.unread.filter(({ row }) => !left.has(row))
  if (unread.length > 0) return { unread, problems: [{ field: 'readings', message: notReadWords(unread) }] }
  const column = columnFor(draft, sample)
  const entries = entriesOf({ sample, taken: taken.value, aside: taken.value.unread, conversion, column })
  const { rows, count } = taken.value
  if (count)
    return sample.groupedBy === 'none'
      ? fromRows(count, entries)
      : fromMarks(sample, taken.value, { left, entries })
  const values = conversion ? taken.value.values.map(conversion.reading) : taken.value.values
  const setAside = left.size === 0 ? [] : rows.flatMap((row, index) => (left.has(row) ? [index] : []))
  const measured = conversion
    ? { measured: { values: taken.value.values, unit: unitOf({ sample, taken, draft }) } }
    : {}
  const { censored } = taken.value
  // What is drawn and described is what was measured, and a limit was not.
  const reading = { values: censored ? [] : values, rows, setAside, ...measured }
  if (parameterOf(draft.parameter).sample === 'events')
    return { ...reading, ...fromStretches(fields, draft, { ...reading, values, entries }) }
  const tested = values.length - setAside.length
  if (tested < MIN_READINGS) {
    const seen = tested === 0 ? 'there are none yet' : 'there is one so far'
    return { ...reading, missing: [{ field: 'readings', message: `Enter at least two readings; ${seen}.` }] }
  }
  const read = readGroups(sample, {
    labels: taken.value.groups,
    rows,
    isSetAside: (at) => left.has(rows[at]!),
  })
  if (!read.groups && sample.groupedBy !== 'none') return { ...reading, ...read }
  return {
    ...reading,
    evidence: {
      kind: 'readings',
      values: [...values],
      ...(setAside.length > 0 ? { setAside: [...setAside] } : {}),
      ...(censored ? { censored: { below: [...censored.below], above: [...censored.above] } } : {}),
      ...read.groups,
      ...listed(entries),
    },
  }
}

/** Named in one sentence; the rest is counted. */
const MAX_NAMED = 3

function notReadWords(unread: readonly UnreadEntry[]): string {
  const named = unread.slice(0, MAX_NAMED).map(({ text, row }) => `“${text.slice(0, 40)}” in row ${row + 1}`)
  const more = unread.length > named.length ? ` and ${formatCount(unread.length - named.length)} more` : ''
  const isOne = unread.length === 1
  const entries = isOne ? '1 entry is' : `${formatCount(unread.length)} entries are`
  const them = isOne ? 'it' : 'them'
  return `${entries} not read: ${named.join(', ')}${more}. Say how to read ${them}, correct ${them}, or set ${them} aside.`
}

const NOT_FROM_COUNT =
  'Which items count follows from their readings here, and a count has none. Give the readings, or claim a share of units that count.'

function fromCount(sample: SampleDraft, draft: Question['draft']): Made {
  const { parameter } = draft
  if (isByReadings(draft)) return { problems: [{ field: 'kind', message: NOT_FROM_COUNT }] }
  if (parameterOf(parameter).sample !== 'counted')
    return { problems: [{ field: 'kind', message: PARAMETER_WORDS[parameter].notFromCount! }] }
  if (sample.count.trim() === '')
    return { missing: [{ field: 'count', message: 'State the count, such as 18 of 40.' }] }
  const count = readCount(sample.count, sample.decimalMark)
  if (!count.ok) return { problems: [{ field: 'count', message: count.problem.message }] }
  return { evidence: { kind: 'count', ...count.value } }
}
