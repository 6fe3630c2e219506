import type { NamedDistribution } from '@/statistics/distributions/named'
import type { Continuous } from '@/statistics/distributions/tails'
import type { Pivot } from '@/statistics/inference/pivot'

/**
 * The pivot (estimate − value) / standard error, for a standard error that does not depend on the value.
 *
 * @param input.remainder - what rounding took from the estimate
 */
export function meanPivot(
  input: Readonly<{
    method: 't' | 'z'
    mean: number
    remainder: number
    standardError: number
    distribution: NamedDistribution
    reference: Continuous
  }>,
): Pivot {
  const { method, mean, remainder, standardError, distribution, reference } = input
  const differenceFrom = (value: number) => mean - value + remainder
  return {
    method,
    estimate: mean,
    standardError,
    differenceFrom,
    distribution,
    reference,
    statisticAt: (value) => differenceFrom(value) / standardError,
    estimateAt: (statistic, value) => value + statistic * standardError,
    valueAt: (statistic) => mean - statistic * standardError,
  }
}
