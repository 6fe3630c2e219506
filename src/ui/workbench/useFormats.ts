'use client'

import { type Formats, formatsFor } from '@/words/formats'
import { useWorkbench } from './WorkbenchProvider'

/** How the figures of the claim on this page are shown. */
export function useFormats(): Formats {
  const { draft, reading, checked } = useWorkbench()
  const claim = checked?.document.claim ?? { parameter: draft.parameter, unit: draft.unit || undefined }
  return formatsFor(claim, checked?.result, reading.decimals)
}
