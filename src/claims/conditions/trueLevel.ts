import { normal } from '@/statistics/distributions/normal'
import type { Hypotheses } from '../terms/hypotheses'
import type { ConditionState } from '../terms/condition'

/** A level that is raised by no more than this is kept; beyond the other it is not. Common practice, no source. */
const [KEPT, BROKEN] = [1.2, 2]
/** Of the standard errors of a figure: one that is beyond in one of twenty samples. */
export const FAR = 1.645

/** What is tested, in which tails, at which level. */
export type Tested = Readonly<{ side: Hypotheses['alternativeSide']; significanceLevel: number }>

/** The level of one tail of a test, for a figure of the population that it does not allow for. */
type TailLevel = (tail: 'lower' | 'upper', level: number) => number

/** The level of a test, from those of its tails: of both at half the level, or of the worse one at the whole. */
function levelOf({ side, significanceLevel }: Tested, tailLevel: TailLevel): number {
  const at = (tail: 'lower' | 'upper', level: number) => Math.min(1, Math.max(0, tailLevel(tail, level)))
  switch (side) {
    case 'less':
      return at('lower', significanceLevel)
    case 'greater':
      return at('upper', significanceLevel)
    case 'two-sided':
    case 'outside':
      return at('lower', significanceLevel / 2) + at('upper', significanceLevel / 2)
    case 'inside':
      return Math.max(at('lower', significanceLevel), at('upper', significanceLevel))
    default:
      return side satisfies never
  }
}

/**
 * The true level of a test of a mean of n readings, to the first order in the skewness of their population: of the t test
 * α + (2z² + 1) φ(z) γ / (6√n) in the lower tail, of the z test α − (z² − 1) φ(z) γ / (6√n); in the upper tail γ is turned.
 *
 * @see P. Hall (1992), The Bootstrap and Edgeworth Expansion, 2.4 and 2.6
 * @example
 * levelWithSkewness({ side: 'less', significanceLevel: 0.05 }, { n: 20, skewness: 1, isSpreadKnown: false }) // 0.0746419
 */
export function levelWithSkewness(
  tested: Tested,
  { n, skewness, isSpreadKnown }: Readonly<{ n: number; skewness: number; isSpreadKnown: boolean }>,
): number {
  return levelOf(tested, (tail, level) => {
    const z = normal.quantile(level, 'upper')
    const gamma = tail === 'lower' ? skewness : -skewness
    const weight = isSpreadKnown ? 1 - z * z : 2 * z * z + 1
    return level + (weight * normal.density(z) * gamma) / (6 * Math.sqrt(n))
  })
}

/**
 * The true level of a test that takes a spread's readings for normal, by how much their excess kurtosis changes the variance
 * of s²: by 1 + κ(n − 1)/(2n).
 *
 * @see G. Box (1953), Biometrika 40, 318-335
 * @example
 * levelWithKurtosis({ side: 'greater', significanceLevel: 0.05 }, { n: 50, excessKurtosis: 3 }) // 0.147643
 */
export function levelWithKurtosis(
  tested: Tested,
  { n, excessKurtosis }: Readonly<{ n: number; excessKurtosis: number }>,
): number {
  const share = Math.max(0, 1 + (excessKurtosis * (n - 1)) / (2 * n))
  return levelOf(tested, (_, level) =>
    share === 0 ? 0 : normal.tails(normal.quantile(level, 'upper') / Math.sqrt(share)).upper,
  )
}

/**
 * The true level of a test of a mean whose readings follow one another with a correlation: their mean is as uncertain as that
 * of n(1 − r)/(1 + r) independent ones.
 *
 * @see G. Box, G. Jenkins & G. Reinsel (1994), Time Series Analysis, 2.1, for a first-order autoregression
 * @example
 * levelWithCorrelation({ side: 'less', significanceLevel: 0.05 }, 0.3) // 0.113718
 */
export function levelWithCorrelation(tested: Tested, correlation: number): number {
  const share = (1 - correlation) / (1 + correlation)
  return levelOf(tested, (_, level) =>
    share > 0 ? normal.tails(normal.quantile(level, 'upper') * Math.sqrt(share)).upper : 0.5,
  )
}

/**
 * What is said of a condition whose breach would come to one true level as the readings have it, and to another at the far end
 * of what they allow.
 */
export function stateOf(
  { seen, far }: Readonly<{ seen: number; far: number }>,
  significanceLevel: number,
): ConditionState {
  if (far <= KEPT * significanceLevel) return 'met'
  if (seen <= KEPT * significanceLevel) return 'no-sign'
  return seen <= BROKEN * significanceLevel ? 'doubtful' : 'not-met'
}
