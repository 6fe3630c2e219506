import { parameterOf } from '@/claims/all'
import type { CheckResult } from '@/claims/result'
import type { Parameter } from '@/claims/terms/names'
import type { OfSample, SampleFiguresOf, SpreadFigures } from '@/claims/terms/sampleFigures'
import { unitOf } from '../unitOf'
import { shownGap, shownValue } from '../display'
import { decimalsFor, formatCount, formatFull, formatNumber, withoutMadeUpDigits, withUnit } from '../figures'
import type { Formats } from '../formats'
import type { FigureLine } from './testLines'

type Chosen = Readonly<{ unit: string; exposureUnit?: string; chosen: number | undefined }>

/**
 * The figures of the sample that a finding is read with: those that mean something for its parameter.
 *
 * @param chosen.unit - of the readings; `exposureUnit`: what a rate is per; `chosen`: decimals chosen for the claim
 */
export function sampleLines(result: CheckResult, formats: Formats, chosen: Chosen): readonly FigureLine[] {
  const effects: Readonly<Record<string, number | undefined>> =
    'effectSize' in result ? (result.effectSize ?? {}) : {}
  return [
    ...ownLines(result, formats, chosen),
    ...EFFECT_SIZES.flatMap(([name, key]) => row(name, effects[key], formats.plain)),
  ]
}

function ownLines(result: CheckResult, formats: Formats, chosen: Chosen): readonly FigureLine[] {
  const { sample, estimate } = result
  const { inUnit } = formats
  if ('first' in sample)
    return [
      ...row('Set aside', sample.setAside || undefined, formatCount),
      ...ofSource('first source', sample.first, chosen),
      ...ofSource('second source', sample.second, chosen),
      ...row('Ratio of variances', estimate.value, inUnit),
    ]
  if ('exposure' in sample)
    return [
      ...row('Stretches', sample.n > 1 ? sample.n : undefined, formatCount),
      ...row('Set aside', sample.setAside || undefined, formatCount),
      ...row('Events', sample.events, formatCount),
      ...row('Exposure', sample.exposure, (times) =>
        [formatFull(withoutMadeUpDigits(times)), chosen.exposureUnit].filter(Boolean).join(' × '),
      ),
      ...row('Rate', estimate.value, inUnit),
      ...row('Standard error', sample.standardError, inUnit),
    ]
  if (isOfUnits(sample, estimate.parameter)) return ofUnits(sample, formats, chosen)
  return ofReadings(sample as SampleFiguresOf<'measured'>, { result, formats, chosen })
}

function ofUnits(
  sample: SampleFiguresOf<'counted'>,
  { display, inUnit, plain }: Formats,
  chosen: Chosen,
): readonly FigureLine[] {
  const { n, standardDeviation = 0 } = sample
  /** Of items told by their readings, whose own scatter is what is shown. */
  const reading = readingsIn(chosen, decimalsFor(standardDeviation / Math.sqrt(n)))
  return [
    ...sizes(sample.mean === undefined ? 'Units counted' : 'Items tested', sample),
    ...row('Units that count', sample.successes, formatCount),
    ...row('Sample share', sample.share, inUnit),
    ...row('Mean of the readings', sample.mean, reading),
    ...row('Their standard deviation', sample.standardDeviation, reading),
    ...row('From limit to mean, in standard deviations', sample.k, plain),
    ...row('Standard error', sample.standardError, (error) => shownGap(error, display)),
    ...ofDesign(sample, inUnit, plain),
  ]
}

function ofReadings(
  sample: SampleFiguresOf<'measured'>,
  { result, formats, chosen }: Readonly<{ result: CheckResult; formats: Formats; chosen: Chosen }>,
): readonly FigureLine[] {
  const { shows } = parameterOf(result.estimate.parameter)
  const reading = readingsIn(chosen, formats.display.decimals)
  const { median, variance, n } = sample
  return [
    ...sizes('Readings tested', sample),
    ...row('Mean', sample.mean, reading),
    ...row('Median', shows.includes('median') ? median : undefined, reading),
    ...row('Standard deviation', sample.standardDeviation, reading),
    ...row('Variance', shows.includes('variance') ? variance : undefined, squared(n, chosen)),
    ...row('Standard error by the readings alone', sample.standardErrorOfReadings, reading),
    ...row('Standard error', sample.standardError, reading),
    ...ofDesign(sample, reading, formats.plain),
  ]
}

/** What a method says of a sample that was not taken one by one of a lot without end. */
function ofDesign(
  { finiteLotFactor, clusters, designEffect, effectiveSampleSize, strata = [] }: OfSample,
  inUnit: Format,
  plain: Format,
): readonly FigureLine[] {
  return [
    ...row('Factor for the lot', finiteLotFactor, plain),
    ...row('Clusters', clusters, formatCount),
    ...row('Design effect', designEffect, plain),
    ...row('As good as readings taken one by one', effectiveSampleSize, (size) => formatNumber(size, 1)),
    ...strata.map(({ name, n, size, mean }) => ({
      name: `Layer ${name}, ${formatCount(n)} of ${formatCount(size)}`,
      shown: inUnit(mean),
      full: formatFull(mean),
    })),
  ]
}

type Format = (value: number) => string

const row = (name: string, value: number | undefined, format: Format): readonly FigureLine[] =>
  value === undefined ? [] : [{ name, shown: format(value), full: formatFull(value) }]

const sizes = (name: string, { n, setAside }: Readonly<{ n: number; setAside: number }>) => [
  ...row(name, n, formatCount),
  ...row('Set aside', setAside || undefined, formatCount),
]

const readingsIn =
  ({ unit, chosen }: Chosen, decimals: number): Format =>
  (value) =>
    shownValue(value, { scale: 1, unit: unit || undefined, decimals: chosen ?? decimals })

/** A variance, to the digits that its own error leaves. */
const squared =
  (n: number, { unit, chosen }: Chosen): Format =>
  (value) =>
    withUnit(
      formatNumber(value, chosen ?? decimalsFor(value * Math.sqrt(2 / n))),
      unitOf({ parameter: 'variance', unit }),
    )

const ofSource = (which: string, { n, standardDeviation, variance }: SpreadFigures, chosen: Chosen) => [
  ...row(`Readings, ${which}`, n, formatCount),
  ...row(`Standard deviation, ${which}`, standardDeviation, (value) =>
    readingsIn(chosen, decimalsFor(value / Math.sqrt(2 * n)))(value),
  ),
  ...row(`Variance, ${which}`, variance, squared(n, chosen)),
]

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
