import * as z from 'zod/mini'
import type { ExactRules } from '@/statistics/inference/exactCount'

/** What a two-sided exact test adds up: every outcome no likelier than the one seen, or twice the smaller tail. */
export const TWO_SIDED_RULES = ['minimum-likelihood', 'doubled'] as const
export type TwoSidedRule = (typeof TWO_SIDED_RULES)[number]

/** What an exact test added up, as a result carries it. */
export const EXACT_FIGURES: z.ZodMiniType<ExactRules> = z.strictObject({
  twoSidedRule: z.enum(TWO_SIDED_RULES),
  /** How much of the observed outcome's probability is counted: half of it by the mid-p rule. */
  observed: z.enum(['whole', 'half']),
})
