import { dayNumber } from '@/statistics/numeric/dayNumber'
import type { TrailEntry } from './chain'
import { MEASURED, bringsReadings, isOfSamples, isStated } from './measured'
import { replayed } from './replay'

type Entry = Pick<TrailEntry, 'number' | 'at' | 'action' | 'claimId' | 'sampleId' | 'before' | 'after'>
type Values = Readonly<Record<string, unknown>>

/** Readings came in after a finding of those before could be seen for a while, or was signed. */
export type SecondLook = Readonly<{
  field: 'looked'
  isSigned: boolean
  /** The entry of the last readings before, or of the signature. */
  seen: Readonly<{ number: number; at: string }>
  /** The entry by which readings came in after it. */
  number: number
  at: string
}>

/** A longer pause between two readings is no break at the scale: common practice, without a source. */
const PAUSE_SECONDS = 60 * 60
const NOTHING: Values = Object.fromEntries(MEASURED.map((field) => [field, '']))

/**
 * The occasions on which readings were added though a finding was there to be seen: the level of a test is that of one look.
 *
 * @param trail - the first entry first
 */
export function secondLooks(
  trail: readonly Entry[],
  { claimId, sampleIds }: Readonly<{ claimId: string; sampleIds: readonly (string | null)[] }>,
): readonly SecondLook[] {
  const samples = new Map<string, Values>()
  let claim: Values = { claimedValue: '' }
  let last: Entry | undefined
  let signed: Entry | undefined
  const looks: SecondLook[] = []
  for (const entry of trail) {
    if (entry.claimId === claimId && entry.action === 'signed') signed = entry
    if (entry.claimId === claimId && entry.action.startsWith('claim-')) claim = replayed(claim, [entry])
    if (!isOfSamples(entry, sampleIds) || !OF_SAMPLE.includes(entry.action)) continue
    const was = samples.get(entry.sampleId!) ?? NOTHING
    const is = { ...replayed(was, [entry]), ...(entry.action === 'brought-in' ? { file: true } : {}) }
    samples.set(entry.sampleId!, is)
    if (!(last ? isMore(entry, was, is) : bringsReadings(entry))) continue
    const isLate = last && secondsOf(entry) - secondsOf(last) >= PAUSE_SECONDS
    const seen = signed ?? (isLate && isStated(claim.claimedValue) && isEnough(was) ? last : undefined)
    if (seen)
      looks.push({ field: 'looked', isSigned: seen === signed, seen: placeOf(seen), ...placeOf(entry) })
    last = entry
    signed = undefined
  }
  return looks
}

const OF_SAMPLE: readonly TrailEntry['action'][] = ['sample-added', 'sample-changed', 'brought-in']

/** An instant in UTC, as ISO 8601 has it, in seconds. */
function secondsOf({ at }: Entry): number {
  const [hours, minutes, seconds] = at.slice(11, -1).split(':').map(Number)
  return dayNumber(at.slice(0, 10)) * 86_400 + hours! * 3600 + minutes! * 60 + seconds!
}

const placeOf = ({ number, at }: Entry) => ({ number, at })

/** Of one reading there is no finding. */
const isEnough = ({ readings, ...others }: Values): boolean =>
  countOf(readings) > 1 || Object.values(others).some(isStated)

/** Whether there are more readings than before, other figures of them, or another file. */
function isMore(entry: Entry, was: Values, is: Values): boolean {
  if (entry.action === 'brought-in') return true
  return MEASURED.some((field) =>
    field === 'readings'
      ? countOf(is[field]) > countOf(was[field])
      : isStated(is[field]) && is[field] !== was[field],
  )
}

const countOf = (readings: unknown): number => String(readings ?? '').match(/[^\s;]+/g)?.length ?? 0
