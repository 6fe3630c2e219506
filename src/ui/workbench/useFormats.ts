'use client'

import { type Display, displayOf, shownInFull, shownValue } from '@/core/wording/display'
import { formatNumber } from '@/core/wording/figures'
import { useWorkbench } from './WorkbenchProvider'

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

/** How the figures of this claim are displayed: the decimals chosen once for it, else those that fit the standard error. */
export function useFormats(): Formats {
  const { draft, reading, checked } = useWorkbench()
  const display = displayOf(
    checked?.document.claim ?? { parameter: draft.parameter, unit: draft.unit || undefined },
    checked?.result ?? USUAL_DECIMALS,
    reading.decimals,
  )
  const plainDecimals = reading.decimals ?? USUAL_DECIMALS
  return {
    display,
    plainDecimals,
    inUnit: (value) => shownValue(value, display),
    inFull: (value) => shownInFull(value, display),
    plain: (value) => formatNumber(value, plainDecimals),
  }
}
