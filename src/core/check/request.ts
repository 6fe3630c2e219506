import { z } from 'zod'
import { ALTERNATIVES, BURDENS, RELATIONS } from '../claim/claim'
import { INTERVAL_SIDES } from '../inference/interval'

// Zod would else probe for eval, which a page with a strict Content-Security-Policy reports as an attack.
z.config({ jitless: true })

const positive = z.number().positive()
const level = z.number().gt(0).lt(1)
const lotSize = z.int().positive().optional()

const claim = z.strictObject({
  parameter: z.enum(['mean']),
  relation: z.enum(RELATIONS),
  value: z.number(),
  tolerance: z.strictObject({ below: z.number().nonnegative(), above: z.number().nonnegative() }).optional(),
  burden: z.enum(BURDENS).optional(),
  unit: z.string().optional(),
  quantity: z.string().optional(),
  wording: z.string().optional(),
})

const readings = z.strictObject({
  kind: z.literal('readings'),
  values: z.array(z.number()),
  setAside: z.array(z.int().nonnegative()).optional(),
  lotSize,
})

const summary = z.strictObject({
  kind: z.literal('summary'),
  n: z.int().positive(),
  mean: z.number(),
  standardDeviation: z.number().nonnegative().optional(),
  variance: z.number().nonnegative().optional(),
  lotSize,
})

const test = z.strictObject({
  method: z.enum(['auto', 't', 'z']).default('auto'),
  alternative: z.enum(['auto', ...ALTERNATIVES]).default('auto'),
  significanceLevel: level.default(0.05),
  confidenceLevel: level.optional(),
  knownStandardDeviation: positive.optional(),
  interval: z.literal('auto').default('auto'),
  intervalSides: z.enum(['auto', ...INTERVAL_SIDES]).default('auto'),
  // The options below belong to methods for other parameters, and change nothing for a mean by t or z.
  continuityCorrection: z.boolean().default(false),
  twoSidedRule: z.enum(['auto', 'minimum-likelihood', 'doubled']).default('auto'),
  midP: z.boolean().default(false),
  seed: z.int().optional(),
  resamples: z.int().positive().optional(),
})

/** The check document: what is claimed, what was measured, and how it is to be tested. */
export const checkRequestSchema = z.strictObject({
  id: z.string().optional(),
  claim,
  evidence: z.discriminatedUnion('kind', [readings, summary]),
  test: test.prefault({}),
})

export type CheckDocument = z.input<typeof checkRequestSchema>
export type CheckRequest = z.output<typeof checkRequestSchema>
export type Evidence = CheckRequest['evidence']
