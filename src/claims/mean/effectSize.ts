import { noncentralityAt } from '@/statistics/distributions/noncentrality'
import { stirlingError } from '@/statistics/numeric/stirlingError'
import type { MeasuredSample } from '../terms/sample'

/** Leaves room for the farther limit, which may be many times √n · d. */
const LARGEST = 1e300

export type MeanEffectSize = Readonly<{
  /** (x̄ − c) / s */
  cohenD: number
  /** Cohen's d freed from its bias; absent for two readings, where the factor does not exist. */
  hedgesG?: number
  /** The ends for Cohen's d, two-sided. */
  lower?: number
  upper?: number
}>

/**
 * How large the gap is, in standard deviations: Cohen's d with its interval, and Hedges' g.
 *
 * The interval inverts the noncentral t distribution of √n · d, so it assumes a normal population.
 *
 * @param input.difference - x̄ − c
 * @param input.root - what turns d into a noncentrality: √n of readings taken one by one; without it there is no interval
 * @param input.confidenceLevel - below 1
 * @returns nothing for a single reading, where the sample has no spread, or so little that its limits could leave the range of a double
 * @see L. Hedges (1981), J. Educational Statistics 6, 107-128; J. Steiger & R. Fouladi (1997), in What If There
 *   Were No Significance Tests?, ch. 9
 */
export function meanEffectSize(
  input: Readonly<{
    sample: Pick<MeasuredSample, 'sampleSize' | 'standardDeviation'>
    difference: number
    root?: number | undefined
    confidenceLevel: number
  }>,
): MeanEffectSize | undefined {
  const { sampleSize, standardDeviation } = input.sample
  if (!standardDeviation || sampleSize < 2) return undefined
  const cohenD = input.difference / standardDeviation
  if (!(Math.abs(cohenD * Math.sqrt(sampleSize)) < LARGEST)) return undefined
  const degreesOfFreedom = sampleSize - 1
  return {
    cohenD,
    ...(sampleSize > 2 ? { hedgesG: cohenD * biasFactor(degreesOfFreedom) } : {}),
    ...(input.root
      ? interval({ cohenD, sampleSize, root: input.root, beyond: 1 - input.confidenceLevel })
      : {}),
  }
}

/** Γ(ν/2) / (√(ν/2) Γ((ν − 1)/2)), for ν > 1, without the cancellation of two large log-gammas. */
function biasFactor(degreesOfFreedom: number): number {
  const h = degreesOfFreedom / 2
  const gammas = stirlingError(h) - stirlingError(h - 0.5)
  return Math.exp(gammas - (h - 1) * Math.log1p(-0.5 / h) - 0.5)
}

function interval(input: Readonly<{ cohenD: number; sampleSize: number; root: number; beyond: number }>) {
  if (input.beyond <= 0) return {}
  const { root } = input
  const sign = input.cohenD < 0 ? -1 : 1
  const shared = {
    t: Math.abs(input.cohenD) * root,
    degreesOfFreedom: input.sampleSize - 1,
    tail: input.beyond / 2,
  }
  const near = (sign * noncentralityAt({ ...shared, side: 'upper' })) / root
  const far = (sign * noncentralityAt({ ...shared, side: 'lower' })) / root
  return sign < 0 ? { lower: far, upper: near } : { lower: near, upper: far }
}
