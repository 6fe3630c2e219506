import type { Parameter } from './claim'
import type { Ends } from '@/statistics/inference/interval'
import { mapEnds } from '@/statistics/inference/interval'
import { meanEffectSize } from './mean/meanEffectSize'
import type { Procedure } from '@/statistics/inference/procedure'
import type { Sample } from './sample'
import { fromScale } from './spread/scale'

/** Which figures there are depends on the parameter; `lower` and `upper` are the ends for the first of them. */
export type EffectSize = Ends &
  Readonly<{
    /** (x̄ − c) / s, for a mean. */
    cohenD?: number
    /** Cohen's d freed from its bias; absent for two readings, where the factor does not exist. */
    hedgesG?: number
    /** 2 arcsin √p̂ − 2 arcsin √p₀, for a share. */
    cohenH?: number
    /** The estimate over the claimed value: of two standard deviations, or of two ratios of variances. */
    ratio?: number
  }>

/**
 * How large the gap is on a scale without unit: Cohen's d and Hedges' g for a mean, Cohen's h for a share, the ratio
 * to the claimed value for a spread; with the two-sided interval at the confidence level.
 *
 * @returns nothing for a median, or where the figure cannot be computed
 * @see J. Cohen (1988), Statistical Power Analysis for the Behavioral Sciences, 2.2 and 6.2
 */
export function effectSizeOf(
  input: Readonly<{
    parameter: Parameter
    value: number
    procedure: Procedure
    sample: Sample
    confidenceLevel: number
  }>,
): EffectSize | undefined {
  const { parameter, value, procedure, sample, confidenceLevel } = input
  const interval = () =>
    confidenceLevel < 1 && procedure.interval
      ? procedure.interval.endsAt({ beyond: 1 - confidenceLevel, sides: 'two-sided' })
      : {}
  switch (parameter) {
    case 'mean': {
      if (sample.kind !== 'measured') return undefined
      const difference = procedure.differenceFrom(value)
      return meanEffectSize({ sample: sample.measured, difference, confidenceLevel })
    }
    case 'standard-deviation':
    case 'variance': {
      const ratioOf = (spread: number) => fromScale(spread, parameter) / fromScale(value, parameter)
      return { ratio: ratioOf(procedure.estimate), ...mapEnds(interval(), ratioOf) }
    }
    case 'variance-ratio': {
      const ratioOf = (ratio: number) => ratio / value
      return { ratio: ratioOf(procedure.estimate), ...mapEnds(interval(), ratioOf) }
    }
    case 'proportion': {
      const hOf = (share: number) => 2 * (angle(share) - angle(value))
      return { cohenH: hOf(procedure.estimate), ...mapEnds(interval(), hOf) }
    }
    case 'median':
      return undefined
    default:
      return parameter satisfies never
  }
}

function angle(share: number): number {
  return Math.asin(Math.sqrt(share))
}
