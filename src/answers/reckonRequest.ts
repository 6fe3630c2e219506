import * as z from 'zod'
import { MAX_UNITS } from '@/claims/terms/request'

/** Degrees of freedom and shapes between which every figure keeps its digits and comes at once. */
const degrees = z.number().min(0.001).max(1e10)
const noncentrality = z.number().min(-1e4).max(1e4)
const whole = z.int().nonnegative()
const share = z.number().min(0).max(1)
const tail = z.number().gt(0).lt(1).optional()

/** The work grows as the cube of the ranks. */
const MAX_RANKS = 500

/** A distribution by its name, with its parameters. */
export const distributionSchema = z.discriminatedUnion('name', [
  z.strictObject({ name: z.literal('normal') }),
  z.strictObject({ name: z.literal('t'), df: degrees }),
  z.strictObject({ name: z.literal('chi-square'), df: degrees }),
  z.strictObject({ name: z.literal('f'), df1: degrees, df2: degrees }),
  z.strictObject({ name: z.literal('beta'), a: degrees, b: degrees }),
  z.strictObject({ name: z.literal('noncentral-t'), df: z.number().min(0.5).max(1e7), ncp: noncentrality }),
  z.strictObject({ name: z.literal('binomial'), n: z.int().positive().max(MAX_UNITS), p: share }),
  z.strictObject({
    name: z.literal('hypergeometric'),
    lotSize: z.int().positive().max(MAX_UNITS),
    marked: whole,
    n: z.int().positive(),
  }),
  z.strictObject({ name: z.literal('poisson'), mean: z.number().positive().max(MAX_UNITS) }),
  z.strictObject({ name: z.literal('signed-rank'), n: z.int().positive().max(MAX_RANKS) }),
])

/** A distribution, and a point of it or a probability in one of its tails. */
export const reckonRequestSchema = z.strictObject({
  id: z.string().optional(),
  reckon: z.strictObject({
    distribution: distributionSchema,
    x: z.number().optional(),
    lower: tail,
    upper: tail,
  }),
})

export type ReckonRequest = z.output<typeof reckonRequestSchema>
export type ReckonedDistribution = z.output<typeof distributionSchema>
