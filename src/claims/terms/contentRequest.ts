import * as z from 'zod'
import { entriesSchema } from './entries'
import { DRAWN, INDEPENDENT } from './sample'
import { controlPlanSchema } from './controlPlan'
import { CONTENT_UNITS, MASS_UNITS } from './contentUnits'

const measured = z.array(z.number().nonnegative())

/** The plans that ship, by the names that a request may call them. */
export const SHIPPED_PLANS = ['oiml-r87'] as const
export const DEFAULT_SEED = 20260101
/** Samples that are drawn to tell how often a lot passes. */
const USUAL_SIMULATED = 10_000

/**
 * A control of net content: what the label says, what was found in each pack, and by which plan. Everything is in the unit of
 * the label; gross, tare and the mass of a volume in `massUnit`.
 */
export const contentSchema = z.strictObject({
  nominal: z.number().positive(),
  unit: z.enum(CONTENT_UNITS),
  quantity: z.string().optional(),
  wording: z.string().optional(),
  /** The content of each pack; with `density` its net mass. */
  values: measured.optional(),
  /** With its package. */
  gross: measured.optional(),
  /** The package of each, of all, or those of some that were emptied: their mean is taken. */
  tare: z.union([measured, z.number().nonnegative(), z.strictObject({ emptyPacks: measured })]).optional(),
  /** Of a volume found by weighing, in g/mL, which are kg/L. */
  density: z.number().positive().optional(),
  /** Of gross, tare and net mass where the label states a volume. Left out: kg for L, else g. */
  massUnit: z.enum(MASS_UNITS).optional(),
  /** Indexes of packs that are not judged, from 0. */
  setAside: z.array(z.int().nonnegative()).optional(),
  lotSize: z.int().positive().optional(),
  drawn: z.enum(DRAWN).optional(),
  independence: z.enum(INDEPENDENT).optional(),
  entries: z.array(entriesSchema).max(2).optional(),
  /** One that ships by its name, or any other whole. */
  plan: z.union([z.enum(SHIPPED_PLANS), controlPlanSchema]).default('oiml-r87'),
  /** Whether it is worked out too how often lots that are short pass. */
  operating: z
    .strictObject({
      seed: z.int().default(DEFAULT_SEED),
      samples: z.int().min(100).max(1_000_000).default(USUAL_SIMULATED),
    })
    .optional(),
})

export const contentRequestSchema = z.strictObject({ id: z.string().optional(), content: contentSchema })

export type ContentDocument = z.input<typeof contentRequestSchema>
export type Content = z.output<typeof contentSchema>
