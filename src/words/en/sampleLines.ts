import type { CheckResult, SpreadFigures } from '@/claims/result'
import { unitOf } from './claimWords'
import { type Display, shownValue } from '../display'
import { decimalsFor, formatCount, formatFull, formatNumber, withUnit } from '../figures'
import type { Formats } from '../formats'
import type { FigureLine } from './testLines'

/**
 * The figures of the sample that a finding is read with: those that mean something for its parameter.
 *
 * @param unit - of the readings
 * @param chosen - decimals chosen for the claim
 */
export function sampleLines(
  result: CheckResult,
  formats: Formats,
  { unit, chosen }: Readonly<{ unit: string; chosen: number | undefined }>,
): readonly FigureLine[] {
  const { sample, effectSize, estimate } = result
  const { display, inUnit, plain } = formats
  const inReadings: Display = { scale: 1, unit: unit || undefined, decimals: display.decimals }
  const reading = (value: number) => shownValue(value, inReadings)
  /** The spread of one source, to the digits that its own error leaves. */
  const spread = (n: number) => (value: number) =>
    shownValue(value, { ...inReadings, decimals: chosen ?? decimalsFor(value / Math.sqrt(2 * n)) })
  const squared = (n: number) => (value: number) =>
    withUnit(
      formatNumber(value, chosen ?? decimalsFor(value * Math.sqrt(2 / n))),
      unitOf({ parameter: 'variance', unit }),
    )
  const row = (
    name: string,
    value: number | undefined,
    format: (value: number) => string,
  ): readonly FigureLine[] =>
    value === undefined ? [] : [{ name, shown: format(value), full: formatFull(value) }]
  const ofSource = (which: string, figures: SpreadFigures | undefined) =>
    figures
      ? [
          ...row(`Readings, ${which}`, figures.n, formatCount),
          ...row(`Standard deviation, ${which}`, figures.standardDeviation, spread(figures.n)),
          ...row(`Variance, ${which}`, figures.variance, squared(figures.n)),
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
    ...(isSpread ? row('Variance', sample.variance, squared(sample.n)) : []),
    ...row('Standard error', sample.standardError, sample.share === undefined ? reading : inUnit),
    ...row('Effect size (Hedges’ g)', effectSize?.hedgesG, plain),
    ...row('Effect size (Cohen’s h)', effectSize?.cohenH, plain),
    ...row('Estimate over claimed value', effectSize?.ratio, plain),
  ]
}
