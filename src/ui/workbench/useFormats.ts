'use client'

import { decimalsOf } from '@/words/estimateDecimals'
import { type Formats, formatsFor } from '@/words/formats'
import { useWorkbench } from './WorkbenchProvider'

/** How the figures of the claim on this page are shown. */
export function useFormats(): Formats {
  const { draft, reading, checked, estimated } = useWorkbench()
  const { parameter, unit, exposureUnit } = draft
  const claim = checked?.document.claim ?? {
    ...{ parameter, unit: unit || undefined, exposureUnit: exposureUnit || undefined },
  }
  const own = checked?.result ?? (estimated && decimalsOf({ ...estimated, estimate: estimated }))
  return formatsFor(claim, own, reading.decimals)
}
