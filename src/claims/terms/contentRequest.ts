import * as z from 'zod/mini'
import { entriesSchema } from './entries'
import { DRAWN, INDEPENDENT } from './sample'
import { controlPlanSchema } from './controlPlan'
import { USUAL_SEED } from './request'
import { CONTENT_UNITS, MASS_UNITS } from './contentUnits'

const measured = z.array(z.number().check(z.nonnegative()))

/** The plans that ship, by the names that a request may call them. */
export const SHIPPED_PLANS = ['oiml-r87'] as const
/** Samples that are drawn to tell how often a lot passes. */
const USUAL_SIMULATED = 10_000
const [LEAST_SIMULATED, MAX_SIMULATED] = [100, 1_000_000]

/**
 * A control of net content: what the label says, what was found in each pack, and by which plan. Everything is in the unit of
 * the label; gross, tare and the mass of a volume in `massUnit`.
 */
export const contentSchema = z.strictObject({
  nominal: z.number().check(z.positive()),
  unit: z.enum(CONTENT_UNITS),
  quantity: z.optional(z.string()),
  wording: z.optional(z.string()),
  /** The content of each pack; with `density` its net mass. */
  values: z.optional(measured),
  /** With its package. */
  gross: z.optional(measured),
  /** The package of each, of all, or those of some that were emptied: their mean is taken. */
  tare: z.optional(
    z.union([measured, z.number().check(z.nonnegative()), z.strictObject({ emptyPacks: measured })]),
  ),
  /** Of a volume found by weighing, in g/mL, which are kg/L. */
  density: z.optional(z.number().check(z.positive())),
  /** Of gross, tare and net mass where the label states a volume. Left out: kg for L, else g. */
  massUnit: z.optional(z.enum(MASS_UNITS)),
  /** Indexes of packs that are not judged, from 0. */
  setAside: z.optional(z.array(z.int().check(z.nonnegative()))),
  lotSize: z.optional(z.int().check(z.positive())),
  drawn: z.optional(z.enum(DRAWN)),
  independence: z.optional(z.enum(INDEPENDENT)),
  entries: z.optional(z.array(entriesSchema).check(z.maxLength(2))),
  /** One that ships by its name, or any other whole. */
  plan: z._default(z.union([z.enum(SHIPPED_PLANS), controlPlanSchema]), 'oiml-r87'),
  /** Whether it is worked out too how often lots that are short pass. */
  operating: z.optional(
    z.strictObject({
      seed: z._default(z.int(), USUAL_SEED),
      samples: z._default(
        z.int().check(z.minimum(LEAST_SIMULATED), z.maximum(MAX_SIMULATED)),
        USUAL_SIMULATED,
      ),
    }),
  ),
})

export const contentRequestSchema = z.strictObject({ id: z.optional(z.string()), content: contentSchema })

export type ContentDocument = z.input<typeof contentRequestSchema>
export type Content = z.output<typeof contentSchema>
