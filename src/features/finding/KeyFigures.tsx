'use client'

import type { CheckResult } from '@/claims/result'
import { sampleLines } from '@/words/en/sampleLines'
import { FigureLines } from '@/ui/figures/FigureLines'
import { useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

/** The figures that a finding is read with: those that mean something for its parameter. */
export function KeyFigures({ result }: Readonly<{ result: CheckResult }>) {
  const { draft, reading } = useWorkbench()
  const formats = useFormats()
  const lines = sampleLines(result, formats, {
    unit: draft.unit,
    exposureUnit: draft.exposureUnit,
    chosen: reading.decimals,
  })
  return <FigureLines label="Key figures" lines={lines} />
}
