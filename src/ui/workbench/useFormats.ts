'use client'

import { formatNumber, withUnit } from '@/core/wording/figures'
import { decimalsOf } from '@/core/wording/findingWords'
import { useWorkbench } from './WorkbenchProvider'

export type Formats = Readonly<{
  unit: string | undefined
  decimals: number
  /** Decimals of figures without a unit, such as a test statistic. */
  plainDecimals: number
  /** A figure in the claim's unit. */
  inUnit: (value: number) => string
  plain: (value: number) => string
}>

const USUAL_DECIMALS = 3

/** How the figures of this claim are displayed: the decimals chosen once for it, else those that fit the standard error. */
export function useFormats(): Formats {
  const { draft, reading, answer } = useWorkbench()
  const unit = draft.unit || undefined
  const decimals = reading.decimals ?? (answer?.ok ? decimalsOf(answer) : USUAL_DECIMALS)
  const plainDecimals = reading.decimals ?? USUAL_DECIMALS
  return {
    unit,
    decimals,
    plainDecimals,
    inUnit: (value) => withUnit(formatNumber(value, decimals), unit),
    plain: (value) => formatNumber(value, plainDecimals),
  }
}
