import { z } from 'zod'
import { ALTERNATIVES, BURDENS, PARAMETERS } from '@/claims/claim'
import { OUTCOMES } from '@/claims/finding'
import { CONDITIONS } from '@/claims/conditions/condition'
import { METHODS } from '@/statistics/inference/procedure'

const figure = z.number()
const optional = figure.optional()
const ends = { lower: optional, upper: optional }
const probability = { pValue: optional, logPValue: optional }
const sides = z.enum(['two-sided', 'lower', 'upper'])

const distribution = z.discriminatedUnion('name', [
  z.strictObject({ name: z.literal('normal') }),
  z.strictObject({ name: z.literal('t'), df: figure }),
  z.strictObject({ name: z.literal('chi-square'), df: figure }),
  z.strictObject({ name: z.literal('f'), df1: figure, df2: figure }),
  z.strictObject({ name: z.literal('binomial'), n: figure, p: figure }),
  z.strictObject({ name: z.literal('hypergeometric'), lotSize: figure, marked: figure, n: figure }),
  z.strictObject({ name: z.literal('signed-rank'), n: figure }),
])

const parameter = z.enum(PARAMETERS)
const point = z.strictObject({ parameter, relation: z.enum(['≥', '≤', '=', '≠', '<', '>']), value: figure })
const range = z.strictObject({
  parameter,
  relation: z.enum(['inside', 'outside']),
  value: figure,
  lower: figure,
  upper: figure,
})
const hypothesis = z.union([point, range])

const testPart = z.strictObject({
  ...probability,
  statistic: figure,
  distribution: distribution.optional(),
  criticalValues: z.array(figure),
  criticalEstimates: z.array(figure),
})

const way = z.discriminatedUnion('way', [
  z.strictObject({ way: z.literal('p-value'), ...probability, limit: figure, rejects: z.boolean() }),
  z.strictObject({
    way: z.literal('statistic'),
    statistics: z.array(figure),
    limits: z.array(z.strictObject(ends)),
    rejects: z.boolean(),
  }),
  z.strictObject({
    way: z.literal('interval'),
    ...ends,
    level: figure,
    sides,
    against: z.array(figure),
    rejects: z.boolean(),
  }),
])

const spread = z.strictObject({
  n: figure,
  mean: optional,
  standardDeviation: optional,
  variance: optional,
})

export const checkErrorSchema = z.strictObject({
  id: z.string().optional(),
  ok: z.literal(false),
  error: z.strictObject({ code: z.string(), path: z.string(), message: z.string() }),
})

/** What a check came to, as programs read it: the same that `CheckResult` says to the compiler. */
export const checkResultSchema = z.strictObject({
  id: z.string().optional(),
  ok: z.literal(true),
  coreVersion: z.string(),
  hypotheses: z.strictObject({
    null: hypothesis,
    alternative: hypothesis,
    claimIs: z.enum(['null', 'alternative']),
    burden: z.enum(BURDENS),
    alternativeSide: z.enum([...ALTERNATIVES, 'inside', 'outside']),
  }),
  sample: z.strictObject({
    n: figure,
    setAside: figure,
    mean: optional,
    median: optional,
    standardDeviation: optional,
    variance: optional,
    standardError: optional,
    successes: optional,
    share: optional,
    first: spread.optional(),
    second: spread.optional(),
  }),
  test: z.strictObject({
    ...probability,
    method: z.enum(METHODS),
    significanceLevel: figure,
    statistic: optional,
    distribution: distribution.optional(),
    criticalValues: z.array(figure),
    criticalEstimates: z.array(figure),
    decision: z.enum(['rejected', 'not-rejected']),
    parts: z.array(testPart).optional(),
    ways: z.array(way),
  }),
  estimate: z.strictObject({ parameter, value: figure, difference: figure }),
  interval: z
    .strictObject({
      ...ends,
      level: figure,
      sides,
      method: z.string(),
      holdsClaimedValue: z.boolean(),
      alsoAs: z.strictObject({ ...ends, parameter }).optional(),
    })
    .optional(),
  effectSize: z
    .strictObject({ ...ends, cohenD: optional, hedgesG: optional, cohenH: optional, ratio: optional })
    .optional(),
  conditions: z.array(
    z.strictObject({
      name: z.enum(CONDITIONS),
      of: z.enum(['first', 'second']).optional(),
      state: z.enum(['met', 'doubtful', 'not-met', 'unknown']),
      figures: z.record(z.string(), figure),
      readings: z.array(z.int().nonnegative()).optional(),
      sentence: z.string(),
    }),
  ),
  finding: z.strictObject({ outcome: z.enum(OUTCOMES), sentence: z.string(), limits: z.string() }),
  working: z.array(z.strictObject({ name: z.string(), latex: z.string(), text: z.string() })),
  warnings: z.array(z.strictObject({ code: z.string(), message: z.string() })),
})

export const checkAnswerSchema = z.union([checkResultSchema, checkErrorSchema])
