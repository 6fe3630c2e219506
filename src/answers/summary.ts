import type { DrawFigures } from './draw'
import type { Answer } from '@/answers/answer'
import type { PlanFigures } from '@/claims/plan/planRequest'
import type { GroupsResult } from '@/answers/groups'
import type { LotLine, LotsResult } from '@/answers/lots'
import type { EstimateFigures } from '@/answers/estimateRequest'
import type { CriticalFigures } from '@/answers/critical'
import type { CriticalValue } from '@/statistics/inference/criticalValues'
import type { PointFigures } from '@/statistics/distributions/pointFigures'
import { type ContentResult, isControl, isTested } from '@/claims/checkAnswer'
import { type CheckResult } from '@/claims/result'
import type { Description } from '@/statistics/describe/describe'
import { intervalWords } from '@/words/en/claimLineWords'
import { CONDITION_NAMES, conditionStateWords, SOURCE_WORDS } from '@/words/en/conditionWords'
import { sizeWords } from '@/words/en/claimWords'
import { PARAMETER_WORDS } from '@/words/en/parameters'
import { decimalsOf } from '@/words/estimateDecimals'
import {
  formatFull,
  formatFullPValue,
  formatNumber,
  formatPercent,
  formatPValue,
  withUnit,
} from '@/words/figures'
import { CRITERION_STATES, criterionLines, operatingWords, toPassWords } from '@/words/en/contentWords'
import { groupName } from '@/words/en/groupLines'
import { betweenWords, groupsHeadline, groupWords } from '@/words/en/groupsWords'
import { displayOf, shownGap, shownValue } from '@/words/display'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { hypothesisSymbols } from '@/words/en/hypothesisWords'
import { distributionWords, METHOD_WORDS } from '@/words/en/methods'
import { LEVEL_HEADS, levelTable } from '@/words/en/levelTable'
import { formatsFor } from '@/words/formats'
import { methodOf } from '@/claims/all'
import { partsOf } from '@/claims/testParts'
import { intervalMethodWords } from '@/words/en/optionWords'
import { wayWords } from '@/words/en/waysWords'

const STATISTIC_DECIMALS = 3

/** An answer in a few lines of plain text, for a person at a terminal. */
export function summary(answer: Answer): string {
  const name = answer.id === undefined ? '' : `${answer.id}: `
  if (!answer.ok) return `${name}Refused. ${answer.error.message}\n`
  return `${name}${linesFor(answer).join('\n  ')}\n`
}

function linesFor(answer: Extract<Answer, { ok: true }>): readonly string[] {
  if ('reckon' in answer) return [reckoned(answer.reckon)]
  if ('critical' in answer) return answer.critical.map(criticalLine)
  if ('plan' in answer) return [planned(answer.plan)]
  if ('adjust' in answer) return [`Adjusted p-values: ${answer.adjust.pValues.map(formatFull).join(', ')}`]
  if ('describe' in answer) return described(answer.describe)
  if ('estimate' in answer && !('finding' in answer)) return estimated(answer.estimate)
  if ('groups' in answer) return grouped(answer, answer.groups)
  if ('lots' in answer) return [...grouped(answer, answer.lots, 'lots'), ...pooled(answer)]
  if ('draw' in answer) return drawn(answer.draw)
  const { finding } = answer
  const head = `${OUTCOME_WORDS[finding.outcome]}. ${finding.sentence}`
  if (isTested(answer)) return [head, ...linesOf(answer)]
  if (isControl(answer)) return [head, ...controlled(answer)]
  return [head, finding.limits, ...(finding.basis ? [finding.basis] : [])]
}

const drawn = (draw: DrawFigures): readonly string[] =>
  'units' in draw
    ? [draw.units.join(', ')]
    : draw.layers.map(({ name, units }) => `${name}: ${units.join(', ')}`)

function controlled({ content, finding, conditions, warnings }: ContentResult): readonly string[] {
  const { operating, unit } = content
  const toPass = toPassWords(content)
  return [
    ...criterionLines(content).map(
      ({ asks, seen, limit, state }) => `${asks}: ${seen} (${limit}): ${CRITERION_STATES[state]}`,
    ),
    ...(toPass === '' ? [] : [toPass]),
    ...(operating ? [operatingWords(content)] : []),
    ...(operating?.points ?? []).map(
      ({ short, average, all, standardError }) =>
        `Short by ${withUnit(formatNumber(short, 4), unit)}: passes the first criterion ${formatNumber(average, 4)}, all three ${formatNumber(all, 4)} (standard error ${formatNumber(standardError, 4)})`,
    ),
    finding.limits,
    ...conditions.map((condition) => conditionLine(condition as CheckResult['conditions'][number])),
    ...(finding.basis ? [finding.basis] : []),
    ...warnings.map(({ message }) => `Note: ${message}`),
  ]
}

