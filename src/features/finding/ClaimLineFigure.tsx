'use client'

import { parameterOf } from '@/claims/all'
import type { Parameter } from '@/claims/terms/names'
import { useDeferredValue, useMemo } from 'react'
import { mirroringBound } from '@/pictures/claimLine'
import { boundIn, claimLineWords, intervalWords } from '@/words/en/claimLineWords'
import { scaled } from '@/words/display'
import { formatReading, formatLimit, withUnit } from '@/words/figures'
import { ClaimLine } from '@/ui/charts/ClaimLine'
import { useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

/** The claim line of the claim as it stands. It may lag a moment behind what is typed; the figures never do. */
export function ClaimLineFigure() {
  const { evidence, checked, estimated, draft } = useWorkbench()
  const { display } = useFormats()
  const { parameter } = draft
  const shown = useDeferredValue(
    useMemo(
      () => ({ evidence, checked, estimated, display, parameter }),
      [evidence, checked, estimated, display, parameter],
    ),
  )
  const drawing = useMemo(() => drawingOf(shown), [shown])
  if (drawing.figures.values.length === 0 && !checked && !estimated) return null
  return <ClaimLine {...drawing} />
}

type Shown = Pick<ReturnType<typeof useWorkbench>, 'evidence' | 'checked' | 'estimated'> &
  Readonly<{ display: ReturnType<typeof useFormats>['display']; parameter: Parameter }>

function drawingOf({ evidence, checked, estimated, display, parameter }: Shown) {
  const result = checked?.result
  const interval = result?.interval ?? estimated?.interval
  const nil = result?.hypotheses.null
  const claimed = (nil === undefined ? [] : 'lower' in nil ? [nil.lower, nil.upper] : [nil.value]).map(
    (value) => scaled(value, display),
  )
  const values = parameterOf(parameter).liesAmongReadings ? evidence.values : []
  const inScale = (value: number | undefined) => (value === undefined ? undefined : scaled(value, display))
  const { unit } = display
  const mirror = result && mirroringBound(result)
  return {
    figures: {
      values,
      claimed,
      estimate: inScale(result?.estimate.value ?? estimated?.value),
      lower: inScale(interval?.lower),
      upper: inScale(interval?.upper),
      bound: mirror && boundIn(mirror, display),
    },
    labels: {
      unit: unit ?? '',
      interval: interval ? intervalWords(interval, display) : '',
      bound: mirror ? intervalWords(mirror, display) : '',
      claimed: claimed.map(
        (value) => `${claimed.length === 2 ? 'limit' : 'claimed'} ${withUnit(formatLimit(value), unit)}`,
      ),
      reading: (value: number) => withUnit(formatReading(value), unit),
    },
    description: claimLineWords({ values, result, display }),
  }
}
