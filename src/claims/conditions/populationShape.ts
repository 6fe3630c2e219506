import type { Appearance } from '@/statistics/describe/describe'
import { skewnessError } from '@/statistics/describe/shape'
import { type Condition, conditions, type PopulationNeed } from '../terms/condition'

/** Below this p-value a test of normality is taken as a sign against it: common practice, no source. */
const SIGN_AGAINST = 0.05
/** A skewness beyond which even a large sample does not make a mean near-normal: common practice, no source. */
const EXTREME_SKEWNESS = 2
/** A mean of so many readings bears most populations: common practice, no source. */
export const LARGE_SAMPLE = 30
/** Fewer readings than this show no departure but the crudest: common practice, no source. */
const TELLING_SAMPLE = 8

/** Whether the readings look as if they came from a normal population, and how much that matters to the method. */
export function normality(
  input: Readonly<{ n: number; need: PopulationNeed; described: Appearance | undefined }>,
): Condition {
  const { n, need, described } = input
  const tested = described && normalityTest(described)
  if (!tested) return conditions.normalityUnknown(n)
  const skewness = described.skewness.G1
  const excessKurtosis = described.excessKurtosis.G2
  const figures = {
    ...tested,
    ...(skewness === undefined ? {} : { skewness }),
    ...(excessKurtosis === undefined ? {} : { excessKurtosis }),
  }
  const isBorne = need === 'mean' && n >= LARGE_SAMPLE && Math.abs(skewness ?? 0) < EXTREME_SKEWNESS
  if (tested.p >= SIGN_AGAINST) {
    if (n >= TELLING_SAMPLE) return conditions.normal(figures)
    return conditions.normalAsFarAsTold(figures, isBorne ? 'met' : 'doubtful')
  }
  if (isBorne) return conditions.notNormalButBorne(figures)
  return need === 'readings' ? conditions.notNormalAtAnySize(figures) : conditions.notNormal(figures)
}

function normalityTest({
  conditions: { shapiroWilk, andersonDarling },
}: Appearance): { w: number; p: number } | { a2Star: number; p: number } | undefined {
  if (shapiroWilk) return { w: shapiroWilk.w, p: shapiroWilk.pValue }
  return andersonDarling && { a2Star: andersonDarling.a2Star, p: andersonDarling.pValue }
}

/** Whether the skewness is within two of its standard errors under a normal population. */
export function symmetry(n: number, described: Appearance | undefined): Condition {
  const skewness = described?.skewness.G1
  if (skewness === undefined) return conditions.symmetryUnknown(n)
  const standardError = skewnessError(n)
  const figures = { skewness, standardError }
  return Math.abs(skewness) <= 2 * standardError ? conditions.symmetric(figures) : conditions.skewed(figures)
}
