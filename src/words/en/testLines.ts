import type { CheckResult } from '@/claims/result'
import { PARAMETER_NOUNS } from './claimWords'
import { formatFull, formatFullPValue, formatPercent, formatPValue } from '../figures'
import type { Formats } from '../formats'
import { STATISTIC } from './methodWords'

/** A figure with its name: as it is shown, with its unit, and with every digit. */
export type FigureLine = Readonly<{ name: string; shown: string; full: string }>

/** The figures of a test. */
export function testLines(
  { test, interval, estimate }: CheckResult,
  formats: Formats,
): readonly FigureLine[] {
  const { inUnit, plain } = formats
  const letter = STATISTIC[test.method]
  // Of resamples the estimate itself is compared, so its critical values are those of the estimate.
  const isEstimate = test.method === 'bootstrap'
  const noun = PARAMETER_NOUNS[estimate.parameter]
  const figure = (name: string, value: number, format: (value: number) => string): FigureLine => ({
    name,
    shown: format(value),
    full: formatFull(value),
  })
  /** Counts are shown as they are. */
  const statistic = (value: number) =>
    isCount(test) && Number.isInteger(value) ? String(value) : plain(value)
  const parts = test.parts ?? []
  const limit = (index: number) =>
    test.criticalValues.length === 1 ? '' : index === 0 ? ', lower' : ', upper'
  const ends = [
    ['lower end', interval?.lower],
    ['upper end', interval?.upper],
  ] as const
  return [
    ...(test.statistic === undefined
      ? []
      : isEstimate
        ? [figure('Estimate', test.statistic, inUnit)]
        : [figure(`Test statistic ${letter}`, test.statistic, statistic)]),
    ...parts.map((part, index) =>
      figure(
        `Test statistic ${letter} at the ${index === 0 ? 'lower' : 'upper'} limit`,
        part.statistic,
        statistic,
      ),
    ),
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

function isCount({ method, distribution }: CheckResult['test']): boolean {
  const name = distribution?.name
  return name === 'binomial' || name === 'hypergeometric' || method === 'signed-rank'
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
