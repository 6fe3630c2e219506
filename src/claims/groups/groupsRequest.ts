import * as z from 'zod/mini'
import { ADJUSTMENTS } from '@/statistics/adjust/adjust'
import { contentSchema } from '../terms/contentRequest'
import { claimSchema, MAX_UNITS, testSchema } from '../terms/request'
import { DRAWN, INDEPENDENT } from '../terms/sample'

const { nominal, unit, quantity, wording, density, massUnit, plan, tare } = contentSchema.shape
const exposure = z.number().check(z.positive())

/** One claim, or one control of net content, held against each of several groups of readings at once. */
export const groupsSchema = z.strictObject({
  claim: z.optional(claimSchema),
  test: z.optional(testSchema),
  /** Instead of a claim: what the label says, and by which plan; `values` are contents, or with `tare` gross. */
  content: z.optional(z.strictObject({ nominal, unit, quantity, wording, density, massUnit, plan, tare })),
  /** Readings; of a share told by rows 1 where one counts, else 0; of a rate counts. None where nothing was measured. */
  values: z.array(z.nullable(z.number())),
  /** Of each reading, the group that it is of; "" where nobody knows. */
  labels: z.array(z.string()),
  /** Of a rate: what each count was counted over, one for each or one for all. */
  exposures: z.optional(z.union([exposure, z.array(exposure)])),
  /** Indexes of readings that are not tested, from 0. */
  setAside: z.optional(z.array(z.int().check(z.nonnegative()))),
  /** Of each reading, what was drawn, where readings were taken several of each. */
  cluster: z.optional(z.array(z.string())),
  /** The sizes of the lots that groups are of, where they are known. */
  lotSizes: z.optional(z.record(z.string(), z.int().check(z.positive(), z.maximum(MAX_UNITS)))),
  drawn: z.optional(z.enum(DRAWN)),
  independence: z.optional(z.enum(INDEPENDENT)),
  adjust: z._default(z.enum(ADJUSTMENTS), 'holm'),
})

export const groupsRequestSchema = z.strictObject({ id: z.optional(z.string()), groups: groupsSchema })

export type GroupsDocument = z.input<typeof groupsRequestSchema>
export type Groups = z.output<typeof groupsSchema>
