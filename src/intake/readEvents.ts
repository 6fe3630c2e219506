import { parameterOf } from '@/claims/all'
import type { Entries } from '@/claims/terms/entries'
import type { CheckDocument } from '@/claims/terms/request'
import type { ClaimDraft } from '@/desk/claimDraft'
import type { SampleDraft } from '@/desk/sampleDraft'
import { readExposureUnit } from './reading/exposure'
import { type FieldProblem, type FieldReader, POSITIVE, wholeFrom } from './reading/fieldReader'

/** What became of events: evidence, or what is missing or can't be used. */
type Made = Readonly<{
  evidence?: CheckDocument['evidence']
  missing?: readonly FieldProblem[]
  problems?: readonly FieldProblem[]
}>
type Draft = Pick<ClaimDraft, 'parameter' | 'exposureUnit' | 'decimalMark'>

/** The exposure that is typed, in units of what the rate is per. */
function exposureIn(fields: FieldReader<keyof SampleDraft>, draft: Draft, message: string) {
  const typed = fields.number('exposure', 'exposure', POSITIVE)
  const unit = readExposureUnit(draft.exposureUnit, draft.decimalMark)
  const missing = fields.text('exposure') === '' ? [{ field: 'exposure' as const, message }] : []
  return { missing, exposure: typed === undefined || !unit ? undefined : typed / unit.amount }
}

/** Events counted over an exposure. */
export function fromEvents(fields: FieldReader<keyof SampleDraft>, draft: Draft): Made {
  if (parameterOf(draft.parameter).sample !== 'events')
    return { problems: [{ field: 'kind', message: NOT_FROM_EVENTS }] }
  const events = fields.number('events', 'number of events', wholeFrom(0))
  const { exposure, missing } = exposureIn(fields, draft, 'State over what they were counted.')
  const none =
    fields.text('events') === ''
      ? [{ field: 'events' as const, message: 'State how many events there were.' }]
      : []
  if (events === undefined || exposure === undefined) return { missing: [...none, ...missing] }
  return { evidence: { kind: 'events', events, exposure } }
}

const NOT_FROM_EVENTS =
  'Events over an exposure tell a rate and nothing else. Claim a rate, or give readings or a count.'

/** Of each row how many events there were, all of one exposure. */
export function fromStretches(
  fields: FieldReader<keyof SampleDraft>,
  draft: Draft,
  {
    values,
    rows,
    setAside,
    entries,
  }: Readonly<{
    values: readonly number[]
    rows: readonly number[]
    setAside: readonly number[]
    entries: Entries | undefined
  }>,
): Made {
  const left = new Set(setAside)
  const wrong = values.findIndex((value, at) => !left.has(at) && !(Number.isInteger(value) && value >= 0))
  if (wrong >= 0) {
    const message = `“${values[wrong]}” in row ${rows[wrong]! + 1} is no number of events: those are whole, and 0 or more. Correct it, set it aside, or choose the column of the counts.`
    return { problems: [{ field: 'column', message }] }
  }
  const { exposure, missing } = exposureIn(fields, draft, 'State what each row was counted over.')
  if (values.length === setAside.length)
    return { missing: [{ field: 'readings', message: 'Enter at least one count of events.' }, ...missing] }
  if (exposure === undefined) return { missing }
  return {
    evidence: {
      kind: 'event-counts',
      values: [...values],
      exposureEach: exposure,
      ...(setAside.length > 0 ? { setAside: [...setAside] } : {}),
      ...(entries ? { entries: [entries] } : {}),
    },
  }
}
