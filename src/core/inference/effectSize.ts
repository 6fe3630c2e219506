import { noncentralTTails } from '../distributions/noncentralT'
import { normal } from '../distributions/normal'
import { bracketedRoot } from '../numeric/bracketedRoot'
import { stirlingError } from '../numeric/stirlingError'
import type { MeanSample } from './sample'

export type EffectSize = Readonly<{
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
 * @param input.confidenceLevel - below 1
 * @returns nothing where the sample has no spread
 * @see L. Hedges (1981), J. Educational Statistics 6, 107-128; J. Steiger & R. Fouladi (1997), in What If There
 *   Were No Significance Tests?, ch. 9
 */
export function meanEffectSize(
  input: Readonly<{ sample: MeanSample; difference: number; confidenceLevel: number }>,
): EffectSize | undefined {
  const { sampleSize, standardDeviation } = input.sample
  if (!standardDeviation) return undefined
  const cohenD = input.difference / standardDeviation
  const degreesOfFreedom = sampleSize - 1
  return {
    cohenD,
    ...(sampleSize > 2 ? { hedgesG: cohenD * biasFactor(degreesOfFreedom) } : {}),
    ...interval({ cohenD, sampleSize, beyond: 1 - input.confidenceLevel }),
  }
}

/** Γ(ν/2) / (√(ν/2) Γ((ν − 1)/2)), for ν > 1, without the cancellation of two large log-gammas. */
function biasFactor(degreesOfFreedom: number): number {
  const h = degreesOfFreedom / 2
  const gammas = stirlingError(h) - stirlingError(h - 0.5)
  return Math.exp(gammas - (h - 1) * Math.log1p(-0.5 / h) - 0.5)
}

function interval(input: Readonly<{ cohenD: number; sampleSize: number; beyond: number }>) {
  if (input.beyond <= 0) return {}
  const root = Math.sqrt(input.sampleSize)
  const t = input.cohenD * root
  const degreesOfFreedom = input.sampleSize - 1
  const tail = input.beyond / 2
  return {
    lower: noncentralityAt({ t, degreesOfFreedom, tail, side: 'upper' }) / root,
    upper: noncentralityAt({ t, degreesOfFreedom, tail, side: 'lower' }) / root,
  }
}

/** The noncentrality under which t leaves the probability `tail` on the given side. */
function noncentralityAt(
  input: Readonly<{ t: number; degreesOfFreedom: number; tail: number; side: 'lower' | 'upper' }>,
): number {
  const { t, degreesOfFreedom, side } = input
  const target = Math.log(input.tail)
  const f = (noncentrality: number) => {
    const tails = noncentralTTails({ t, degreesOfFreedom, noncentrality })
    return (side === 'upper' ? tails.logUpper : tails.logLower) - target
  }
  const spread = Math.sqrt(1 + (t * t) / (2 * degreesOfFreedom))
  const towards = side === 'upper' ? -1 : 1
  // The normal approximation is near the root; f falls in the direction `towards`.
  const guess = t + towards * normal.quantile(input.tail, 'upper') * spread
  let reach = 0.05 * spread
  const isBefore = f(guess) > 0
  const direction = isBefore ? towards : -towards
  while (f(guess + direction * reach) > 0 === isBefore) reach *= 2
  return bracketedRoot({ f, low: guess, high: guess + direction * reach })
}
