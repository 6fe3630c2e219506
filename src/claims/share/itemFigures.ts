import * as z from 'zod/mini'
import { normal } from '@/statistics/distributions/normal'
import { toleranceFactor, type ToleranceQuestion, toleranceRank } from '@/statistics/inference/toleranceLimit'
import type { Claim } from '../terms/claim'
import { counts, type Limit } from '../terms/limit'
import { isKnown, type MeasuredSample, type Sample, type SampleOf } from '../terms/sample'

const figure = z.number()

/** What is known of items by their readings beside the test of their share. */
export const ITEM_FIGURES = {
  /** What a reading is held against, where a guard band moves it. */
  limitUsed: z.optional(figure),
  /** With the confidence at least the share of items reads beyond the limit, on the side that counts. */
  toleranceLimits: z.optional(
    z.strictObject({
      share: figure,
      confidence: figure,
      /** Of a normal population: x̄ − k·s, of at most x̄ + k·s. */
      normal: z.optional(z.strictObject({ limit: figure, k: figure })),
      /** Of any: the reading of this rank from the end; or how many readings it would need. */
      ordered: z.optional(
        z.union([
          z.strictObject({ limit: figure, rank: figure }),
          z.strictObject({ neededN: z.optional(figure) }),
        ]),
      ),
    }),
  ),
  /** Of each reading tested, the probability that its item conforms, where the uncertainty of a reading is stated. */
  items: z.optional(z.array(z.strictObject({ index: z.int().check(z.nonnegative()), conforms: figure }))),
}

export type ItemFigures = Readonly<z.infer<z.ZodMiniObject<typeof ITEM_FIGURES>>>

/**
 * Tolerance limits and conformance probabilities of items held against a limit.
 *
 * @see ISO 16269-6:2014; JCGM 106:2012, 7
 */
export function itemFigures(
  input: Readonly<{ claim: Claim; sample: Sample; confidenceLevel: number }>,
): ItemFigures {
  const { claim, sample, confidenceLevel } = input
  if (sample.kind !== 'limited' || !claim.limit) return {}
  const share = claim.value
  const isAsked = share > 0 && share < 1 && confidenceLevel < 1
  const items = itemsOf(sample, claim.limit)
  return {
    ...(sample.limit.value === claim.limit.value ? {} : { limitUsed: sample.limit.value }),
    ...(isAsked ? { toleranceLimits: toleranceLimits(sample, share, confidenceLevel) } : {}),
    ...(items ? { items } : {}),
  }
}

function toleranceLimits(
  { measured, limit: { side } }: SampleOf<'limited'>,
  share: number,
  confidence: number,
): ItemFigures['toleranceLimits'] {
  const { sampleSize: n, mean, standardDeviation, sorted } = measured
  const question = { n, share, beyond: 1 - confidence }
  const isBelow = side === 'at-least'
  const k = mean !== undefined && standardDeviation && n > 1 ? toleranceFactor(question) : undefined
  const found = sorted && orderedLimit(question, sorted, { side, censored: measured.censored })
  return {
    share,
    confidence,
    ...(k === undefined ? {} : { normal: { k, limit: mean! + (isBelow ? -k : k) * standardDeviation! } }),
    ...(found ? { ordered: found } : {}),
  }
}

/** The reading that is a tolerance limit whatever the population, or how many it takes; none where that reading is a limit itself. */
function orderedLimit(
  question: ToleranceQuestion,
  sorted: Float64Array,
  { side, censored }: Pick<MeasuredSample, 'censored'> & Pick<Limit, 'side'>,
): NonNullable<ItemFigures['toleranceLimits']>['ordered'] {
  const found = toleranceRank(question)
  if (!('rank' in found)) return found.neededN === undefined ? {} : { neededN: found.neededN }
  const limit = sorted[side === 'at-least' ? found.rank - 1 : question.n - found.rank]!
  return censored && !isKnown(limit, censored) ? undefined : { rank: found.rank, limit }
}

/** Against the limit of the claim itself, without a guard band. */
function itemsOf(
  { measured, measurement }: SampleOf<'limited'>,
  { side, value }: NonNullable<Claim['limit']>,
): ItemFigures['items'] {
  const uncertainty = measurement?.reading
  if (uncertainty === undefined) return undefined
  return measured.values?.map((reading, at) => ({
    index: measured.places?.[at] ?? at,
    conforms: conformance({ reading, side, value, uncertainty }),
  }))
}

/**
 * The probability that an item conforms whose reading has a standard uncertainty: Φ((y − L)/u) for at least.
 *
 * @see JCGM 106:2012, 7.2
 * @example
 * conformance({ reading: 15.1, side: 'at-least', value: 15, uncertainty: 0.05 }) // 0.97725
 */
export function conformance(
  input: Readonly<{ reading: number; side: 'at-least' | 'at-most'; value: number; uncertainty: number }>,
): number {
  const { reading, side, value, uncertainty } = input
  if (uncertainty === 0) return counts(reading, side, value) ? 1 : 0
  const z = (reading - value) / uncertainty
  return side === 'at-least' ? normal.tails(z).lower : normal.tails(z).upper
}
