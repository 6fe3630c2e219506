import type { CheckResult, IntervalFigures } from '../check/result'
import { formatFull, formatLimit, formatNumber, formatPercent, withUnit } from './figures'

/** An interval with its level: "95 % interval 14.884 to 14.974". */
export function intervalWords({ level, lower, upper }: IntervalFigures, decimals: number): string {
  const end = (value: number) => formatNumber(value, decimals)
  const named = formatPercent(level)
  if (lower === undefined) return upper === undefined ? '' : `${named} upper bound ${end(upper)}`
  if (upper === undefined) return `${named} lower bound ${end(lower)}`
  return `${named} interval ${end(lower)} to ${end(upper)}`
}

/** What the claim line shows, for those who do not see it. */
export function claimLineWords(
  input: Readonly<{
    values: readonly number[]
    result: CheckResult | undefined
    unit: string | undefined
    decimals: number
  }>,
): string {
  const { values, result, unit, decimals } = input
  const figure = (value: number) => withUnit(formatNumber(value, decimals), unit)
  const exact = (value: number) => withUnit(formatFull(value), unit)
  let [least, most] = [Infinity, -Infinity]
  for (const value of values) {
    least = Math.min(least, value)
    most = Math.max(most, value)
  }
  const readings = `Claim line: ${values.length} readings from ${exact(least)} to ${exact(most)}.`
  if (!result) return readings
  const { null: hypothesis } = result.hypotheses
  const claimed =
    'lower' in hypothesis
      ? `Limits ${formatLimit(hypothesis.lower)} and ${withUnit(formatLimit(hypothesis.upper), unit)}.`
      : `Claimed value ${exact(hypothesis.value)}.`
  const interval = result.interval ? `, ${intervalWords(result.interval, decimals)}` : ''
  return `${readings} Mean ${figure(result.estimate.value)}${interval}. ${claimed}`
}
