import { canonicalJson } from '../canonicalJson'
import { valuesIn } from './change'
import { bringsReadings, isOfSamples, isStated } from './measured'
import { type SecondLook, secondLooks } from './secondLook'
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
  | SecondLook
  /** A plan was locked for the sample, and the claim is none of its. */
  | Readonly<{ field: 'unplanned'; number: number }>

/** How the detail of an entry ends that adds a claim which was tried before it belonged to a case. */
export const FROM_BENCH = 'from the bench, of which no trail is kept'

type Entry = Pick<
  TrailEntry,
  'number' | 'at' | 'action' | 'claimId' | 'sampleId' | 'before' | 'after' | 'detail'
>
type About = Readonly<{ claimId: string; sampleIds: readonly (string | null)[] }>

/**
 * What of a claim, or of what is set aside, was changed after the readings that it is held against were in: what was stated before, and what is now. What
 * was changed and changed back is no change; what was first stated is none either.
 *
 * @param trail - the first entry first
 */
export function changedAfterReadings(trail: readonly Entry[], about: About): readonly ChangedAfter[] {
  const { claimId, sampleIds } = about
  const arrived = firstReadings(trail, about)
  const fromTheStart: readonly ChangedAfter[] = [
    ...trail
      .filter((entry) => isFromBench(entry) && entry.claimId === claimId)
      .map(({ number }) => ({ field: 'bench' as const, number })),
    ...unplanned(trail, about),
  ]
  if (!arrived) return fromTheStart
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
    ...fromTheStart,
    ...[...changed.values()].filter(
      ({ before, after }) => canonicalJson([before]) !== canonicalJson([after]),
    ),
    ...setAsideSince(trail, sampleIds),
    ...secondLooks(trail, about),
  ]
}

/** The plan of a sample that a claim is held against beside those that it was locked for. */
function unplanned(trail: readonly Entry[], { claimId, sampleIds }: About): readonly ChangedAfter[] {
  const plans = trail.filter(({ action }) => action === 'planned')
  if (plans.some((entry) => entry.claimId === claimId)) return []
  const first = plans.find((entry) => isOfSamples(entry, sampleIds))
  return first ? [{ field: 'unplanned', number: first.number }] : []
}

/** The entry by which the first readings came in that a claim is held against. */
export const firstReadings = <One extends Entry>(
  trail: readonly One[],
  { sampleIds }: Pick<About, 'sampleIds'>,
): One | undefined => trail.find((entry) => isOfSamples(entry, sampleIds) && bringsReadings(entry))

const isFromBench = ({ action, detail }: Entry) => action === 'claim-added' && detail.endsWith(FROM_BENCH)

/** Readings are set aside once they are there: those that were not brought back. */
function setAsideSince(
  trail: readonly Entry[],
  sampleIds: readonly (string | null)[],
): readonly ChangedAfter[] {
  const about = trail.filter((entry) => isOfSamples(entry, sampleIds))
  const put = about.filter(({ action }) => action === 'set-aside')
  const count = put.length - about.filter(({ action }) => action === 'brought-back').length
  return count > 0 ? [{ field: 'setAside', count, number: put.at(-1)!.number }] : []
}
