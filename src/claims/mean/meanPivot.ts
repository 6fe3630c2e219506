import { gapOf } from '@/statistics/describe/moments'
import { pivotProcedure } from '@/statistics/inference/pivot'
import type { MadeProcedure, Worked } from '../terms/definition'
import type { MeanSample } from '../terms/sample'
import { computed, type Formula, fraction, given, joined, type Step, step, symbol } from '../terms/formula'
import type { MeanError } from './meanError'
import { CLAIMED_MEAN, STANDARD_ERROR, X_BAR } from '../working/symbols'

const atStatistic = (statistic: number, value: number, standardError: number) =>
  value + statistic * standardError

/** The test of the pivot (x̄ − value) / standard error, for a standard error that does not depend on the value. */
export function meanProcedure<Own extends object>(
  input: Readonly<{ interval: string; sample: MeanSample; error: MeanError; figures: Own }>,
): MadeProcedure<Own & MeanError['allowed']> {
  const { interval, sample, error } = input
  const { standardError, distribution, reference, ofSample } = error
  const { mean, meanRemainder } = sample
  const figures = { ...input.figures, ...error.allowed }
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
  { sample: { standardError }, value }: Worked<unknown, 'measured'>,
  statistic: number,
): number {
  return atStatistic(statistic, value, standardError!)
}

/** (x̄ − μ₀) / SE, in symbols and with the numbers put in. */
export function meanStatistic(letter: string, { sample, value, part }: Worked<unknown, 'measured'>): Step {
  const formula = (centre: Formula, claimed: Formula, below: Formula) =>
    fraction(joined(centre, '−', claimed), below)
  return step(
    'statistic',
    symbol(letter),
    formula(X_BAR, CLAIMED_MEAN, STANDARD_ERROR),
    formula(given(sample.mean!), given(value), computed(sample.standardError!)),
    computed(part.statistic),
  )
}
