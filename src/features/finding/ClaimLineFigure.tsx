'use client'

import { useDeferredValue, useMemo } from 'react'
import { testedOf } from '@/pictures/readings'
import { ClaimLine } from '@/ui/charts/ClaimLine'
import { useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'
import { claimLineDrawing } from './claimLineDrawing'

/** The claim line of the claim as it stands. It may lag a moment behind what is typed; the figures never do. */
export function ClaimLineFigure() {
  const { evidence, checked, estimated, draft } = useWorkbench()
  const { display } = useFormats()
  const { parameter } = draft
  const shown = useDeferredValue(
    useMemo(
      () => ({ values: testedOf(evidence), result: checked?.result, estimated, display, parameter }),
      [evidence, checked, estimated, display, parameter],
    ),
  )
  const drawing = useMemo(() => claimLineDrawing(shown), [shown])
  if (drawing.figures.values.length === 0 && !checked && !estimated) return null
  return <ClaimLine {...drawing} />
}
