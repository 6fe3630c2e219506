'use client'

import type { CheckResult, SpreadFigures } from '@/core/check/result'
import { type Display, shownValue } from '@/core/wording/display'
import { formatCount, formatFull, withUnit } from '@/core/wording/figures'
import { formatNumber } from '@/core/wording/figures'
import { Figure } from '@/ui/figures/Figure'
import { type FigureRow, FigureTable } from '@/ui/figures/FigureTable'
import { type Formats, useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

/** The figures that a finding is read with: those that mean something for its parameter. */
export function KeyFigures({ result }: Readonly<{ result: CheckResult }>) {
  const { draft } = useWorkbench()
  const formats = useFormats()
  return <FigureTable label="Key figures" rows={rowsOf(result, formats, draft.unit)} />
}

function rowsOf(result: CheckResult, formats: Formats, unit: string): readonly FigureRow[] {
  const { sample, effectSize, estimate } = result
  const { display, inUnit, plain } = formats
  const inReadings: Display = { scale: 1, unit: unit || undefined, decimals: display.decimals }
  const reading = (value: number) => shownValue(value, inReadings)
  const squared = (value: number) =>
    withUnit(
      formatNumber(value, display.decimals + 1),
      unit && (/^\p{L}+$/u.test(unit) ? `${unit}²` : `(${unit})²`),
    )
  const row = (
    name: string,
    value: number | undefined,
    format: (value: number) => string,
  ): readonly FigureRow[] =>
    value === undefined
      ? []
      : [{ name, figure: <Figure name={name} shown={format(value)} full={formatFull(value)} /> }]
  const ofSource = (which: string, figures: SpreadFigures | undefined) =>
    figures
      ? [
          ...row(`Readings, ${which}`, figures.n, formatCount),
          ...row(`Standard deviation, ${which}`, figures.standardDeviation, reading),
          ...row(`Variance, ${which}`, figures.variance, squared),
        ]
      : []
  const isSpread = estimate.parameter === 'standard-deviation' || estimate.parameter === 'variance'
  return [
    ...(sample.first
      ? []
      : row(sample.successes === undefined ? 'Readings tested' : 'Units counted', sample.n, formatCount)),
    ...row('Set aside', sample.setAside || undefined, formatCount),
    ...row('Units that count', sample.successes, formatCount),
    ...row('Sample share', sample.share, inUnit),
    ...ofSource('first source', sample.first),
    ...ofSource('second source', sample.second),
    ...(sample.first ? row('Ratio of variances', estimate.value, inUnit) : []),
    ...row('Mean', sample.mean, reading),
    ...(estimate.parameter === 'median' ? row('Median', sample.median, reading) : []),
    ...row('Standard deviation', sample.standardDeviation, reading),
    ...(isSpread ? row('Variance', sample.variance, squared) : []),
    ...row('Standard error', sample.standardError, sample.share === undefined ? reading : inUnit),
    ...row('Effect size (Hedges’ g)', effectSize?.hedgesG, plain),
    ...row('Effect size (Cohen’s h)', effectSize?.cohenH, plain),
    ...row('Estimate over claimed value', effectSize?.ratio, plain),
  ]
}
