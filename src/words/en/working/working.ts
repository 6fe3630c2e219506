import { methodOf } from '@/claims/all'
import type { ComputedCheck } from '@/claims/check'
import type { Worked } from '@/claims/terms/definition'
import { type Hypotheses, valuesOf } from '@/claims/terms/hypotheses'
import type { TestPart } from '@/claims/result'
import { partsOf } from '@/claims/testParts'
import { computed, type Step, type StepName, symbol } from '@/claims/terms/formula'
import { formatFull, formatPercent } from '../../figures'
import { intervalMethodWords } from '../optionWords'
import { equation, type Written, written } from './formula'

/** One line of the working: what it is, and the formula with its numbers put in. */
export type WrittenStep = Written & Readonly<{ name: string }>

/** What each line of a method's own working is. */
const HEADINGS: { readonly [Name in StepName]: (figures: NonNullable<Step['figures']>) => string } = {
  'standard-error': () => 'Standard error',
  'standard-error-of-readings': () => 'Standard error by the scatter of the readings',
  'standard-error-with-uncertainty': ({ share = 0, df }) =>
    `Standard error with the uncertainty that all readings share, ${formatPercent(Number(share.toPrecision(3)))} of its square${df === undefined ? '' : `; effective degrees of freedom ${formatFull(Number(df.toPrecision(8)))}`}`,
  'cluster-squares': () =>
    'Scatter of the clusters’ totals yᵢ of nᵢ readings about R, the mean of all readings',
  'standard-error-of-clusters': () => 'Standard error, of m clusters with n readings',
  'weighted-mean': () => 'Mean of the lot: each layer’s mean by its share W of the lot',
  'standard-error-of-strata': () => 'Standard error, a term for each layer',
  'share-distance': () => 'From the limit to the mean, in standard deviations',
  'share-noncentrality': () => 'Noncentrality at the claimed share',
  'share-statistic': () => 'Test statistic',
  statistic: () => 'Test statistic',
  'standard-error-of-count': () => 'Standard error of the count',
  'events-counted': () => 'Test statistic: events',
  'expected-events': () => 'Events expected at the claimed rate',
  'units-counted': () => 'Test statistic: units with the property',
  'readings-above': () => 'Test statistic: readings above the claimed value, of those not equal to it',
  'count-probability': () => 'Probability of each count k',
  'event-probability': () => 'Probability of each count k',
  'count-probability-in-lot': () => 'Probability of each count k, from the boundary lot',
  'rank-sum': () => 'Test statistic: sum of the ranks above the claimed value',
  'rank-sum-mean': () => 'Its mean; n counts the readings that differ from the claimed value',
  'rank-sum-deviation': () => 'Its standard deviation, with ties',
  'rank-sum-distance': () => 'Distance from its mean',
  'first-distance-from-mean': () => 'Mean distance from the mean, first sample',
  'first-distance-from-median': () => 'Mean distance from the median, first sample',
  'second-distance-from-mean': () => 'Mean distance from the mean, second sample',
  'second-distance-from-median': () => 'Mean distance from the median, second sample',
  'spread-between': () => 'Spread between the two',
  'spread-within': ({ df }) => `Spread within, squares about each mean over n₁ + n₂ − 2 = ${df}`,
  'trimmed-kurtosis': () => 'Kurtosis about the trimmed mean',
  'log-variance-error': () => 'Error of ln s²',
  'bonett-statistic': () =>
    'Test statistic: the z at which exp(ln(k s²) − z k e), k = n / (n − |z|), is the claimed variance',
  estimate: () => 'Estimate',
  'resamples-as-low': () => 'Share of resamples as low',
  'resamples-as-high': () => 'Share of resamples as high',
}

/**
 * The working of a check: each formula with the sample's numbers put in, so that it can be followed with a calculator
 * and a table of the distribution. Intermediate figures are shown to eight significant digits.
 */
