'use client'

import type { CheckResult } from '@/core/check/result'
import { formatFull } from '@/core/wording/figures'
import { Figure } from '@/ui/figures/Figure'
import { FigureTable } from '@/ui/figures/FigureTable'
import { useFormats } from '@/ui/workbench/useFormats'

/** The figures that a finding is read with. */
export function KeyFigures({ result }: Readonly<{ result: CheckResult }>) {
  const { inUnit, plain } = useFormats()
  const { sample, effectSize } = result
  const row = (name: string, value: number | undefined, format: (value: number) => string) =>
    value === undefined
      ? []
      : [{ name, figure: <Figure name={name} shown={format(value)} full={formatFull(value)} /> }]
  return (
    <FigureTable
      label="Key figures"
      rows={[
        ...row('Readings tested', sample.n, String),
        ...row('Mean', sample.mean, inUnit),
        ...row('Standard deviation', sample.standardDeviation, inUnit),
        ...row('Standard error', sample.standardError, inUnit),
        ...row('Effect size (Hedges’ g)', effectSize?.hedgesG, plain),
      ]}
    />
  )
}
