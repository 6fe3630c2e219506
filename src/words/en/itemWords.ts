import type { ComputedFigures } from '@/claims/result'
import type { Claim } from '@/claims/terms/claim'
import type { Limit } from '@/claims/terms/limit'
import { LIMIT_SIDE_WORDS } from './claimWords'
import { decimalsFor, formatCount, formatFull, formatNumber, formatPercent, withUnit } from '../figures'

type Figures = Pick<ComputedFigures, 'sample' | 'toleranceLimits' | 'items' | 'limitUsed'>

/** An item whose probability to conform lies between these is told neither way: common practice, no source. */
const UNTOLD = { from: 0.05, to: 0.95 } as const

/**
 * What is known of items beside their share: beyond which limit the claimed share of them lies, and of how many it is not
 * told whether they conform.
 */
export function itemWords(claim: Claim, figures: Figures): readonly string[] {
  const { limit } = claim
  if (!limit) return []
  return [
    ...guardWords(claim, limit, figures),
    ...toleranceWords(claim, limit.side, figures),
    ...untoldWords(figures),
  ]
}

function guardWords({ unit }: Claim, { value }: Limit, { limitUsed }: Figures): readonly string[] {
  if (limitUsed === undefined) return []
  const [used, own] = [limitUsed, value].map((one) => withUnit(formatFull(one), unit))
  return [
    `Readings were held against ${used}: the limit of ${own}, moved by the guard band for the uncertainty of a reading.`,
  ]
}

const IN_GROUPS =
  'These limits take the readings as taken one by one, and they were not: how sure they are is then not the confidence stated.'

function toleranceWords(
  claim: Claim,
  side: Limit['side'],
  { toleranceLimits, sample }: Figures,
): readonly string[] {
  if (!toleranceLimits) return []
  const { unit, quantity } = claim
  const { confidence, share, ordered } = toleranceLimits
  const normal = toleranceLimitShown(claim, { sample, toleranceLimits })
  const { n } = sample
  const those = `With ${formatPercent(confidence)} confidence at least ${formatPercent(share)} of ${quantity || 'items'} read`
  const beyond = (digits: string) => `${those} ${LIMIT_SIDE_WORDS[side]} ${withUnit(digits, unit)}`
  return [
    ...(normal ? [`${those} ${LIMIT_SIDE_WORDS[side]} ${normal}, as far as the readings are normal.`] : []),
    ...(ordered ? [orderedWords(ordered, { n, beyond })] : []),
    ...('clusters' in sample || 'strata' in sample ? [IN_GROUPS] : []),
  ]
}

/** The tolerance limit of a normal population, with its unit; rounded so that it claims no more than the figure. */
export function toleranceLimitShown(
  { limit, unit }: Claim,
  { sample, toleranceLimits }: Figures,
): string | undefined {
  const { normal } = toleranceLimits ?? {}
  if (!normal || !limit) return undefined
  const { n, standardDeviation = 0 } = sample as Readonly<{ n: number; standardDeviation?: number }>
  return withUnit(outward(normal.limit, limit.side, decimalsFor(standardDeviation / Math.sqrt(n))), unit)
}

function orderedWords(
  ordered: NonNullable<NonNullable<Figures['toleranceLimits']>['ordered']>,
  { n, beyond }: Readonly<{ n: number; beyond: (digits: string) => string }>,
): string {
  if ('limit' in ordered) return `${beyond(formatFull(ordered.limit))}, whatever their shape.`
  const needed =
    ordered.neededN === undefined ? '' : `; it takes ${formatCount(ordered.neededN)} readings or more`
  return `Whatever the shape of the readings, ${formatCount(n)} of them give no such limit${needed}.`
}

/** Rounded so that the sentence claims no more than the figure: downwards where items lie above it. */
function outward(value: number, side: Limit['side'], decimals: number): string {
  const nearest = Number(value.toFixed(decimals))
  const step = 10 ** -decimals
  const isBeyond = side === 'at-least' ? nearest > value : nearest < value
  return formatNumber(isBeyond ? nearest + (side === 'at-least' ? -step : step) : nearest, decimals)
}

function untoldWords({ items }: Figures): readonly string[] {
  if (!items) return []
  const untold = items.filter(({ conforms }) => conforms > UNTOLD.from && conforms < UNTOLD.to).length
  return [
    untold === 0
      ? `By the uncertainty of a reading, each of the ${formatCount(items.length)} items is told to conform or not with a probability of at least ${formatPercent(UNTOLD.to)}.`
      : `By the uncertainty of a reading, ${untold === 1 ? 'one' : formatCount(untold)} of the ${formatCount(items.length)} items ${untold === 1 ? 'is' : 'are'} told neither to conform nor not to with a probability of at least ${formatPercent(UNTOLD.to)}.`,
  ]
}
