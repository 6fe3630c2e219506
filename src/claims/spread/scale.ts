import type { Pivot } from '@/statistics/inference/pivot'

export type SpreadParameter = 'standard-deviation' | 'variance'

/** The standard deviation of a value on the parameter's scale. */
export function fromScale(value: number, parameter: SpreadParameter): number {
  return parameter === 'variance' ? Math.sqrt(value) : value
}

/** A pivot for a standard deviation, on the parameter's scale. */
export function scaledPivot(pivot: Pivot, parameter: SpreadParameter, variance: number): Pivot {
  if (parameter === 'standard-deviation') return pivot
  return {
    ...pivot,
    estimate: variance,
    differenceFrom: (value) => variance - value,
    statisticAt: (value, alternative) => pivot.statisticAt(Math.sqrt(value), alternative),
    estimateAt: (statistic, value, tail) => pivot.estimateAt(statistic, Math.sqrt(value), tail) ** 2,
    valueAt: (statistic, tail) => pivot.valueAt(statistic, tail) ** 2,
    ...(pivot.intermediateAt
      ? { intermediateAt: (value: number) => pivot.intermediateAt!(Math.sqrt(value)) }
      : {}),
  }
}
