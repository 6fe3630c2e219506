import * as z from 'zod/mini'
import { MAX_UNITS } from '@/claims/terms/request'

/** Degrees of freedom and shapes between which every figure keeps its digits and comes at once. */
const degrees = z.number().check(z.minimum(0.001), z.maximum(1e10))
const noncentrality = z.number().check(z.minimum(-1e4), z.maximum(1e4))
const whole = z.int().check(z.nonnegative())
const share = z.number().check(z.minimum(0), z.maximum(1))
const tail = z.optional(z.number().check(z.gt(0), z.lt(1)))

/** The work grows as the cube of the ranks. */
const MAX_RANKS = 500

/** A distribution by its name, with its parameters. */
export const distributionSchema = z.discriminatedUnion('name', [
  z.strictObject({ name: z.literal('normal') }),
  z.strictObject({ name: z.literal('t'), df: degrees }),
  z.strictObject({ name: z.literal('chi-square'), df: degrees }),
  z.strictObject({ name: z.literal('f'), df1: degrees, df2: degrees }),
  z.strictObject({ name: z.literal('beta'), a: degrees, b: degrees }),
  z.strictObject({
    name: z.literal('noncentral-t'),
    df: z.number().check(z.minimum(0.5), z.maximum(1e7)),
    ncp: noncentrality,
  }),
  z.strictObject({
    name: z.literal('binomial'),
    n: z.int().check(z.positive(), z.maximum(MAX_UNITS)),
    p: share,
  }),
  z.strictObject({
    name: z.literal('hypergeometric'),
    lotSize: z.int().check(z.positive(), z.maximum(MAX_UNITS)),
    marked: whole,
    n: z.int().check(z.positive()),
  }),
  z.strictObject({ name: z.literal('poisson'), mean: z.number().check(z.positive(), z.maximum(MAX_UNITS)) }),
  z.strictObject({ name: z.literal('signed-rank'), n: z.int().check(z.positive(), z.maximum(MAX_RANKS)) }),
])

/** A distribution, and a point of it or a probability in one of its tails. */
export const reckonRequestSchema = z.strictObject({
  id: z.optional(z.string()),
  reckon: z.strictObject({
    distribution: distributionSchema,
    x: z.optional(z.number()),
    lower: tail,
    upper: tail,
  }),
})

export type ReckonRequest = z.output<typeof reckonRequestSchema>
export type ReckonedDistribution = z.output<typeof distributionSchema>
