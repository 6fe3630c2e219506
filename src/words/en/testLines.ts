import { methodOf } from '@/claims/all'
import type { CheckResult } from '@/claims/result'
import { partsOf } from '@/claims/testParts'
import { formatFull, formatFullPValue, formatPercent, formatPValue } from '../figures'
import type { Formats } from '../formats'
import { PARAMETER_WORDS } from './parameters'

/** A figure with its name: as it is shown, with its unit, and with every digit. */
export type FigureLine = Readonly<{ name: string; shown: string; full: string }>

/** The figures of a test. */
export function testLines(
  { test, interval, estimate }: CheckResult,
  formats: Formats,
): readonly FigureLine[] {
  const { inUnit, plain } = formats
  const { symbol: letter, statistic: kind } = methodOf(test.method)
  // Where the estimate itself is compared, its critical values are those of the estimate.
  const isEstimate = kind === 'estimate'
  const { noun } = PARAMETER_WORDS[estimate.parameter]
  const figure = (name: string, value: number, format: (value: number) => string): FigureLine => ({
    name,
    shown: format(value),
    full: formatFull(value),
  })
  /** Counts are shown as they are. */
  const statistic = (value: number) =>
    kind === 'count' && Number.isInteger(value) ? String(value) : plain(value)
  const parts = partsOf(test)
  const limit = (index: number) =>
    test.criticalValues.length === 1 ? '' : index === 0 ? ', lower' : ', upper'
  const ends = [
    ['lower end', interval?.lower],
    ['upper end', interval?.upper],
  ] as const
  return [
    ...parts.map((part, index) => {
      if (isEstimate && parts.length === 1) return figure('Estimate', part.statistic, inUnit)
      const limit = parts.length === 1 ? '' : ` at the ${index === 0 ? 'lower' : 'upper'} limit`
      return figure(`Test statistic ${letter}${limit}`, part.statistic, statistic)
    }),
    ...degreesOfFreedom(test).map(([name, value]) => figure(name, value, String)),
    {
      name: 'p-value',
      shown: formatPValue(test.pValue, test.significanceLevel),
      full: formatFullPValue(test),
    },
    ...(isEstimate ? [] : test.criticalValues).map((value, index) =>
      figure(`Critical value of ${letter}${limit(index)}`, value, statistic),
    ),
    ...test.criticalEstimates.map((value, index) =>
      figure(`Critical value of the ${noun}${limit(index)}`, value, inUnit),
    ),
    ...ends.flatMap(([end, value]) =>
      interval === undefined || value === undefined
        ? []
        : [figure(`${formatPercent(interval.level)} interval, ${end}`, value, inUnit)],
    ),
  ]
}

function degreesOfFreedom({ distribution }: CheckResult['test']): readonly (readonly [string, number])[] {
  switch (distribution?.name) {
    case 't':
    case 'chi-square':
      return [['Degrees of freedom', distribution.df]]
    case 'f':
      return [
        ['Degrees of freedom, first', distribution.df1],
        ['Degrees of freedom, second', distribution.df2],
      ]
    default:
      return []
  }
}
