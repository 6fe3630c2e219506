import type { Appearance } from '@/statistics/describe/describe'
import type { Method } from '@/statistics/inference/procedure'
import { conditionSentences } from '@/words/en/conditionSentences'
import type { Condition, ConditionState } from './condition'

/** What a method needs of the population: that a mean be near-normal, that readings be, that they be symmetric. */
export type Need = 'mean' | 'readings' | 'symmetry' | 'none'

/** Below this p-value a test of normality is taken as a sign against it: common practice, no source. */
const SIGN_AGAINST = 0.05
/** A skewness beyond which even a large sample does not make a mean near-normal: common practice, no source. */
const EXTREME_SKEWNESS = 2
/** A mean of so many readings bears most populations: common practice, no source. */
export const LARGE_SAMPLE = 30
/** Fewer readings than this show no departure but the crudest: common practice, no source. */
const TELLING_SAMPLE = 8

export function needOf(method: Method): Need {
  switch (method) {
    case 't':
    case 'z':
      return 'mean'
    case 'chi-square':
    case 'f':
      return 'readings'
    case 'signed-rank':
      return 'symmetry'
    case 'bootstrap':
    case 'bonett':
    case 'score-z':
    case 'exact-binomial':
    case 'hypergeometric':
    case 'levene':
    case 'brown-forsythe':
    case 'sign':
      return 'none'
    default:
      return method satisfies never
  }
}

/** Whether the readings look as if they came from a normal population, and how much that matters to the method. */
export function normality(
  input: Readonly<{ n: number; method: Method; need: Need; described: Appearance | undefined }>,
): Condition {
  const { n, method, need, described } = input
  const tested = described && normalityTest(described)
  const skewness = described?.skewness.G1
  if (!tested) {
    return {
      name: 'normality',
      state: 'unknown',
      figures: { n },
      sentence: conditionSentences.normalityUnknown(method),
    }
  }
  const isAgainst = tested.p < SIGN_AGAINST
  const isBorne = need === 'mean' && n >= LARGE_SAMPLE && Math.abs(skewness ?? 0) < EXTREME_SKEWNESS
  const isTelling = n >= TELLING_SAMPLE
  return {
    name: 'normality',
    state: stateOf({ isAgainst, isBorne, isTelling }),
    figures: {
      ...tested,
      ...(skewness === undefined ? {} : { skewness }),
      ...(described.excessKurtosis.G2 === undefined ? {} : { excessKurtosis: described.excessKurtosis.G2 }),
    },
    sentence: conditionSentences.normality({
      test: 'w' in tested ? 'Shapiro-Wilk' : 'Anderson-Darling',
      p: tested.p,
      isAgainst,
      isBorne,
      isTelling,
      method,
    }),
  }
}

function stateOf(
  seen: Readonly<{ isAgainst: boolean; isBorne: boolean; isTelling: boolean }>,
): ConditionState {
  if (seen.isAgainst) return seen.isBorne ? 'doubtful' : 'not-met'
  return seen.isTelling || seen.isBorne ? 'met' : 'doubtful'
}

function normalityTest({
  conditions,
}: Appearance): { w: number; p: number } | { a2Star: number; p: number } | undefined {
  const { shapiroWilk, andersonDarling } = conditions
  if (shapiroWilk) return { w: shapiroWilk.w, p: shapiroWilk.pValue }
  return andersonDarling && { a2Star: andersonDarling.a2Star, p: andersonDarling.pValue }
}

/** Whether the skewness is within two of its standard errors under a normal population. */
export function symmetry(n: number, described: Appearance | undefined): Condition {
  const skewness = described?.skewness.G1
  if (skewness === undefined) {
    return {
      name: 'symmetry',
      state: 'unknown',
      figures: { n },
      sentence: conditionSentences.symmetryUnknown(),
    }
  }
  // Joanes & Gill (1998): the variance of G1 for a normal population.
  const standardError = Math.sqrt((6 * n * (n - 1)) / ((n - 2) * (n + 1) * (n + 3)))
  const isUsual = Math.abs(skewness) <= 2 * standardError
  return {
    name: 'symmetry',
    state: isUsual ? 'met' : 'doubtful',
    figures: { skewness, standardError },
    sentence: conditionSentences.symmetry(isUsual),
  }
}
