import * as z from 'zod'
import { ADJUSTMENTS } from '@/statistics/adjust/adjust'
import { contentSchema } from '../terms/contentRequest'
import { claimSchema, MAX_UNITS, testSchema } from '../terms/request'
import { DRAWN, INDEPENDENT } from '../terms/sample'

const { nominal, unit, quantity, wording, density, massUnit, plan, tare } = contentSchema.shape
const exposure = z.number().positive()

/** One claim, or one control of net content, held against each of several groups of readings at once. */
export const groupsSchema = z.strictObject({
  claim: claimSchema.optional(),
  test: testSchema.optional(),
  /** Instead of a claim: what the label says, and by which plan; `values` are contents, or with `tare` gross. */
  content: z.strictObject({ nominal, unit, quantity, wording, density, massUnit, plan, tare }).optional(),
  /** Readings; of a share told by rows 1 where one counts, else 0; of a rate counts. None where nothing was measured. */
  values: z.array(z.number().nullable()),
  /** Of each reading, the group that it is of; "" where nobody knows. */
  labels: z.array(z.string()),
  /** Of a rate: what each count was counted over, one for each or one for all. */
  exposures: z.union([exposure, z.array(exposure)]).optional(),
  /** Indexes of readings that are not tested, from 0. */
  setAside: z.array(z.int().nonnegative()).optional(),
  /** Of each reading, what was drawn, where readings were taken several of each. */
  cluster: z.array(z.string()).optional(),
  /** The sizes of the lots that groups are of, where they are known. */
  lotSizes: z.record(z.string(), z.int().positive().max(MAX_UNITS)).optional(),
  drawn: z.enum(DRAWN).optional(),
  independence: z.enum(INDEPENDENT).optional(),
  adjust: z.enum(ADJUSTMENTS).default('holm'),
})

export const groupsRequestSchema = z.strictObject({ id: z.string().optional(), groups: groupsSchema })

export type GroupsDocument = z.input<typeof groupsRequestSchema>
export type Groups = z.output<typeof groupsSchema>
