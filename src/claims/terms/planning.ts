import type { RangeQuestion } from '@/statistics/power/meanPower'
import type { PowerQuestion } from '@/statistics/power/question'

/** What is true when power is asked for; the spread of the readings matters for a mean only. */
export type PlannedQuestion = PowerQuestion & Readonly<{ standardDeviation: number }>

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
    question: Omit<PowerQuestion, 'n'> & Readonly<{ power: number }>,
  ) => Readonly<{ firstN: number; n: number; power: number }> | undefined
  /** The most units that such a search looks at. */
  maxUnits?: number
  /** A tolerance can be planned for it, by its two limits. */
  plansRange: boolean
  /** Of a two-sided test, whether the smallest difference is sought downwards too. */
  isBothWays: boolean
  /** A small distance from the value, to begin the search for a difference with. */
  firstStep: (from: number, n: number, standardDeviation: number) => number
  /** How far a true value can lie from the value. */
  farthest: (from: number, direction: 1 | -1, standardDeviation: number) => number
}>
