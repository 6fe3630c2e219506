import type { CheckResult } from '@/claims/result'
import type { Decided } from '@/claims/testFigures'
import { type Hypotheses, valuesOf } from '@/claims/hypotheses'
import type { PointTest, Procedure } from '@/statistics/inference/procedure'
import type { Sample } from '@/claims/sample'
import { formatFull, formatPercent } from '../../figures'
import { STATISTIC } from '../methodWords'
import { intervalMethodWords } from '../optionWords'
import { computed, probability, type Step, step, symbol } from './formula'
import { statisticSteps } from './statisticSteps'

type Worked = Readonly<{
  sample: Sample
  procedure: Procedure
  hypotheses: Hypotheses
  decided: Decided
}> &
  Pick<CheckResult, 'test' | 'interval' | 'estimate'>

/**
 * The working of a check: each formula with the sample's numbers put in, so that it can be followed with a calculator
 * and a table of the distribution. Intermediate figures are shown to eight significant digits.
 */
export function workingSteps(worked: Worked): readonly Step[] {
  const { sample, procedure, hypotheses, test, decided } = worked
  const parts = 'parts' in decided.test ? decided.test.parts : [decided.test]
  const statistics = valuesOf(hypotheses).flatMap((value, index) => [
    ...statisticSteps({ sample, procedure, value, part: parts[index]! }),
    ...tailSteps(parts[index]!, test.method, sidesOf(hypotheses)[index]!),
  ])
  return [...statistics, ...combined(worked), decision(worked), ...intervalStep(worked)]
}

type Side = 'less' | 'greater' | 'two-sided'

function sidesOf({ alternativeSide }: Hypotheses): readonly Side[] {
  if (alternativeSide === 'inside') return ['greater', 'less']
  if (alternativeSide === 'outside') return ['less', 'greater']
  return [alternativeSide]
}

/** Which tail of which distribution the p-value is. */
function tailSteps(part: PointTest, method: Procedure['method'], side: Side): readonly Step[] {
  const letter = STATISTIC[method]
  const isCount = part.distribution?.name === 'binomial' || part.distribution?.name === 'hypergeometric'
  const tail = { less: `P(${letter} ≤ observed)`, greater: `P(${letter} ≥ observed)` }
  const text =
    side === 'two-sided' ? (isCount || part.distribution ? 'two-sided p-value' : 'p-value') : tail[side]
  return [
    step(
      `p-value, from the ${distributionName(part)}`,
      symbol(
        text,
        `\\text{${text.replaceAll('≤', '$\\le$').replaceAll('≥', '$\\ge$').replaceAll('χ²', '$\\chi^2$').replaceAll('W⁺', '$W^+$')}}`,
      ),
      probability(part),
    ),
  ]
}

function distributionName({ distribution }: PointTest): string {
  if (!distribution) return 'resamples'
  const { name, ...figures } = distribution
  const shown = Object.entries(figures).map(([key, value]) => `${key} = ${formatFull(value as number)}`)
  return shown.length === 0 ? `${name} distribution` : `${name} distribution with ${shown.join(', ')}`
}

function combined({ hypotheses, test }: Worked): readonly Step[] {
  if (!test.parts) return []
  const isInside = hypotheses.alternativeSide === 'inside'
  const name = isInside ? 'The larger of the two decides' : 'Twice the smaller of the two decides'
  return [step(name, symbol('p-value', '\\text{p-value}'), probability(test))]
}

function decision({ test }: Worked): Step {
  const sign = test.decision === 'rejected' ? '≤' : '>'
  const latex = test.decision === 'rejected' ? '\\le' : '>'
  const p = probability(test)
  const level = formatFull(test.significanceLevel)
  const word = test.decision === 'rejected' ? 'rejected' : 'not rejected'
  return {
    name: `Decision: the null hypothesis is ${word}`,
    latex: `${p.latex} ${latex} ${level}`,
    text: `${p.text} ${sign} ${level}`,
  }
}

function intervalStep({ interval, estimate }: Worked): readonly Step[] {
  if (!interval) return []
  const { lower, upper } = interval
  const ends = [lower, upper].filter((end) => end !== undefined).map(computed)
  return [
    {
      name: `${formatPercent(interval.level)} ${interval.sides === 'two-sided' ? 'interval' : `${interval.sides} bound`} (${intervalMethodWords(interval.method)}) about the estimate ${computed(estimate.value).text}`,
      latex: ends.map(({ latex }) => latex).join(' \\text{ to } '),
      text: ends.map(({ text }) => text).join(' to '),
    },
  ]
}
