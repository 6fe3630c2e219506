import type { CountSample } from '@/statistics/inference/shareInterval'
import type { EventSample } from '@/statistics/inference/rateInterval'
import type { Moments } from '@/statistics/describe/moments'
import type { Design } from './design'
import type { Limit } from './limit'
import type { Measurement } from './measurement'

/** The figures of one sample of measurements, from readings or from a summary. */
export type MeasuredSample = Omit<Moments, 'mean'> &
  Readonly<{
    /** Absent where a summary leaves it out. */
    mean?: number
    /** The readings tested, in the order given; absent for a summary. */
    values?: readonly number[]
    /** The same, ascending: sorted once for all that needs it. */
    sorted?: Float64Array
    /** Where each of them stands among all readings, those set aside included; absent where none was. */
    places?: readonly number[]
    /** Those set aside and the others, in the order given; absent where none was. */
    all?: readonly number[]
    setAside: number
    /** Of readings that say only on which side of a limit they lie; such a one is without end in `values`. */
    censored?: Censored
    /** Where the figures stand in the check document, for problems that point at them. */
    path: string
  }>

/** How many readings are limits, and between which values everything is known. */
export type Censored = Readonly<{ below: number; above: number; from: number; to: number }>

/** Whether every reading is known to lie on one side of a value. */
export const isKnown = (value: number, { from, to }: Censored): boolean => value >= from && value <= to

/** Events counted over an exposure: in all of it, or stretch by stretch. */
export type CountedEvents = EventSample &
  Readonly<{
    /** The counts of stretches of one exposure each, those set aside not among them; absent for a total. */
    stretches?: readonly number[]
    setAside: number
  }>

/** A sample whose mean is known. */
export type MeanSample = MeasuredSample & Readonly<{ mean: number }>

/** How a sample was drawn: what is stated of it, and nothing where nobody has said. */
export const DRAWN = ['random', 'not-random'] as const
/** Whether its readings were taken without one bearing on another: what is stated of it. */
export const INDEPENDENT = ['independent', 'not-independent'] as const

/** The lot that a sample was taken from, and how. */
type Origin = Readonly<{
  measurement?: Measurement | undefined
  design?: Design | undefined
  lotSize?: number | undefined
  drawn?: (typeof DRAWN)[number] | undefined
  independence?: (typeof INDEPENDENT)[number] | undefined
}>

type Kinds = Readonly<{
  measured: Readonly<{ kind: 'measured'; measured: MeasuredSample }>
  /** `marks` are 1 for each unit that counts and 0 for each that does not, where they are known one by one. */
  counted: Readonly<{ kind: 'counted'; counted: CountSample; marks?: readonly number[] }>
  /** Items by their readings, each held against a limit; `counted` where the readings themselves are known. */
  limited: Readonly<{
    kind: 'limited'
    measured: MeasuredSample
    limit: Limit
    counted?: CountSample
    marks?: readonly number[]
  }>
  two: Readonly<{ kind: 'two'; two: TwoSamples }>
  events: Readonly<{ kind: 'events'; events: CountedEvents }>
}>
export type SampleKind = keyof Kinds
/** Whatever was measured or counted, of one kind. */
export type SampleOf<Kind extends SampleKind> = Kind extends SampleKind ? Kinds[Kind] & Origin : never
export type Sample = SampleOf<SampleKind>

/** Up to this share of its lot a sample counts as drawn from one without end: common practice, no source. */
export const SMALL_SHARE = 0.1

/** The size of the lot that evidence is from; an exposure has none. */
export const lotSizeOf = (evidence: object): number | undefined =>
  'lotSize' in evidence ? (evidence.lotSize as number | undefined) : undefined

/** What evidence says of the instrument: readings and their summary figures may. */
export const measurementOf = (evidence: object): Measurement | undefined =>
  'measurement' in evidence ? (evidence.measurement as Measurement | undefined) : undefined

/** How many units were taken from the lot, those set aside included. */
export function unitsTaken(sample: Sample): number {
  switch (sample.kind) {
    case 'measured':
    case 'limited':
      return unitsIn(sample.measured)
    case 'counted':
      return sample.counted.sampleSize
    case 'two':
      return unitsIn(sample.two.first) + unitsIn(sample.two.second)
    // Of a total it is not known in how many pieces its exposure was taken: one.
    case 'events':
      return (sample.events.stretches?.length ?? 1) + sample.events.setAside
    default:
      return sample satisfies never
  }
}

/** Items held against a limit, as those who only count them see it; undefined where only their summary figures are known. */
export function asCounted(sample: SampleOf<'limited'>): SampleOf<'counted'> | undefined {
  const { kind: _, measured: _measured, limit: _limit, counted, ...rest } = sample
  return counted && { ...rest, kind: 'counted', counted }
}

const unitsIn = ({ sampleSize, setAside }: MeasuredSample) => sampleSize + setAside

/** The samples of two sources, the first over the second. */
export type TwoSamples = Readonly<{ first: MeasuredSample; second: MeasuredSample }>
