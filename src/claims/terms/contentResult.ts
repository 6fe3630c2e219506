import * as z from 'zod/mini'
import { CONTENT_UNITS } from './contentUnits'
import { controlPlanSchema } from './controlPlan'

const figure = z.number()
/** Indexes of packs, from 0. */
const rows = z.readonly(z.array(z.int()))

/** The three criteria of a control of net content with their figures, all in the unit of the label. */
export const contentFiguresSchema = z.strictObject({
  /** Packs that were judged. */
  n: figure,
  nominal: figure,
  unit: z.enum(CONTENT_UNITS),
  controlPlan: controlPlanSchema,
  /** What the plan asks of a lot of this size, where it knows one; how many may be short by more than T; whether n is the plan's. */
  plan: z.strictObject({ n: z.optional(figure), allowed: figure, isThePlans: z.boolean() }),
  tolerableDeficiency: figure,
  /** Of the empty packs, in the unit that they were weighed in. */
  meanTare: z.optional(z.strictObject({ value: figure, unit: z.enum(CONTENT_UNITS) })),
  /** Met where `sum`, the mean error and f·s, is not below 0; of one pack only the error is known. */
  average: z.strictObject({
    meanError: figure,
    standardDeviation: z.optional(figure),
    factor: z.optional(figure),
    sum: z.optional(figure),
    met: z.optional(z.boolean()),
  }),
  /** `pValue` where n is not the plan's, and the count is held against a binomial distribution. */
  beyondT: z.strictObject({ rows, allowed: figure, pValue: z.optional(figure), met: z.boolean() }),
  beyondTwiceT: z.strictObject({ rows, met: z.boolean() }),
  /** The least mean error that meets the first criterion at this scatter; by how much every pack would have to hold more for this sample to pass. */
  toPass: z.strictObject({ meanError: z.optional(figure), raise: figure }),
  /** How often a lot passes whose true mean is short by `short`: on average exactly, by all three as simulated. */
  operating: z.optional(
    z.strictObject({
      samples: figure,
      seed: figure,
      points: z.readonly(
        z.array(z.strictObject({ short: figure, average: figure, all: figure, standardError: figure })),
      ),
    }),
  ),
})

export type ContentFigures = Readonly<z.infer<typeof contentFiguresSchema>>
