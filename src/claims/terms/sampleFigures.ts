import * as z from 'zod/mini'
import { median } from '@/statistics/describe/quantile'
import type { Limit } from './limit'
import type { MeasuredSample, Sample, SampleKind } from './sample'

const figure = z.number()
const optional = z.optional(figure)

const spreadSchema = z.strictObject({
  n: figure,
  mean: optional,
  standardDeviation: optional,
  variance: optional,
})
/** The figures of one of two sources. */
export type SpreadFigures = Readonly<z.infer<typeof spreadSchema>>

/** What a method says of the sample that only it asks for. */
const ofSample = {
  /** √(1 − n/N), where the standard error allows for a finite lot. */
  finiteLotFactor: optional,
  /** The part of the standard error that the readings' own scatter makes, where it allows for more. */
  standardErrorOfReadings: optional,
  /** How many were drawn, of readings taken in clusters. */
  clusters: optional,
  /** The variance of the estimate over that of as many readings taken one by one. */
  designEffect: optional,
  effectiveSampleSize: optional,
  strata: z.optional(
    z.readonly(
      z.array(
        z.strictObject({
          name: z.string(),
          size: figure,
          n: figure,
          mean: figure,
          standardDeviation: figure,
        }),
      ),
    ),
  ),
}
export type OfSample = Readonly<z.infer<z.ZodMiniObject<typeof ofSample>>>

const countedSchema = z.strictObject({
  n: figure,
  setAside: figure,
  /** Absent where only the items' summary figures are known. */
  successes: optional,
  share: optional,
  standardError: optional,
  /** Of items by their readings. */
  mean: optional,
  standardDeviation: optional,
  /** From the limit to their mean, in standard deviations; above 0 where the mean counts. */
  k: optional,
  ...ofSample,
})

/** What the sample itself says: each kind of sample has only the figures that mean something for it. */
export const SAMPLE_FIGURES = {
  measured: z.strictObject({
    n: figure,
    setAside: figure,
    mean: optional,
    standardDeviation: optional,
    variance: optional,
    median: optional,
    standardError: optional,
    ...ofSample,
  }),
  counted: countedSchema,
  limited: countedSchema,
  events: z.strictObject({
    /** Stretches of one exposure each; 1 for a total. */
    n: figure,
    setAside: figure,
    events: figure,
    exposure: figure,
    standardError: optional,
  }),
  two: z.strictObject({ n: figure, setAside: figure, first: spreadSchema, second: spreadSchema }),
} as const satisfies Readonly<Record<SampleKind, z.ZodMiniType>>

export type SampleFiguresOf<Kind extends SampleKind> = Kind extends SampleKind
  ? Readonly<z.infer<(typeof SAMPLE_FIGURES)[Kind]>>
  : never

/** @param procedure - the method used, with its standard error of the estimate and what else it says of the sample */
export function sampleFigures(
  sample: Sample,
  { standardError, ofSample = {} }: Readonly<{ standardError?: number | undefined; ofSample?: OfSample }>,
): SampleFiguresOf<SampleKind> {
  const error = { ...(standardError === undefined ? {} : { standardError }), ...ofSample }
  switch (sample.kind) {
    case 'measured': {
      const { n, ...figures } = spreadFigures(sample.measured)
      const { setAside, sorted } = sample.measured
      return { n, setAside, ...figures, ...(sorted ? { median: median(sorted) } : {}), ...error }
    }
    case 'counted': {
      const { sampleSize: n, successes } = sample.counted
      return { n, setAside: 0, successes, share: successes / n, ...error }
    }
    case 'limited': {
      const { measured, counted, limit } = sample
      const { n, variance: _, ...figures } = spreadFigures(measured)
      const k = distanceIn(measured, limit)
      return {
        ...{ n, setAside: measured.setAside },
        ...(counted ? { successes: counted.successes, share: counted.successes / n } : {}),
        ...figures,
        ...(k === undefined ? {} : { k }),
        ...error,
      }
    }
    case 'two': {
      const [first, second] = [spreadFigures(sample.two.first), spreadFigures(sample.two.second)]
      const setAside = sample.two.first.setAside + sample.two.second.setAside
      return { n: first.n + second.n, setAside, first, second }
    }
    case 'events': {
      const { events, exposure, stretches, setAside } = sample.events
      return { n: stretches?.length ?? 1, setAside, events, exposure, ...error }
    }
    default:
      return sample satisfies never
  }
}

/** From the limit to the mean, in standard deviations, towards what counts; absent where there is none to measure by. */
export function distanceIn(
  { mean, meanRemainder, standardDeviation }: MeasuredSample,
  { side, value }: Limit,
): number | undefined {
  if (mean === undefined || !standardDeviation) return undefined
  const gap = mean - value + meanRemainder
  return (side === 'at-least' ? gap : -gap) / standardDeviation
}

function spreadFigures({ sampleSize: n, mean, standardDeviation, variance }: MeasuredSample): SpreadFigures {
  return {
    n,
    ...(mean === undefined ? {} : { mean }),
    ...(standardDeviation === undefined ? {} : { standardDeviation }),
    ...(variance === undefined ? {} : { variance }),
  }
}
