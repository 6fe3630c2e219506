import { noncentralT } from '@/statistics/distributions/noncentralT'
import { studentT } from '@/statistics/distributions/studentT'
import { moments } from '@/statistics/describe/moments'
import { drawNormal, randomWords } from '@/statistics/numeric/random'
import { countBelow } from '@/statistics/resampling/biasCorrected'
import type { ContentFigures } from '../terms/contentResult'

/** At about so many places it is told how often a lot passes, from none short to where next to none passes. */
const STEPS = 12
/** It is told up to where one of so many samples passes. */
const LAST_PART = 200

type Plan = Readonly<{
  n: number
  /** How many packs may be short by more than T. */
  allowed: number
  /** T and σ, in one unit. */
  deficiency: number
  standardDeviation: number
  averageLevel: number
  seed: number
  samples: number
}>

/**
 * How often a lot of near-normal contents passes whose true mean lies short of the label, its scatter being that of the sample.
 *
 * By the first criterion exactly, from the noncentral t distribution. By all three from samples that are drawn: each passes up to
 * one shortage, the least of the three that its own criteria bear, so that one set of samples tells the whole curve. The error of
 * such a share is √(p̃(1 − p̃)/samples), p̃ with one more sample that passes and one that does not, so that it is never 0.
 *
 * @returns points from 0 on, each with its shortage in the unit of T
 */
export function operatingOf(plan: Plan): NonNullable<ContentFigures['operating']> {
  const { seed, samples } = plan
  const borne = shortagesBorne(plan)
  const last = borne.at(-Math.max(1, Math.round(samples / LAST_PART)))!
  const most = Math.max(last, plan.standardDeviation / Math.sqrt(plan.n))
  const step = roundStep(most / STEPS)
  const points = Array.from({ length: Math.ceil(most / step) + 1 }, (_, at) => {
    const short = Number((at * step).toPrecision(12))
    const passed = samples - countBelow(borne, short, 'without')
    const share = (passed + 1) / (samples + 2)
    const standardError = Math.sqrt((share * (1 - share)) / samples)
    return { short, average: passesOnAverage(plan, short), all: passed / samples, standardError }
  })
  return { samples, seed, points }
}

/** The least of 1, 2 and 5 times a power of ten that is no smaller. */
function roundStep(rough: number): number {
  const power = 10 ** Math.floor(Math.log10(rough))
  return [1, 2, 5, 10].map((times) => times * power).find((step) => step >= rough)!
}

/** P(ē + f·s ≥ 0) of a lot short by x: that a noncentral t, at −x·√n/σ, is not below −t. */
function passesOnAverage({ n, standardDeviation, averageLevel }: Plan, short: number): number {
  const noncentrality = (-short * Math.sqrt(n)) / standardDeviation
  const critical = studentT(n - 1).quantile(averageLevel, 'upper')
  return noncentralT({ degreesOfFreedom: n - 1, noncentrality }).tails(-critical).upper
}

/** The largest shortage of the true mean at which each of the samples drawn still passes, ascending. */
function shortagesBorne(plan: Plan): Float64Array {
  const { n, allowed, deficiency, standardDeviation: sigma, averageLevel, seed, samples } = plan
  const factor = studentT(n - 1).quantile(averageLevel, 'upper') / Math.sqrt(n)
  const fill = randomWords(seed)
  // Two words make two normal deviates.
  const words = new Uint32Array(n + (n % 2))
  const drawn = new Float64Array(n)
  const borne = new Float64Array(samples)
  for (let at = 0; at < samples; at += 1) {
    fill(words)
    drawNormal(words, drawn)
    const { mean, standardDeviation } = moments(drawn)
    drawn.sort()
    borne[at] = Math.min(
      sigma * (mean + factor * standardDeviation!),
      allowed < n ? deficiency + sigma * drawn[allowed]! : Infinity,
      2 * deficiency + sigma * drawn[0]!,
    )
  }
  return borne.sort()
}
