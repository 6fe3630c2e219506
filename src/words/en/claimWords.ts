import { parameterOf } from '@/claims/all'
import type { Claim } from '@/claims/terms/claim'
import type { Limit } from '@/claims/terms/limit'
import { needsTolerance } from '@/claims/terms/relations'
import { formatCount, formatFull, formatPercent, withoutMadeUpDigits, withUnit } from '../figures'
import { type OfUnit, unitOf } from '../unitOf'
import { PARAMETER_WORDS } from './parameters'
import { RELATION_WORDS } from './relations'

export type Subject = Pick<Claim, 'parameter' | 'quantity'> & Partial<Pick<Claim, 'limit' | 'unit'>>

/** What the claim is about: "mean net mass", "standard deviation of the temperature". */
export function subjectOf({ parameter, quantity, limit, unit }: Subject): string {
  const { noun, link } = PARAMETER_WORDS[parameter]
  if (limit)
    return `${noun} ${link}${quantity || 'items'} ${limitWords(limit.side, withUnit(formatFull(limit.value), unit))}`
  return quantity ? `${noun} ${link}${quantity}` : noun
}

/** Which items count, by their readings: "with a reading of at least 15 kg". */
export const limitWords = (side: Limit['side'], limit: string): string =>
  `with a reading of ${LIMIT_SIDE_WORDS[side]} ${limit}`

export const LIMIT_SIDE_WORDS: Readonly<Record<Limit['side'], string>> = {
  'at-least': 'at least',
  'at-most': 'at most',
}

/** How much was looked at: "n = 24", "41 events in 12.4 × 1,000 deliveries". */
export function sizeWords(
  sample: Readonly<{ n: number } | { n: number; events: number; exposure: number }>,
  exposureUnit?: string,
): string {
  if (!('exposure' in sample)) return `n = ${formatCount(sample.n)}`
  const exposure = formatFull(withoutMadeUpDigits(sample.exposure))
  const events = sample.events === 1 ? '1 event' : `${formatCount(sample.events)} events`
  return `${events} in ${[exposure, exposureUnit].filter(Boolean).join(' × ')}`
}

const isPercent = ({ parameter }: Pick<Claim, 'parameter'>) => parameterOf(parameter).scale === 100

/** A value of the parameter in full: "15 kg", "0.09 (°C)²", "95 %". */
export function fullValue(claim: OfUnit, value: number): string {
  return isPercent(claim) ? formatPercent(value) : withUnit(formatFull(value), unitOf(claim))
}

/** A distance on the parameter's scale in full: of shares, in percentage points, since "2 % of 95 %" is another thing. */
export function fullGap(claim: OfUnit, gap: number): string {
  if (isPercent(claim)) return `${formatFull(withoutMadeUpDigits(gap * 100))} percentage points`
  return unitOf(claim) === '%' ? `${formatFull(gap)} percentage points` : fullValue(claim, gap)
}

/** The claim as part of a sentence: "the mean net mass is at least 15 kg". */
export function claimClause(claim: Claim): string {
  const value = fullValue(claim, claim.value)
  if (!claim.tolerance || !needsTolerance(claim)) {
    return `the ${subjectOf(claim)} is ${RELATION_WORDS[claim.relation]} ${value}`
  }
  const { below, above } = claim.tolerance
  const limits = `${fullGap(claim, below)} below and ${fullGap(claim, above)} above`
  return `the ${subjectOf(claim)} is within ${limits} ${value}`
}

/** A claim in the words that it was made in, and where they stand; a record of an earlier version may lack either. */
export function quoteWords({
  wording = '',
  source = '',
}: Readonly<{ wording?: string | undefined; source?: string | undefined }>): string {
  const words = wording.trim() === '' ? 'Its wording is not stated.' : `“${wording}”`
  const stands = source.trim() === '' ? 'Where it stands is not stated.' : `It stands in: ${source}.`
  return `${words} ${stands}`
}
