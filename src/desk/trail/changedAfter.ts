import { canonicalJson } from '../canonicalJson'
import { valuesIn } from './change'
import type { TrailEntry } from './chain'

/** What of a claim decides its test: changed once the readings are in, it may have been chosen for what they show. */
const DECIDING = [
  'parameter',
  'relation',
  'claimedValue',
  'toleranceBelow',
  'toleranceAbove',
  'burden',
  'significanceLevel',
  'method',
  'exposureUnit',
  'limitSide',
  'limitValue',
  'guardFactor',
  'twoSidedRule',
  'midP',
  'continuityCorrection',
  'finiteLot',
  'allowForMeasurement',
  'knownStandardDeviation',
  'column',
  'kept',
  'counted',
  'control',
  'tareBy',
  'tare',
  'density',
  'controlPlan',
] as const

/** The fields of a sample that hold what was measured. */
const MEASURED = ['readings', 'sampleSize', 'mean', 'spread', 'count', 'events', 'exposure'] as const

type ChangedField = Readonly<{
  field: (typeof DECIDING)[number]
  before: unknown
  after: unknown
  /** The entry of the trail in which it last changed. */
  number: number
}>

/** A field of the claim, how many readings are set aside, or that nobody knows, because both were put together on the bench. */
export type ChangedAfter =
  | ChangedField
  | Readonly<{ field: 'setAside'; count: number; number: number }>
  | Readonly<{ field: 'bench'; number: number }>

/** How the detail of an entry ends that adds a claim which was tried before it belonged to a case. */
export const FROM_BENCH = 'from the bench, of which no trail is kept'

type Entry = Pick<TrailEntry, 'number' | 'action' | 'claimId' | 'sampleId' | 'before' | 'after' | 'detail'>

/**
 * What of a claim, or of what is set aside, was changed after the readings that it is held against were in: what was stated before, and what is now. What
 * was changed and changed back is no change; what was first stated is none either.
 *
 * @param trail - the first entry first
 */
export function changedAfterReadings(
  trail: readonly Entry[],
  { claimId, sampleIds }: Readonly<{ claimId: string; sampleIds: readonly (string | null)[] }>,
): readonly ChangedAfter[] {
  const arrived = trail.find(
    (entry) => entry.sampleId !== null && sampleIds.includes(entry.sampleId) && bringsReadings(entry),
  )
  const fromBench = trail
    .filter((entry) => isFromBench(entry) && entry.claimId === claimId)
    .map(({ number }) => ({ field: 'bench' as const, number }))
  if (!arrived) return fromBench
  const changed = new Map<ChangedField['field'], ChangedField>()
  for (const entry of trail) {
    if (entry.number <= arrived.number || entry.claimId !== claimId || entry.action !== 'claim-changed')
      continue
    const [was, is] = [valuesIn(entry.before), valuesIn(entry.after)]
    for (const field of DECIDING) {
      // A burden that nobody states is the one that the relation's words carry.
      const wasStated = changed.has(field) || field === 'burden' || isStated(was[field])
      if (!(field in is) || !wasStated) continue
      const before = changed.has(field) ? changed.get(field)!.before : was[field]
      changed.set(field, { field, before, after: is[field], number: entry.number })
    }
  }
  return [
    ...fromBench,
    ...[...changed.values()].filter(
      ({ before, after }) => canonicalJson([before]) !== canonicalJson([after]),
    ),
    ...setAsideSince(trail, sampleIds),
  ]
}

const isFromBench = ({ action, detail }: Entry) => action === 'claim-added' && detail.endsWith(FROM_BENCH)

/** Readings are set aside once they are there: those that were not brought back. */
function setAsideSince(
  trail: readonly Entry[],
  sampleIds: readonly (string | null)[],
): readonly ChangedAfter[] {
  const about = trail.filter(({ sampleId }) => sampleId !== null && sampleIds.includes(sampleId))
  const put = about.filter(({ action }) => action === 'set-aside')
  const count = put.length - about.filter(({ action }) => action === 'brought-back').length
  return count > 0 ? [{ field: 'setAside', count, number: put.at(-1)!.number }] : []
}

function bringsReadings({ action, after }: Entry): boolean {
  if (action === 'brought-in') return true
  const values = valuesIn(after)
  return MEASURED.some((field) => isStated(values[field]))
}

const isStated = (value: unknown): boolean =>
  value !== undefined && value !== null && value !== '' && !(Array.isArray(value) && value.length === 0)
