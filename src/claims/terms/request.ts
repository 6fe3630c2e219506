import * as z from 'zod'
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

// Zod would else probe for eval, which a page with a strict Content-Security-Policy reports as an attack.
z.config({ jitless: true })

const positive = z.number().positive()
const level = z.number().gt(0).lt(1)
/** The largest sample, lot or count for which every figure keeps its digits. */
export const MAX_UNITS = 1_000_000_000
/** How many resamples are drawn where none are stated. */
export const USUAL_RESAMPLES = 9999
const size = z.int().positive().max(MAX_UNITS)
const origin = {
  lotSize: size.optional(),
  drawn: z.enum(DRAWN).optional(),
  independence: z.enum(INDEPENDENT).optional(),
  /** One for each source, in their order. */
  entries: z.array(entriesSchema).max(2).optional(),
}
/** What is measured may be drawn from a lot of any size: only counts are worked out unit by unit. */
const originOfMeasured = { ...origin, lotSize: z.int().positive().optional() }
const spread = {
  standardDeviation: z.number().nonnegative().optional(),
  variance: z.number().nonnegative().optional(),
}

export const claimSchema = z.strictObject({
  parameter: z.enum(PARAMETERS),
  relation: z.enum(RELATIONS),
  value: z.number(),
  /** Of a share: what the reading of an item has to be for it to count. */
  limit: limitSchema.optional(),
  tolerance: z.strictObject({ below: z.number().nonnegative(), above: z.number().nonnegative() }).optional(),
  burden: z.enum(BURDENS).optional(),
  unit: z.string().optional(),
  /** What a rate is per one of: "1,000 deliveries"; the exposure of the evidence counts so many of these. */
  exposureUnit: z.string().optional(),
  quantity: z.string().optional(),
  wording: z.string().optional(),
})

const values = z.array(z.number())
/** Indexes of the readings kept out of the test, from 0. */
const setAside = z.array(z.int().nonnegative()).optional()

/** Of each reading, the group that it was taken in. */
const groups = z.array(z.string()).optional()

const readings = z.strictObject({
  kind: z.literal('readings'),
  values,
  setAside,
  /** Readings that say only that they lie below or above a limit, "< 0.5": by index, their value is the limit. */
  censored: z
    .strictObject({
      below: z.array(z.int().nonnegative()).optional(),
      above: z.array(z.int().nonnegative()).optional(),
    })
    .optional(),
  measurement: measurementSchema.optional(),
  /** What was drawn, where readings were taken several of each: pallets, batches, days. */
  cluster: groups,
  /** How many there are of them in the lot. */
  clustersInLot: size.optional(),
  /** The layers of the lot that readings are of, and their sizes. */
  stratum: groups,
  strata: z.record(z.string(), size).optional(),
  /** Whether a layer of which the readings are a large part counts as finite; left out: it does. */
  finiteFactor: z.boolean().optional(),
  ...originOfMeasured,
})

const summary = z.strictObject({
  kind: z.literal('summary'),
  n: size,
  mean: z.number().optional(),
  ...spread,
  measurement: measurementSchema.optional(),
  ...originOfMeasured,
})

const count = z.strictObject({
  kind: z.literal('count'),
  n: size,
  successes: z.int().nonnegative(),
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
  events: z.int().nonnegative().max(MAX_UNITS),
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
  method: z.enum(['auto', ...METHODS]).default('auto'),
  alternative: z.enum(['auto', ...ALTERNATIVES]).default('auto'),
  significanceLevel: level.default(0.05),
  /** A second level, to be read beside the first; the finding is made at the first. */
  secondSignificanceLevel: level.optional(),
  confidenceLevel: level.optional(),
  knownStandardDeviation: positive.optional(),
  interval: z.enum(['auto', ...SHARE_INTERVALS, ...RATE_INTERVALS]).default('auto'),
  intervalSides: z.enum(['auto', ...INTERVAL_SIDES]).default('auto'),
  continuityCorrection: z.boolean().default(false),
  twoSidedRule: z.enum(['auto', ...TWO_SIDED_RULES]).default('auto'),
  midP: z.boolean().default(false),
  /** The standard error of a mean allows for a lot of which the sample is a large part. */
  finiteLot: z.boolean().default(false),
  /** The standard error of a mean allows for the uncertainty that all readings share. */
  allowForMeasurement: z.boolean().default(false),
  seed: z.int().default(20260101),
  resamples: z.int().min(99).max(1_000_000).default(USUAL_RESAMPLES),
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
  id: z.string().optional(),
  claim: claimSchema,
  evidence: evidenceSchema,
  test: testSchema.prefault({}),
})

export type CheckDocument = z.input<typeof checkRequestSchema>
export type CheckRequest = z.output<typeof checkRequestSchema>
export type Evidence = CheckRequest['evidence']
export type TestOptions = CheckRequest['test']
