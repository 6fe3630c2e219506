import * as z from 'zod'
import { CONTENT_UNITS } from './contentUnits'
import { controlPlanSchema } from './controlPlan'

const figure = z.number()
/** Indexes of packs, from 0. */
const rows = z.array(z.int()).readonly()

/** The three criteria of a control of net content with their figures, all in the unit of the label. */
export const contentFiguresSchema = z.strictObject({
  /** Packs that were judged. */
  n: figure,
  nominal: figure,
  unit: z.enum(CONTENT_UNITS),
  controlPlan: controlPlanSchema,
  /** What the plan asks of a lot of this size, where it knows one; how many may be short by more than T; whether n is the plan's. */
  plan: z.strictObject({ n: figure.optional(), allowed: figure, isThePlans: z.boolean() }),
  tolerableDeficiency: figure,
  /** Of the empty packs, in the unit that they were weighed in. */
  meanTare: z.strictObject({ value: figure, unit: z.enum(CONTENT_UNITS) }).optional(),
  /** Met where `sum`, the mean error and f·s, is not below 0; of one pack only the error is known. */
  average: z.strictObject({
    meanError: figure,
    standardDeviation: figure.optional(),
    factor: figure.optional(),
    sum: figure.optional(),
    met: z.boolean().optional(),
  }),
  /** `pValue` where n is not the plan's, and the count is held against a binomial distribution. */
  beyondT: z.strictObject({ rows, allowed: figure, pValue: figure.optional(), met: z.boolean() }),
  beyondTwiceT: z.strictObject({ rows, met: z.boolean() }),
  /** The least mean error that meets the first criterion at this scatter; by how much every pack would have to hold more for this sample to pass. */
  toPass: z.strictObject({ meanError: figure.optional(), raise: figure }),
  /** How often a lot passes whose true mean is short by `short`: on average exactly, by all three as simulated. */
  operating: z
    .strictObject({
      samples: figure,
      seed: figure,
      points: z
        .array(z.strictObject({ short: figure, average: figure, all: figure, standardError: figure }))
        .readonly(),
    })
    .optional(),
})

export type ContentFigures = Readonly<z.infer<typeof contentFiguresSchema>>