function grouped(
  { between }: Pick<GroupsResult, 'between'>,
  lines: readonly LotLine[],
  what: 'groups' | 'lots' = 'groups',
): readonly string[] {
  return [
    groupsHeadline(lines, what),
    ...lines.map((line) => `${line.day ? `${line.day} ` : ''}${groupName(line.label)}: ${groupWords(line)}`),
    ...(between ? [betweenWords(between, what)] : []),
  ]
}

function pooled({ pooled: answer }: LotsResult): readonly string[] {
  if (!answer) return []
  if (!answer.ok) return [`Pooled: ${answer.error.message}`]
  return [`Pooled, with the lot as what was drawn: ${answer.finding.sentence}`]
}

function estimated(figures: EstimateFigures): readonly string[] {
  const { parameter, sample, value, standardError, interval, conditions } = figures
  const display = displayOf(
    { parameter, unit: undefined },
    decimalsOf({ sample, estimate: { value }, interval }),
  )
  const error = standardError === undefined ? '' : `, standard error ${shownGap(standardError, display)}`
  return [
    `${sizeWords(sample)}, ${PARAMETER_WORDS[parameter].noun} ${shownValue(value, display)}${error}. Nothing is tested.`,
    ...(interval ? [`${intervalWords(interval, display)} (${intervalMethodWords(interval.method)})`] : []),
    ...conditions.map((condition) => conditionLine(condition as CheckResult['conditions'][number])),
  ]
}

function planned({ method, n, firstN, power, difference }: PlanFigures): string {
  const first = firstN === undefined || firstN === n ? '' : ` (first reached with ${firstN})`
  return `${METHOD_WORDS[method].name}: with ${methodOf(method).parameters.includes('rate') ? `an exposure of ${n}` : `n = ${n}`}${first} a difference of ${formatFull(Number(difference.toPrecision(12)))} is found with a power of ${formatNumber(power, 4)}`
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

function reckoned({ x, lower, upper, logLower, logUpper }: PointFigures): string {
  const below = formatFullPValue({ pValue: lower, logPValue: logLower })
  const above = formatFullPValue({ pValue: upper, logPValue: logUpper })
  return `P(X ≤ x) = ${below} and P(X > x) = ${above} at x = ${formatFull(x)}`
}

function criticalLine({ level, lower, upper, both }: CriticalFigures): string {
  const at = (end: CriticalValue | undefined) => (end ? formatFull(end.x) : 'none')
  return `At ${formatPercent(level)}: lower ${at(lower)}, upper ${at(upper)}; both ${at(both.lower)} and ${at(both.upper)}`
}

function conditionLine(condition: CheckResult['conditions'][number]): string {
  const { name, of, code, state, sentence } = condition
  const source = of ? `, ${SOURCE_WORDS[of]}` : ''
  return `${CONDITION_NAMES[name]}${source}: ${conditionStateWords({ code, state }).toLowerCase()}. ${sentence}`
}

function linesOf(result: CheckResult): readonly string[] {
  const { hypotheses, sample, test, interval, estimate, finding, conditions, warnings } = result
  const { parameter } = estimate
  const display = displayOf({ parameter, unit: undefined }, result)
  const letter = methodOf(test.method).symbol
  const formats = { statistic: letter, display, plainDecimals: STATISTIC_DECIMALS }
  const statistics = partsOf(test).map((part) => part.statistic)
  const shown = (value: number) => formatNumber(value, Number.isInteger(value) ? 0 : STATISTIC_DECIMALS)
  const standardError = 'standardError' in sample ? sample.standardError : undefined
  const error = standardError === undefined ? '' : `, standard error ${shownGap(standardError, display)}`
  return [
    `H0: ${hypothesisSymbols(hypotheses.null, undefined)}   H1: ${hypothesisSymbols(hypotheses.alternative, undefined)}`,
    `${sizeWords(sample)}, ${PARAMETER_WORDS[parameter].noun} ${shownValue(estimate.value, display)}${error}`,
    `${METHOD_WORDS[test.method].name}: ${letter} = ${statistics.map(shown).join(' and ')}, ${distributionWords(test)}, p-value ${formatPValue(test.pValue, test.significanceLevel)} (${formatFullPValue(test)})`,
    ...(interval ? [`${intervalWords(interval, display)} (${intervalMethodWords(interval.method)})`] : []),
    ...test.ways.map(
      (way) => `${wayWords(way, hypotheses, formats)}: ${way.rejects ? 'rejects' : 'does not reject'} H0`,
    ),
    ...levelTable(result, formatsFor({ parameter, unit: undefined }, result, undefined)).map((row) =>
      row.map((cell, at) => `${LEVEL_HEADS[at]!.toLowerCase()} ${cell}`).join(', '),
    ),
    finding.limits,
    ...(finding.items ?? []),
    ...(finding.beside ? [finding.beside] : []),
    ...conditions.map(conditionLine),
    ...(finding.basis ? [finding.basis] : []),
    ...warnings.map(({ message }) => `Note: ${message}`),
  ]
}
