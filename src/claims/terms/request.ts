import * as z from 'zod/mini'
import { ALTERNATIVES } from '@/statistics/inference/alternative'
import { INTERVAL_SIDES } from '@/statistics/inference/interval'
import { RATE_INTERVALS } from '@/statistics/inference/rateInterval'
import { SHARE_INTERVALS } from '@/statistics/inference/shareInterval'
import { entriesSchema } from './entries'
import { measurementSchema } from './measurement'
import { limitSchema } from './limit'
import { METHODS, PARAMETERS } from './names'
import { BURDENS, RELATIONS } from './relations'
import { DRAWN, INDEPENDENT } from './sample'
import { TWO_SIDED_RULES } from './twoSidedRules'
import './zod'

const positive = z.number().check(z.positive())
const level = z.number().check(z.gt(0), z.lt(1))
/** The largest sample, lot or count for which every figure keeps its digits. */
export const MAX_UNITS = 1_000_000_000
/** The significance level where none is stated. */
export const DEFAULT_LEVEL = 0.05
const [LEAST_RESAMPLES, MAX_RESAMPLES] = [99, 1_000_000]
/** How many resamples are drawn where none are stated. */
export const USUAL_RESAMPLES = 9999
export const USUAL_SEED = 20260101
const size = z.int().check(z.positive(), z.maximum(MAX_UNITS))
const origin = {
  lotSize: z.optional(size),
  drawn: z.optional(z.enum(DRAWN)),
  independence: z.optional(z.enum(INDEPENDENT)),
  /** One for each source, in their order. */
  entries: z.optional(z.array(entriesSchema).check(z.maxLength(2))),
}
/** What is measured may be drawn from a lot of any size: only counts are worked out unit by unit. */
const originOfMeasured = { ...origin, lotSize: z.optional(z.int().check(z.positive())) }
const spread = {
  standardDeviation: z.optional(z.number().check(z.nonnegative())),
  variance: z.optional(z.number().check(z.nonnegative())),
}

export const claimSchema = z.strictObject({
  parameter: z.enum(PARAMETERS),
  relation: z.enum(RELATIONS),
  value: z.number(),
  /** Of a share: what the reading of an item has to be for it to count. */
  limit: z.optional(limitSchema),
  tolerance: z.optional(
    z.strictObject({ below: z.number().check(z.nonnegative()), above: z.number().check(z.nonnegative()) }),
  ),
  burden: z.optional(z.enum(BURDENS)),
  unit: z.optional(z.string()),
  /** What a rate is per one of: "1,000 deliveries"; the exposure of the evidence counts so many of these. */
  exposureUnit: z.optional(z.string()),
  quantity: z.optional(z.string()),
  wording: z.optional(z.string()),
})

const values = z.array(z.number())
/** Indexes of the readings kept out of the test, from 0. */
const setAside = z.optional(z.array(z.int().check(z.nonnegative())))

/** Of each reading, the group that it was taken in. */
const groups = z.optional(z.array(z.string()))

const readings = z.strictObject({
  kind: z.literal('readings'),
  values,
  setAside,
  /** Readings that say only that they lie below or above a limit, "< 0.5": by index, their value is the limit. */
  censored: z.optional(
    z.strictObject({
      below: z.optional(z.array(z.int().check(z.nonnegative()))),
      above: z.optional(z.array(z.int().check(z.nonnegative()))),
    }),
  ),
  measurement: z.optional(measurementSchema),
  /** What was drawn, where readings were taken several of each: pallets, batches, days. */
  cluster: groups,
  /** How many there are of them in the lot. */
  clustersInLot: z.optional(size),
  /** The layers of the lot that readings are of, and their sizes. */
  stratum: groups,
  strata: z.optional(z.record(z.string(), size)),
  /** Whether a layer of which the readings are a large part counts as finite; left out: it does. */
  finiteFactor: z.optional(z.boolean()),
  ...originOfMeasured,
})

const summary = z.strictObject({
  kind: z.literal('summary'),
  n: size,
  mean: z.optional(z.number()),
  ...spread,
  measurement: z.optional(measurementSchema),
  ...originOfMeasured,
})

const count = z.strictObject({
  kind: z.literal('count'),
  n: size,
  successes: z.int().check(z.nonnegative()),
  ...origin,
})

const twoReadings = z.strictObject({
  kind: z.literal('two-readings'),
  first: values,
  second: values,
  firstSetAside: setAside,
  secondSetAside: setAside,
  ...origin,
})

const spreadOfOne = z.strictObject({ n: size, ...spread })
const twoSummaries = z.strictObject({
  kind: z.literal('two-summaries'),
  first: spreadOfOne,
  second: spreadOfOne,
  ...origin,
})

/** A lot is of units, and an exposure has none. */
const { lotSize: _, ...originOfEvents } = origin
const events = z.strictObject({
  kind: z.literal('events'),
  events: z.int().check(z.nonnegative(), z.maximum(MAX_UNITS)),
  exposure: positive,
  ...originOfEvents,
})

/** A count for each of several stretches of one exposure: what is set aside may be none. */
const eventCounts = z.strictObject({
  kind: z.literal('event-counts'),
  values,
  exposureEach: positive,
  setAside,
  ...originOfEvents,
})

export const testSchema = z.strictObject({
  method: z._default(z.enum(['auto', ...METHODS]), 'auto'),
  alternative: z._default(z.enum(['auto', ...ALTERNATIVES]), 'auto'),
  significanceLevel: z._default(level, DEFAULT_LEVEL),
  /** A second level, to be read beside the first; the finding is made at the first. */
  secondSignificanceLevel: z.optional(level),
  confidenceLevel: z.optional(level),
  knownStandardDeviation: z.optional(positive),
  interval: z._default(z.enum(['auto', ...SHARE_INTERVALS, ...RATE_INTERVALS]), 'auto'),
  intervalSides: z._default(z.enum(['auto', ...INTERVAL_SIDES]), 'auto'),
  continuityCorrection: z._default(z.boolean(), false),
  twoSidedRule: z._default(z.enum(['auto', ...TWO_SIDED_RULES]), 'auto'),
  midP: z._default(z.boolean(), false),
  /** The standard error of a mean allows for a lot of which the sample is a large part. */
  finiteLot: z._default(z.boolean(), false),
  /** The standard error of a mean allows for the uncertainty that all readings share. */
  allowForMeasurement: z._default(z.boolean(), false),
  seed: z._default(z.int(), USUAL_SEED),
  resamples: z._default(z.int().check(z.minimum(LEAST_RESAMPLES), z.maximum(MAX_RESAMPLES)), USUAL_RESAMPLES),
})

export const evidenceSchema = z.discriminatedUnion('kind', [
  readings,
  summary,
  count,
  twoReadings,
  twoSummaries,
  events,
  eventCounts,
])

/** The check document: what is claimed, what was measured, and how it is to be tested. */
export const checkRequestSchema = z.strictObject({
  id: z.optional(z.string()),
  claim: claimSchema,
  evidence: evidenceSchema,
  test: z.prefault(testSchema, {}),
})

export type CheckDocument = z.input<typeof checkRequestSchema>
export type CheckRequest = z.output<typeof checkRequestSchema>
export type Evidence = CheckRequest['evidence']
export type TestOptions = CheckRequest['test']
