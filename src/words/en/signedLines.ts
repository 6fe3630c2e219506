import { methodOf } from '@/claims/all'
import type { CheckResult } from '@/claims/result'
import type { CheckDocument } from '@/claims/terms/request'
import { partsOf } from '@/claims/testParts'
import { displayOf, shownValue } from '../display'
import { formatFull, formatFullPValue, formatNumber, formatPValue } from '../figures'
import { intervalWords } from './claimLineWords'
import { hypothesisSymbols } from './hypothesisWords'
import { METHOD_WORDS } from './methods'

const STATISTIC_DECIMALS = 3
const shownStatistic = (value: number) =>
  Number.isInteger(value) ? formatFull(value) : formatNumber(value, STATISTIC_DECIMALS)

/** The decimals that were chosen for a claim, as they were typed; none where that is no number of them. */
export function chosenDecimals(typed: string | undefined): number | undefined {
  return typed !== undefined && /^\d{1,2}$/.test(typed.trim()) ? Number(typed) : undefined
}

/**
 * What was tested of a claim when it was signed, how, and what it came to: each as it is shown, and with every digit where that
 * is another.
 *
 * @param decimals - those chosen for the claim
 */
export function signedLines(
  { claim }: CheckDocument,
  result: CheckResult,
  decimals: number | undefined,
): readonly Readonly<{ name: string; shown: string; full?: string }>[] {
  const { hypotheses, sample, test, estimate, interval } = result
  const display = displayOf(claim, result, decimals)
  const statistics = partsOf(test).map(({ statistic }) => statistic)
  return [
    { name: 'Null hypothesis', shown: hypothesisSymbols(hypotheses.null, claim.unit) },
    { name: 'Alternative hypothesis', shown: hypothesisSymbols(hypotheses.alternative, claim.unit) },
    { name: 'Method', shown: METHOD_WORDS[test.method].name },
    { name: 'Significance level', shown: formatFull(test.significanceLevel) },
    { name: 'Units tested', shown: formatFull(sample.n) },
    { name: 'Estimate', shown: shownValue(estimate.value, display), full: formatFull(estimate.value) },
    {
      name: `Test statistic ${methodOf(test.method).symbol}`,
      shown: statistics.map(shownStatistic).join(', '),
      full: statistics.map(formatFull).join(', '),
    },
    {
      name: 'p-value',
      shown: formatPValue(test.pValue, test.significanceLevel),
      full: formatFullPValue(test),
    },
    ...(interval
      ? [{ name: 'Interval', shown: intervalWords(interval, display).replace(' interval', '') }]
      : []),
  ]
}
