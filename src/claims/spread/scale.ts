import type { Pivot } from '@/statistics/inference/pivot'
import type { SampleOf } from '../terms/sample'

export type SpreadParameter = 'standard-deviation' | 'variance'

/** A pivot for a standard deviation, on the parameter's scale. */
export function scaledPivot<Own>(
  pivot: Pivot<Own>,
  parameter: SpreadParameter,
  variance: number,
): Pivot<Own> {
  if (parameter === 'standard-deviation') return pivot
  return {
    ...pivot,
    estimate: variance,
    differenceFrom: (value) => variance - value,
    statisticAt: (value, alternative) => pivot.statisticAt(Math.sqrt(value), alternative),
    estimateAt: (statistic, value, tail) => pivot.estimateAt(statistic, Math.sqrt(value), tail) ** 2,
    valueAt: (statistic, tail) => pivot.valueAt(statistic, tail) ** 2,
    figuresAt: (value, alternative) => pivot.figuresAt(Math.sqrt(value), alternative),
  }
}

/** The variance of a lot that was measured whole: about its own mean, over all of its units. */
export function varianceOfWholeLot({ measured }: SampleOf<'measured'>): number | undefined {
  const { sampleSize: n, variance } = measured
  if (n === 1) return 0
  return variance === undefined ? undefined : (variance * (n - 1)) / n
}
