import type { ContentDocument } from '@/claims/terms/contentRequest'
import { CONTENT_UNITS, isVolume } from '@/claims/terms/contentUnits'
import type { CheckDocument } from '@/claims/terms/request'
import type { ClaimDraft } from '@/desk/claimDraft'
import { type FieldProblem, FieldReader, NOT_NEGATIVE, POSITIVE, stated } from './reading/fieldReader'
import type { DraftReading } from './readDraft'
import type { EvidenceReading } from './readEvidence'
import { withoutMadeUpDigits } from '@/words/figures'
import { contentUnitOf, weighedIn } from './sides'

type Readings = Extract<CheckDocument['evidence'], { kind: 'readings' }>
type Tare = NonNullable<ContentDocument['content']['tare']>

/**
 * Makes a control of net content of a claim, of the packs, and of what is known of their packages.
 *
 * @param sources.second - the packages of the packs, or of some that were emptied
 */
export function readControl(
  draft: ClaimDraft,
  { first, second }: Readonly<{ first: EvidenceReading; second: EvidenceReading | undefined }>,
): DraftReading {
  const fields = new FieldReader<keyof ClaimDraft>(draft, draft.decimalMark)
  const unit = contentUnitOf(draft)
  const nominal = fields.number('claimedValue', 'net content', POSITIVE)
  const density = fields.number('density', 'density', POSITIVE)
  const stateTare = draft.tareBy === 'stated' ? fields.number('tare', 'tare', NOT_NEGATIVE) : undefined
  const ofTare = second
    ? { problems: second.problems.map(named), missing: second.missing.map(named) }
    : undefined
  const missing = [
    ...missingFrom(fields, draft),
    ...first.missing,
    ...(sameColumn(draft) ?? ofTare?.missing ?? []),
  ]
  const problems = [
    ...fields.problems,
    ...unitProblem(draft),
    ...first.problems,
    ...(sameColumn(draft) ? [] : (ofTare?.problems ?? [])),
  ]
  const evidence = readingsIn(first, problems)
  const tare = second ? tareOf(draft, { first, second }, problems) : stateTare
  const reading = { problems, missing }
  if (!evidence || nominal === undefined || !unit || missing.length + problems.length > 0) return reading
  const { setAside, lotSize, drawn, entries, cluster } = evidence
  const values = asWeighed(first, evidence.values)
  const independence = cluster ? 'not-independent' : evidence.independence
  const massUnit = weighedIn(draft)
  const { quantity, wording, controlPlan } = draft
  return {
    ...reading,
    control: {
      content: {
        ...{ nominal, unit },
        ...(tare === undefined ? { values } : { gross: values, tare }),
        ...stated({ quantity, wording, density: massUnit && density, massUnit, setAside, lotSize, drawn }),
        ...stated({ independence, entries, plan: controlPlan ?? undefined }),
      },
    },
  }
}

const named = (problem: FieldProblem): FieldProblem => ({ ...problem, message: `Tare: ${problem.message}` })

/** The packs, one by one. */
function readingsIn({ evidence }: EvidenceReading, problems: FieldProblem[]): Readings | undefined {
  if (!evidence) return undefined
  if (evidence.kind !== 'readings' || evidence.stratum) {
    const message =
      'A control of net content looks at each pack, so it needs the reading of each, not their figures or a count.'
    problems.push({ field: 'kind', message: evidence.kind === 'readings' ? NO_LAYERS : message })
    return undefined
  }
  if (!evidence.censored) return evidence
  problems.push({
    field: 'readings',
    message:
      'Some entries say only that a pack lies below or above a limit. A control needs what each holds; set them aside, or read them otherwise.',
  })
  return undefined
}

/** Without the digits that converting makes up: a pack that is short by exactly T is not short by more. */
const asWeighed = ({ conversion }: EvidenceReading, values: readonly number[]): number[] =>
  conversion ? values.map(withoutMadeUpDigits) : [...values]

const NO_LAYERS =
  'The sample is drawn by layers, which a control of net content does not weigh. Enter each layer as a sample of its own, and control it by itself.'

/** The packages of the same rows, or those of empty packs; a pack without one is told of. */
function tareOf(
  { tareBy }: ClaimDraft,
  { first, second }: Readonly<{ first: EvidenceReading; second: EvidenceReading }>,
  problems: FieldProblem[],
): Tare | undefined {
  if (tareBy === 'packs') {
    const left = new Set(second.setAside)
    const emptyPacks = asWeighed(second, second.values).filter((_, at) => !left.has(at))
    return second.evidence && { emptyPacks }
  }
  const tares = asWeighed(second, second.values)
  const byRow = new Map(second.rows.map((row, at) => [row, tares[at]!]))
  const lacking = first.rows.filter((row) => !byRow.has(row))
  if (lacking.length === 0) return first.rows.map((row) => byRow.get(row)!)
  if (second.values.length > 0) {
    const rows = lacking.slice(0, 3).map((row) => row + 1)
    const more = lacking.length > rows.length ? ` and ${lacking.length - rows.length} more` : ''
    problems.push({
      field: 'secondColumn',
      message: `${lacking.length === 1 ? 'A pack has' : `${lacking.length} packs have`} no tare, in row${lacking.length === 1 ? '' : 's'} ${rows.join(', ')}${more}. Enter it, or keep only the rows that have one.`,
    })
  }
  return undefined
}

/** Nothing is taken off of itself. */
function sameColumn(draft: ClaimDraft): readonly FieldProblem[] | undefined {
  const { tareBy, sampleId, secondSampleId, secondColumn, column } = draft
  const isOpen =
    tareBy === 'column'
      ? secondColumn === '' || secondColumn === column
      : tareBy === 'packs' &&
        (secondSampleId === null ||
          (secondSampleId === sampleId && (secondColumn === '' || secondColumn === column)))
  if (!isOpen) return undefined
  return tareBy === 'column'
    ? [{ field: 'secondColumn', message: 'Say which column of the sample holds the tare of each pack.' }]
    : [{ field: 'secondSampleId', message: 'Say which sample holds the empty packs.' }]
}

function unitProblem(draft: ClaimDraft): readonly FieldProblem[] {
  const unit = contentUnitOf(draft)
  if (draft.unit.trim() !== '' && !unit) {
    const message = `“${draft.unit.trim()}” is no unit of mass or volume that a net content is stated in. Write one of ${[...new Set(CONTENT_UNITS)].join(', ')}.`
    return [{ field: 'unit', message }]
  }
  if (unit && !isVolume(unit) && draft.density.trim() !== '')
    return [
      {
        field: 'density',
        message: `The label states a mass, in ${unit}, so nothing is converted by a density. Leave the density empty, or correct the unit.`,
      },
    ]
  return []
}

function missingFrom(fields: FieldReader<keyof ClaimDraft>, { tareBy }: ClaimDraft): readonly FieldProblem[] {
  const missing: FieldProblem[] = []
  const need = (field: keyof ClaimDraft, message: string) => {
    if (fields.text(field) === '') missing.push({ field, message })
  }
  need('claimedValue', 'State the net content that the label says.')
  need('unit', 'State its unit, such as g, kg, mL or L.')
  if (tareBy === 'stated') need('tare', 'State the tare, in the unit that the packs are weighed in.')
  return missing
}