export function workingSteps(result: ComputedCheck): readonly WrittenStep[] {
  const { sample, hypotheses, test, kind: parameter } = result
  const { working, symbol: letter } = methodOf(test.method)
  const parts = partsOf(test)
  const statistics = valuesOf(hypotheses).flatMap((value, index) => {
    const part = parts[index]!
    const worked: Worked<unknown> = { parameter, sample, value, part }
    return [...working(worked).map(writtenStep), tailStep(part, letter, sidesOf(hypotheses)[index]!)]
  })
  return [...statistics, ...combined(result), decision(result), ...intervalStep(result)]
}

function writtenStep({ name, figures = {}, sides }: Step): WrittenStep {
  return { name: HEADINGS[name](figures), ...equation(sides) }
}

type Side = 'less' | 'greater' | 'two-sided'

function sidesOf({ alternativeSide }: Hypotheses): readonly Side[] {
  if (alternativeSide === 'inside') return ['greater', 'less']
  if (alternativeSide === 'outside') return ['less', 'greater']
  return [alternativeSide]
}

/** Which tail of which distribution the p-value is. */
function tailStep(part: TestPart, letter: string, side: Side): WrittenStep {
  const tail = { less: `P(${letter} ≤ observed)`, greater: `P(${letter} ≥ observed)` }
  const text = side === 'two-sided' ? (part.distribution ? 'two-sided p-value' : 'p-value') : tail[side]
  const latex = text
    .replaceAll('≤', '$\\le$')
    .replaceAll('≥', '$\\ge$')
    .replaceAll('χ²', '$\\chi^2$')
    .replaceAll('W⁺', '$W^+$')
  const sides = [symbol(text, `\\text{${latex}}`), { is: 'probability', ...part } as const]
  return { name: `p-value, from the ${distributionName(part)}`, ...equation(sides) }
}

function distributionName({ distribution }: TestPart): string {
  if (!distribution) return 'resamples'
  const { name, ...figures } = distribution
  const shown = Object.entries(figures).map(([key, value]) => `${key} = ${formatFull(value as number)}`)
  return shown.length === 0 ? `${name} distribution` : `${name} distribution with ${shown.join(', ')}`
}

function combined({ hypotheses, test }: ComputedCheck): readonly WrittenStep[] {
  if (!('parts' in test)) return []
  const isInside = hypotheses.alternativeSide === 'inside'
  const name = isInside ? 'The larger of the two decides' : 'Twice the smaller of the two decides'
  const sides = [symbol('p-value', '\\text{p-value}'), { is: 'probability', ...test } as const]
  return [{ name, ...equation(sides) }]
}

function decision({ test }: ComputedCheck): WrittenStep {
  const isRejected = test.decision === 'rejected'
  const p = written({ is: 'probability', pValue: test.pValue, logPValue: test.logPValue })
  const level = formatFull(test.significanceLevel)
  return {
    name: `Decision: the null hypothesis is ${isRejected ? 'rejected' : 'not rejected'}`,
    latex: `${p.latex} ${isRejected ? '\\le' : '>'} ${level}`,
    text: `${p.text} ${isRejected ? '≤' : '>'} ${level}`,
  }
}

function intervalStep({ interval, estimate }: ComputedCheck): readonly WrittenStep[] {
  if (!interval) return []
  const { lower, upper } = interval
  const own =
    interval.trueLevel === undefined
      ? ''
      : `, whose true level is ${formatPercent(Number(interval.trueLevel.toFixed(4)))},`
  const ends = [lower, upper].filter((end) => end !== undefined).map((end) => written(computed(end)))
  return [
    {
      name: `${formatPercent(interval.level)} ${interval.sides === 'two-sided' ? 'interval' : `${interval.sides} bound`} (${intervalMethodWords(interval.method)})${own} about the estimate ${written(computed(estimate.value)).text}`,
      latex: ends.map(({ latex }) => latex).join(' \\text{ to } '),
      text: ends.map(({ text }) => text).join(' to '),
    },
  ]
}
