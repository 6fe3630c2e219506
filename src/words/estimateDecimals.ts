import type { ComputedFigures } from '@/claims/result'
import type { Ends } from '@/statistics/inference/interval'
import { decimalsFor } from './figures'

export type EstimateFigures = Pick<ComputedFigures, 'sample' | 'estimate' | 'interval'>

/**
 * Decimals at which an estimate is worth reading: from its standard error, or where it has none from a quarter of its
 * interval, which is about as wide.
 */
export function decimalsOf({
  sample,
  interval,
  estimate,
}: Pick<EstimateFigures, 'sample'> &
  Readonly<{ interval?: Ends | undefined; estimate: Readonly<{ value: number }> }>): number {
  const { lower, upper } = interval ?? {}
  const isWide = lower !== undefined && upper !== undefined && upper > lower
  const error = 'standardError' in sample ? sample.standardError : undefined
  return decimalsFor(error || (isWide ? (upper - lower) / 4 : Math.abs(estimate.value) / 100))
}
