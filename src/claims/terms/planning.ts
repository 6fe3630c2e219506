import type { RangeQuestion } from '@/statistics/power/meanPower'
import type { PowerQuestion } from '@/statistics/power/question'

/** What is true when power is asked for, beside the parameter itself: each matters to some methods only. */
export type Assumed = Readonly<{
  /** Of the readings. */
  standardDeviation: number
  /** Units of the lot that is sampled; 0 where nothing is said of it. */
  lotSize: number
}>
export type PlannedQuestion = PowerQuestion & Assumed

/** How samples for a method are planned. */
export type Planning = Readonly<{
  leastSize: number
  power: (question: PlannedQuestion) => number
  /** The power to show a value inside a tolerance. */
  powerInside?: (question: RangeQuestion) => number
  /** It takes the standard deviation that is known, where one is stated. */
  isSpreadKnown?: true
  /** Its power goes up and down from unit to unit: the first size that reaches a power, and that from which it holds. */
  sizes?: (
    question: Omit<PlannedQuestion, 'n'> & Readonly<{ power: number }>,
  ) => Readonly<{ firstN: number; n: number; power: number }> | undefined
  /** The most units that such a search looks at. */
  maxUnits?: number
  /** A tolerance can be planned for it, by its two limits. */
  plansRange: boolean
  /** Of a two-sided test, whether the smallest difference is sought downwards too. */
  isBothWays: boolean
  /** How a difference is sought: in any steps, or unit by unit of a lot, of which a true value is a whole number. */
  seek: Seek | 'units-of-lot'
}>

type Seek = Readonly<{
  /** A small distance from the value, to begin with. */
  firstStep: (from: number, n: number, standardDeviation: number) => number
  /** How far a true value can lie from the value. */
  farthest: (from: number, direction: 1 | -1, standardDeviation: number) => number
}>

/** The first step away from a claimed value is this part of it, where no scatter says more. */
export const FIRST_STEPS = 16

/** How many times a claimed value, and how near to nothing, a true one is sought. */
const [FARTHEST, NEAREST] = [1e6, 1e-12]

/** A value above 0 is sought up to so many times the claimed one, and down to nearly nothing. */
export const SEEK_POSITIVE: Seek = {
  firstStep: (from, n) => from / Math.sqrt(n),
  farthest: (from, direction) => (direction > 0 ? from * FARTHEST : from * (1 - NEAREST)),
}
