import { gapOf } from '@/statistics/describe/moments'
import type { NamedDistribution } from '@/statistics/distributions/named'
import type { Continuous } from '@/statistics/distributions/tails'
import { pivotProcedure } from '@/statistics/inference/pivot'
import type { MadeProcedure, Worked } from '../terms/definition'
import type { MeanSample, SampleKind } from '../terms/sample'
import type { OfSample } from '../terms/sampleFigures'
import { computed, type Formula, fraction, given, joined, type Step, step, symbol } from '../terms/formula'
import { CLAIMED_MEAN, STANDARD_ERROR, X_BAR } from '../working/symbols'

const atStatistic = (statistic: number, value: number, standardError: number) =>
  value + statistic * standardError

/** An estimate of a mean, and what rounding took from it. */
type Centre = Pick<MeanSample, 'mean' | 'meanRemainder'>

/** The standard error of a mean, and the distribution that goes with it. */
export type StandardError = Readonly<{
  standardError: number
  distribution: NamedDistribution
  reference: Continuous
  ofSample: OfSample
}>

/** The test of the pivot (x̄ − value) / standard error, for a standard error that does not depend on the value. */
export function meanProcedure<Own extends object>(
  input: Readonly<{ interval: string; sample: Centre; error: StandardError; figures: Own }>,
): MadeProcedure<Own> {
  const { interval, sample, error, figures } = input
  const { standardError, distribution, reference, ofSample } = error
  const { mean, meanRemainder } = sample
  const differenceFrom = (value: number) => gapOf(mean - value + meanRemainder, [mean, value])
  const procedure = pivotProcedure({
    interval,
    distribution,
    reference,
    estimate: mean,
    standardError,
    differenceFrom,
    figuresAt: () => figures,
    statisticAt: (value) => differenceFrom(value) / standardError,
    estimateAt: (statistic, value) => atStatistic(statistic, value, standardError),
    valueAt: (statistic) => mean - statistic * standardError,
  })
  return { ...procedure, ofSample }
}

/** The mean that would give a statistic. */
export function estimateAt(
  { sample, value }: Worked<unknown, Exclude<SampleKind, 'two'>>,
  statistic: number,
): number {
  return atStatistic(statistic, value, sample.standardError!)
}

/** (x̄ − μ₀) / SE, in symbols and with the numbers put in. */
export function meanStatistic(
  letter: string,
  { sample, value, part }: Worked<unknown, 'measured'>,
  estimate: Formula = X_BAR,
): Step {
  const formula = (centre: Formula, claimed: Formula, below: Formula) =>
    fraction(joined(centre, '−', claimed), below)
  return step(
    'statistic',
    symbol(letter),
    formula(estimate, CLAIMED_MEAN, STANDARD_ERROR),
    formula(given(sample.mean!), given(value), computed(sample.standardError!)),
    computed(part.statistic),
  )
}
