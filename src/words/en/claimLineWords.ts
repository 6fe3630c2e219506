import type { CheckResult, IntervalFigures } from '@/claims/result'
import { type Bound, mirroringBound } from '@/pictures/claimLine'
import { PARAMETER_NOUNS } from './parameters'
import { type Display, scaled, shownInFull, shownNumber, shownValue } from '../display'
import { formatCount, formatLimit, formatPercent, formatReading, withUnit } from '../figures'

/** An interval with its level: "95 % interval 14.884 to 14.974". */
export function intervalWords(
  { level, lower, upper }: Pick<IntervalFigures, 'level' | 'lower' | 'upper'>,
  display: Display,
): string {
  const end = (value: number) =>
    display.scale === 1 ? shownNumber(value, display) : shownValue(value, display)
  const named = formatPercent(level)
  if (lower === undefined) return upper === undefined ? '' : `${named} upper bound ${end(upper)}`
  if (upper === undefined) return `${named} lower bound ${end(lower)}`
  return `${named} interval ${end(lower)} to ${end(upper)}`
}

/** What the claim line shows, for those who do not see it. */
export function claimLineWords(
  input: Readonly<{
    /** The readings drawn; none where the parameter is on another scale. */
    values: readonly number[]
    result: Pick<CheckResult, 'hypotheses' | 'estimate' | 'interval' | 'test'> | undefined
    display: Display
  }>,
): string {
  const { values, result, display } = input
  const readings = readingsWords(values, display)
  if (!result) return `Claim line: ${readings}`
  const { null: hypothesis } = result.hypotheses
  const claimed =
    'lower' in hypothesis
      ? `Limits ${formatLimit(scaled(hypothesis.lower, display))} and ${withUnit(formatLimit(scaled(hypothesis.upper, display)), display.unit)}.`
      : `Claimed value ${shownInFull(hypothesis.value, display)}.`
  const bound = mirroringBound(result)
  const mirror = bound ? `, ${intervalWords(bound, display)}, which mirrors the test` : ''
  const interval = result.interval ? `, ${intervalWords(result.interval, display)}` : ''
  const noun = PARAMETER_NOUNS[result.estimate.parameter]
  const estimate = `${noun.charAt(0).toUpperCase()}${noun.slice(1)} ${shownValue(result.estimate.value, display)}`
  return `Claim line: ${readings}${estimate}${interval}${mirror}. ${claimed}`
}

function readingsWords(values: readonly number[], display: Display): string {
  if (values.length === 0) return ''
  const reading = (value: number) =>
    withUnit(formatReading(scaled(value, display), display.decimals), display.unit)
  let [min, max] = [Infinity, -Infinity]
  for (const value of values) {
    min = Math.min(min, value)
    max = Math.max(max, value)
  }
  return `${formatCount(values.length)} readings from ${reading(min)} to ${reading(max)}. `
}

/** The bound in the scale that is shown. */
export function boundIn(
  { lower, upper }: Pick<IntervalFigures, 'lower' | 'upper'>,
  display: Display,
): Bound | undefined {
  if (lower !== undefined) return { value: scaled(lower, display), open: 'above' }
  return upper === undefined ? undefined : { value: scaled(upper, display), open: 'below' }
}
