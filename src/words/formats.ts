import { type Display, displayOf, shownInFull, shownValue } from './display'
import type { EstimateFigures } from './estimateDecimals'
import { formatNumber } from './figures'
import type { OfUnit } from './unitOf'

/** How the figures of one claim are shown: the decimals chosen once for it, else those that fit the standard error. */
export type Formats = Readonly<{
  display: Display
  /** Decimals of figures without a unit, such as a test statistic. */
  plainDecimals: number
  /** A value of the parameter, with its unit. */
  inUnit: (value: number) => string
  /** The same with every digit. */
  inFull: (value: number) => string
  plain: (value: number) => string
}>

const USUAL_DECIMALS = 3

/**
 * @param figures - of the check, or decimals worth reading; absent while there are none
 * @param chosen - the decimals chosen for the claim
 */
export function formatsFor(
  claim: OfUnit,
  figures: EstimateFigures | number | undefined,
  chosen: number | undefined,
): Formats {
  const display = displayOf(claim, figures ?? USUAL_DECIMALS, chosen)
  const plainDecimals = chosen ?? USUAL_DECIMALS
  return {
    display,
    plainDecimals,
    inUnit: (value) => shownValue(value, display),
    inFull: (value) => shownInFull(value, display),
    plain: (value) => formatNumber(value, plainDecimals),
  }
}
