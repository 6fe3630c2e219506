import type { CheckResult } from '@/claims/result'
import type { Claim } from '@/claims/terms/claim'
import { formatCount, formatFull, formatPercent, withUnit } from '../figures'
import { LIMIT_SIDE_WORDS } from './claimWords'
import { toleranceLimitShown } from './itemWords'

/** What is drawn through the readings of items: the limit, and beyond which limit the claimed share of them lies. */
export type ItemsLine = Readonly<{
  marks: readonly Readonly<{ value: number; words: string }>[]
  mean?: number
  description: string
}>

/**
 * The picture of items by their readings, in words.
 *
 * @returns undefined where the claim is of no such items
 */
export function itemsLine(
  claim: Claim,
  result: Pick<CheckResult, 'sample'> &
    Partial<Pick<Extract<CheckResult, { kind: 'proportion' }>, 'toleranceLimits' | 'limitUsed'>>,
): ItemsLine | undefined {
  const { limit, unit } = claim
  if (!limit) return undefined
  const { successes, n, mean } = result.sample as Readonly<{ successes?: number; n: number; mean?: number }>
  const value = result.limitUsed ?? limit.value
  const share = successes === undefined ? '' : `, ${formatCount(successes)} of ${formatCount(n)} count`
  const { normal, share: claimed = 0, confidence = 0 } = result.toleranceLimits ?? {}
  const side = LIMIT_SIDE_WORDS[limit.side]
  const shown = normal && toleranceLimitShown(claim, result)
  const marks = [
    { value, words: `limit ${withUnit(formatFull(value), unit)}` },
    ...(normal && shown
      ? [{ value: normal.limit, words: `${formatPercent(claimed)} ${side} ${shown}` }]
      : []),
    // Their labels lean apart, the lower to the left.
  ].toSorted((one, other) => one.value - other.value)
  const tolerance = shown
    ? ` With ${formatPercent(confidence)} confidence ${formatPercent(claimed)} of items read ${side} ${shown}, as far as the readings are normal.`
    : ''
  return {
    marks,
    ...(mean === undefined ? {} : { mean }),
    description: `Line of items: a circle for each reading; items count that read ${side} ${withUnit(formatFull(value), unit)}${share}.${tolerance}`,
  }
}
