import { parameterOf } from '@/claims/all'
import type { CheckResult } from '@/claims/result'
import type { Parameter } from '@/claims/terms/names'
import type { OfSample, SampleFiguresOf, SpreadFigures } from '@/claims/terms/sampleFigures'
import { unitOf } from '../unitOf'
import { type Display, shownValue } from '../display'
import { decimalsFor, formatCount, formatFull, formatNumber, withoutMadeUpDigits, withUnit } from '../figures'
import type { Formats } from '../formats'
import type { FigureLine } from './testLines'

/**
 * The figures of the sample that a finding is read with: those that mean something for its parameter.
 *
 * @param unit - of the readings; `exposureUnit`: what a rate is per
 * @param chosen - decimals chosen for the claim
 */
export function sampleLines(
  result: CheckResult,
  formats: Formats,
  {
    unit,
    exposureUnit,
    chosen,
  }: Readonly<{ unit: string; exposureUnit?: string; chosen: number | undefined }>,
): readonly FigureLine[] {
  const { sample, estimate } = result
  const effects: Readonly<Record<string, number | undefined>> =
    'effectSize' in result ? (result.effectSize ?? {}) : {}
  const { display, inUnit, plain } = formats
  const inReadings: Display = { scale: 1, unit: unit || undefined, decimals: display.decimals }
  const reading = (value: number) => shownValue(value, inReadings)
  /** The spread of one source, to the digits that its own error leaves. */
  const spread = (n: number) => (value: number) =>
    shownValue(value, { ...inReadings, decimals: chosen ?? decimalsFor(value / Math.sqrt(2 * n)) })
  /** Of items told by their readings, whose own scatter is what is shown. */
  const ofReadings = (value: number) => {
    const { standardDeviation = 0, n } = sample as SampleFiguresOf<'counted'>
    return shownValue(value, {
      ...inReadings,
      decimals: chosen ?? decimalsFor(standardDeviation / Math.sqrt(n)),
    })
  }
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
  const ofSource = (which: string, figures: SpreadFigures) => [
    ...row(`Readings, ${which}`, figures.n, formatCount),
    ...row(`Standard deviation, ${which}`, figures.standardDeviation, spread(figures.n)),
    ...row(`Variance, ${which}`, figures.variance, squared(figures.n)),
  ]
  const { shows } = parameterOf(estimate.parameter)
  const n = (name: string) => [
    ...row(name, sample.n, formatCount),
    ...row('Set aside', sample.setAside || undefined, formatCount),
  ]
  const own = () => {
    if ('first' in sample)
      return [
        ...row('Set aside', sample.setAside || undefined, formatCount),
        ...ofSource('first source', sample.first),
        ...ofSource('second source', sample.second),
        ...row('Ratio of variances', estimate.value, inUnit),
      ]
    if ('exposure' in sample)
      return [
        ...row('Stretches', sample.n > 1 ? sample.n : undefined, formatCount),
        ...row('Set aside', sample.setAside || undefined, formatCount),
        ...row('Events', sample.events, formatCount),
        ...row('Exposure', sample.exposure, (times) =>
          [formatFull(withoutMadeUpDigits(times)), exposureUnit].filter(Boolean).join(' × '),
        ),
        ...row('Rate', estimate.value, inUnit),
        ...row('Standard error', sample.standardError, inUnit),
      ]
    if (isOfUnits(sample, estimate.parameter))
      return [
        ...n(sample.mean === undefined ? 'Units counted' : 'Items tested'),
        ...row('Units that count', sample.successes, formatCount),
        ...row('Sample share', sample.share, inUnit),
        ...row('Mean of the readings', sample.mean, ofReadings),
        ...row('Their standard deviation', sample.standardDeviation, ofReadings),
        ...row('From limit to mean, in standard deviations', sample.k, plain),
        ...row('Standard error', sample.standardError, inUnit),
        ...ofDesign(sample),
      ]
    const { median, variance } = sample as SampleFiguresOf<'measured'>
    return [
      ...n('Readings tested'),
      ...row('Mean', sample.mean, reading),
      ...row('Median', shows.includes('median') ? median : undefined, reading),
      ...row('Standard deviation', sample.standardDeviation, reading),
      ...row('Variance', shows.includes('variance') ? variance : undefined, squared(sample.n)),
      ...row('Standard error by the readings alone', sample.standardErrorOfReadings, reading),
      ...row('Standard error', sample.standardError, reading),
      ...ofDesign(sample),
    ]
  }
  const ofDesign = ({
    finiteLotFactor,
    clusters,
    designEffect,
    effectiveSampleSize,
    strata = [],
  }: OfSample) => [
    ...row('Factor for the lot', finiteLotFactor, plain),
    ...row('Clusters', clusters, formatCount),
    ...row('Design effect', designEffect, plain),
    ...row('As good as readings taken one by one', effectiveSampleSize, (size) => formatNumber(size, 1)),
    ...strata.map(({ name, n: count, size, mean }) => ({
      name: `Mean of layer ${name}, ${formatCount(count)} of ${formatCount(size)}`,
      shown: (isOfUnits(sample, estimate.parameter) ? inUnit : reading)(mean),
      full: formatFull(mean),
    })),
  ]
  return [...own(), ...EFFECT_SIZES.flatMap(([name, key]) => row(name, effects[key], plain))]
}

/** Whether the figures are those of units that count or do not. */
function isOfUnits(
  sample: CheckResult['sample'],
  parameter: Parameter,
): sample is SampleFiguresOf<'counted'> {
  return parameterOf(parameter).sample === 'counted' && !('first' in sample) && !('exposure' in sample)
}

/** The figures of an effect size that are shown, where a parameter has them. */
const EFFECT_SIZES = [
  ['Effect size (Hedges’ g)', 'hedgesG'],
  ['Effect size (Cohen’s h)', 'cohenH'],
  ['Estimate over claimed value', 'ratio'],
] as const
