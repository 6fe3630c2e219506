import { parameterOf } from '@/claims/all'
import { formatFull, formatNumber, withoutMadeUpDigits, withUnit } from './figures'
import { type OfUnit, unitOf } from './unitOf'
import { decimalsOf, type EstimateFigures } from './estimateDecimals'

/** How the values of a claim's parameter are shown: shares in percent, everything else in its unit. */
export type Display = Readonly<{
  /** Shown value per value. */
  scale: 1 | 100
  unit: string | undefined
  decimals: number
}>

/**
 * @param figures - of the check, from which decimals worth reading follow
 * @param chosen - the decimals chosen for the claim
 */
export function displayOf(claim: OfUnit, figures: EstimateFigures | number, chosen?: number): Display {
  const { scale } = parameterOf(claim.parameter)
  const own = typeof figures === 'number' ? figures : decimalsOf(figures)
  const isPercent = scale === 100
  const enough = Math.max(0, own - (isPercent ? 2 : 0))
  const decimals = chosen ?? (typeof figures === 'number' ? enough : tellingApart(figures, scale, enough))
  return { scale, unit: isPercent ? '%' : unitOf(claim), decimals }
}

/** One decimal more where the estimate or an end of its interval would look like the claimed value and is not it. */
function tellingApart({ estimate, interval }: EstimateFigures, scale: 1 | 100, enough: number): number {
  const claimed = estimate.value - estimate.difference
  const shown = (value: number) => formatNumber(value * scale, enough)
  const looksLike = (value: number | undefined) =>
    value !== undefined &&
    Math.abs(value - claimed) > 1e-9 * Math.abs(claimed) &&
    shown(value) === shown(claimed)
  return [estimate.value, interval?.lower, interval?.upper].some(looksLike) ? enough + 1 : enough
}

/** The value in the scale that is shown. */
export function scaled(value: number, { scale }: Display): number {
  return scale === 1 ? value : withoutMadeUpDigits(value * scale)
}

/** A value rounded, with its unit: "14.929 kg", "93.0 %". */
export function shownValue(value: number, display: Display): string {
  return withUnit(shownNumber(value, display), display.unit)
}

export function shownNumber(value: number, display: Display): string {
  return formatNumber(scaled(value, display), display.decimals)
}

/** Every digit, with the unit. */
export function shownInFull(value: number, display: Display): string {
  return withUnit(formatFull(scaled(value, display)), display.unit)
}

/** A gap between two values: of shares, in percentage points. */
export function shownGap(gap: number, display: Display): string {
  const size = shownNumber(Math.abs(gap), display)
  const isSeen = gap === 0 || /[1-9]/.test(size)
  const figure = isSeen ? size : formatNumber(10 ** -display.decimals, display.decimals)
  const words = display.unit === '%' ? withUnit(figure, 'percentage points') : withUnit(figure, display.unit)
  return isSeen ? words : `less than ${words}`
}
