'use client'

import { useDeferredValue, useMemo } from 'react'
import { claimLineWords, intervalWords } from '@/core/wording/claimLineWords'
import { formatFull, formatLimit, withUnit } from '@/core/wording/figures'
import { ClaimLine } from '@/ui/charts/ClaimLine'
import { useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

/** The claim line of the claim as it stands. It may lag a moment behind what is typed; the figures never do. */
export function ClaimLineFigure() {
  const { evidence, answer } = useWorkbench()
  const { unit, decimals } = useFormats()
  const shown = useDeferredValue(
    useMemo(() => ({ evidence, answer, unit, decimals }), [evidence, answer, unit, decimals]),
  )
  const drawing = useMemo(() => {
    const result = shown.answer?.ok ? shown.answer : undefined
    const nil = result?.hypotheses.null
    const claimed = nil === undefined ? [] : 'lower' in nil ? [nil.lower, nil.upper] : [nil.value]
    const { values } = shown.evidence
    return {
      figures: {
        values,
        claimed,
        mean: result?.sample.mean,
        lower: result?.interval?.lower,
        upper: result?.interval?.upper,
      },
      labels: {
        unit: shown.unit ?? '',
        interval: result?.interval ? intervalWords(result.interval, shown.decimals) : '',
        claimed: claimed.map(
          (value) =>
            `${claimed.length === 2 ? 'limit' : 'claimed'} ${withUnit(formatLimit(value), shown.unit)}`,
        ),
        reading: (value: number) => withUnit(formatFull(value), shown.unit),
      },
      description: claimLineWords({ values, result, unit: shown.unit, decimals: shown.decimals }),
    }
  }, [shown])
  if (drawing.figures.values.length === 0) return null
  return <ClaimLine {...drawing} />
}
