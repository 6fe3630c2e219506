import type { Answer } from '@/answers/answer'
import type { PlanFigures } from '@/claims/plan/planRequest'
import type { ReckonFigures } from '@/answers/reckon'
import type { CheckResult } from '@/claims/result'
import type { Description } from '@/statistics/describe/describe'
import { intervalWords } from './claimLineWords'
import { PARAMETER_NOUNS } from './claimWords'
import { formatFull, formatFullPValue, formatNumber, formatPValue } from '../figures'
import { displayOf, shownNumber, shownValue } from '../display'
import { OUTCOME_WORDS } from './findingWords'
import { hypothesisSymbols } from './hypothesisWords'
import { distributionWords, METHOD_NAMES, STATISTIC } from './methodWords'
import { intervalMethodWords } from './optionWords'
import { wayWords } from './waysWords'

const STATISTIC_DECIMALS = 3

/** An answer in a few lines of plain text, for a person at a terminal. */
export function summary(answer: Answer): string {
  const name = answer.id === undefined ? '' : `${answer.id}: `
  if (!answer.ok) return `${name}Refused. ${answer.error.message}\n`
  return `${name}${linesFor(answer).join('\n  ')}\n`
}

function linesFor(answer: Extract<Answer, { ok: true }>): readonly string[] {
  if ('reckon' in answer) return [reckoned(answer.reckon)]
  if ('plan' in answer) return [planned(answer.plan)]
  if ('adjust' in answer) return [`Adjusted p-values: ${answer.adjust.pValues.map(formatFull).join(', ')}`]
  if ('describe' in answer) return described(answer.describe)
  return [`${OUTCOME_WORDS[answer.finding.outcome]}. ${answer.finding.sentence}`, ...linesOf(answer)]
}

function planned({ method, n, firstN, power, difference }: PlanFigures): string {
  const first = firstN === undefined || firstN === n ? '' : ` (first reached with ${firstN})`
  return `${METHOD_NAMES[method]}: with n = ${n}${first} a difference of ${formatFull(Number(difference.toPrecision(12)))} is found with a power of ${formatNumber(power, 4)}`
}

function described(figures: Description): readonly string[] {
  const { n, mean, standardDeviation, median, quartiles, min, max } = figures
  const spread =
    standardDeviation === undefined ? '' : `, standard deviation ${formatFull(standardDeviation)}`
  return [
    `n = ${n}, mean ${formatFull(mean)}${spread}`,
    `${formatFull(min)} to ${formatFull(max)}, median ${formatFull(median)}, quartiles ${quartiles.map(formatFull).join(' and ')}`,
  ]
}

function reckoned({ x, lower, upper, logLower, logUpper }: ReckonFigures): string {
  const tail = (pValue: number | undefined, logPValue = -Infinity) =>
    formatFullPValue({ logPValue, ...(pValue === undefined ? {} : { pValue }) })
  return `P(X ≤ x) = ${tail(lower, logLower)} and P(X > x) = ${tail(upper, logUpper)} at x = ${formatFull(x)}`
}

function linesOf(result: CheckResult): readonly string[] {
  const { hypotheses, sample, test, interval, estimate, finding, warnings } = result
  const { parameter } = estimate
  const display = displayOf({ parameter, unit: undefined }, result)
  const letter = STATISTIC[test.method]
  const formats = { statistic: letter, display, plainDecimals: STATISTIC_DECIMALS }
  const statistics =
    test.statistic === undefined ? (test.parts ?? []).map((part) => part.statistic) : [test.statistic]
  const shown = (value: number) => formatNumber(value, Number.isInteger(value) ? 0 : STATISTIC_DECIMALS)
  const error =
    sample.standardError === undefined ? '' : `, standard error ${shownNumber(sample.standardError, display)}`
  return [
    `H0: ${hypothesisSymbols(hypotheses.null, undefined)}   H1: ${hypothesisSymbols(hypotheses.alternative, undefined)}`,
    `n = ${sample.n}, ${PARAMETER_NOUNS[parameter]} ${shownValue(estimate.value, display)}${error}`,
    `${METHOD_NAMES[test.method]}: ${letter} = ${statistics.map(shown).join(' and ')}, ${distributionWords(test.distribution)}, p-value ${formatPValue(test.pValue, test.significanceLevel)} (${formatFullPValue(test)})`,
    ...(interval ? [`${intervalWords(interval, display)} (${intervalMethodWords(interval.method)})`] : []),
    ...test.ways.map(
      (way) => `${wayWords(way, hypotheses, formats)}: ${way.rejects ? 'rejects' : 'does not reject'} H0`,
    ),
    finding.limits,
    ...warnings.map(({ message }) => `Note: ${message}`),
  ]
}
