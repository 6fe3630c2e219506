'use client'

import { chakra } from '@chakra-ui/react'
import type { CheckResult } from '@/core/check/result'
import { formatFull, formatFullPValue, formatPercent, formatPValue } from '@/core/wording/figures'
import { distributionWords, FORMULAS, METHOD_REASONS, STATISTIC } from '@/core/wording/methodWords'
import { Figure } from '@/ui/figures/Figure'
import { FigureTable, type FigureRow } from '@/ui/figures/FigureTable'
import { Section } from '@/ui/Section'
import { NothingComputed } from '@/ui/workbench/NothingComputed'
import { type Formats, useFormats } from '@/ui/workbench/useFormats'
import { useWorkbench } from '@/ui/workbench/WorkbenchProvider'

const Formula = chakra('p', { base: { fontFamily: 'heading', fontSize: '18px', marginBlock: '8px 12px' } })

/** The method, why it is the one, and every figure that it gives. */
export function TestSection({ number }: Readonly<{ number: number }>) {
  const { answer } = useWorkbench()
  const formats = useFormats()
  return (
    <Section id="test" number={number} title="Test">
      {answer?.ok ? (
        <>
          <p>{METHOD_REASONS[answer.test.method]}</p>
          <Formula>
            {FORMULAS[answer.test.method]}, {distributionWords(answer.test.distribution)}
          </Formula>
          <FigureTable label="Figures of the test" rows={rowsOf(answer, formats)} />
        </>
      ) : (
        <NothingComputed />
      )}
    </Section>
  )
}

function rowsOf({ test, interval }: CheckResult, formats: Formats): readonly FigureRow[] {
  const { inUnit, plain } = formats
  const letter = STATISTIC[test.method]
  const figure = (name: string, value: number, format: (value: number) => string): FigureRow => ({
    name,
    figure: <Figure name={name} shown={format(value)} full={formatFull(value)} />,
  })
  const parts = test.parts ?? []
  const limit = (index: number) =>
    test.criticalValues.length === 1 ? '' : index === 0 ? ', lower' : ', upper'
  return [
    ...(test.statistic === undefined ? [] : [figure(`Test statistic ${letter}`, test.statistic, plain)]),
    ...parts.map((part, index) =>
      figure(
        `Test statistic ${letter} at the ${index === 0 ? 'lower' : 'upper'} limit`,
        part.statistic,
        plain,
      ),
    ),
    ...(test.distribution?.name === 't' ? [figure('Degrees of freedom', test.distribution.df, String)] : []),
    {
      name: 'p-value',
      figure: (
        <Figure
          name="p-value"
          shown={formatPValue(test.pValue, test.significanceLevel)}
          full={formatFullPValue(test)}
        />
      ),
    },
    ...test.criticalValues.map((value, index) =>
      figure(`Critical value of ${letter}${limit(index)}`, value, plain),
    ),
    ...test.criticalEstimates.map((value, index) =>
      figure(`Critical value of the mean${limit(index)}`, value, inUnit),
    ),
    ...(interval?.lower === undefined
      ? []
      : [figure(`${formatPercent(interval.level)} interval, lower end`, interval.lower, inUnit)]),
    ...(interval?.upper === undefined
      ? []
      : [figure(`${formatPercent(interval.level)} interval, upper end`, interval.upper, inUnit)]),
  ]
}
