import type { Alternative } from '@/statistics/inference/alternative'
import type { Method } from './names'
import type { Relation } from './relations'

type By = Readonly<{ method: Method }>

function warning<Code extends string, Figures>(code: Code, figures: Figures) {
  return { code, figures }
}

/** Everything that a reader of a result should know of what was done, in the order in which it is told. */
export const warnings = {
  alternativeDisagrees: (figures: Readonly<{ alternative: Alternative; relation: Relation }>) =>
    warning('alternative-disagrees-with-claim', figures),
  toleranceNotUsed: (figures: Readonly<{ relation: Relation }>) => warning('tolerance-not-used', figures),
  alternativePointsAway: (figures: Readonly<{ isAbove: boolean }>) =>
    warning('alternative-points-away', figures),
  unusualLevel: (figures: Readonly<{ significanceLevel: number }>) => warning('unusual-level', figures),
  knownSpreadNotUsed: (figures: By) => warning('known-standard-deviation-not-used', figures),
  unusualKnownSpread: (
    figures: Readonly<{ stated: number; standardDeviation: number; from: number; to: number }>,
  ) => warning('unusual-known-standard-deviation', figures),
  continuityNotUsed: (figures: By) => warning('continuity-correction-not-used', figures),
  exactOptionsNotUsed: (figures: By) => warning('exact-options-not-used', figures),
  finiteLotNotUsed: (figures: By) => warning('finite-lot-not-used', figures),
  measurementNotUsed: (figures: By) => warning('measurement-not-used', figures),
  measurementNotAllowedFor: (figures: Readonly<{ systematic: number }>) =>
    warning('measurement-not-allowed-for', figures),
  censoredCounted: (figures: Readonly<{ below: number; above: number }>) =>
    warning('censored-counted', figures),
  midP: () => warning('mid-p', {}),
  waldInterval: () => warning('wald-interval', {}),
  intervalBeyondShares: (figures: By) => warning('interval-beyond-shares', figures),
  intervalDisagrees: (
    figures: Readonly<{ level: number; significanceLevel: number; isOneSided: boolean; holds: boolean }>,
  ) => warning('interval-disagrees', figures),
  largeShareOfLot: (figures: By & Readonly<{ share: number }>) => warning('large-share-of-lot', figures),
  noVariation: () => warning('no-variation', {}),
  fewReadings: (figures: Readonly<{ fewerThan: number }>) => warning('few-readings', figures),
  tooSmallToReject: (figures: Readonly<{ significanceLevel: number }>) =>
    warning('sample-too-small-to-reject', figures),
  pValueBelowRange: () => warning('p-value-below-range', {}),
  noIntervalAtLevel: (figures: Readonly<{ significanceLevel: number }>) =>
    warning('no-interval', { why: 'level', ...figures } as const),
  noInterval: (figures: By & Readonly<{ why: 'sample' | 'method' }>) => warning('no-interval', figures),
  intervalWithoutEnd: () => warning('interval-without-end', {}),
  noCriticalEstimates: () => warning('no-critical-estimates', {}),
  noEffectSize: (figures: Readonly<{ why: 'no-spread' | 'too-large' }>) => warning('no-effect-size', figures),
} as const

/** What a reader should know: a code with figures, and no words. */
export type ClaimWarning = ReturnType<(typeof warnings)[keyof typeof warnings]>
