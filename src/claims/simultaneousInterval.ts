import { computeCheck } from './check'
import type { IntervalFigures } from './result'
import type { CheckDocument } from './terms/request'

/**
 * The interval of one of several claims, made so wide that all of them hold their parameters at once at least as often as
 * the level says: each at 1 − (1 − C)/m, by Bonferroni's inequality, which asks nothing of how the claims hang together.
 *
 * @param input.level - C, of the intervals by themselves
 * @param input.count - m, the claims that are taken together
 * @returns undefined where the method has no interval
 * @see O. J. Dunn (1961), J. of the American Statistical Association 56, 52-64
 */
export function simultaneousInterval(
  input: Readonly<{ document: CheckDocument; level: number; count: number }>,
): IntervalFigures | undefined {
  const { document, level, count } = input
  const confidenceLevel = 1 - (1 - level) / count
  const checked = computeCheck({ ...document, test: { ...document.test, confidenceLevel } })
  return checked.ok ? checked.value.computed.interval : undefined
}
