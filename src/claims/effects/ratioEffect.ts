import * as z from 'zod/mini'
import { mapEnds } from '@/statistics/inference/interval'
import type { EffectQuestion, EffectSizeFigures } from '../terms/definition'

/** The estimate over the claimed value, of two standard deviations or of two ratios of variances. */
export const RATIO_SHAPE = { ratio: z.number() }

/** @param scaleOf - what of a value is compared: itself, or of a variance its root */
export function ratioToClaimed(scaleOf: (value: number) => number) {
  return ({ value, procedure, confidenceLevel }: EffectQuestion): EffectSizeFigures => {
    const ratioOf = (estimate: number) => scaleOf(estimate) / scaleOf(value)
    const ends = reportedEnds(procedure, confidenceLevel)
    return { ratio: ratioOf(procedure.estimate), ...mapEnds(ends, ratioOf) }
  }
}

/** Both ends of the interval to report; none at a level that a double can't tell from 1. */
export function reportedEnds({ interval }: EffectQuestion['procedure'], confidenceLevel: number) {
  return confidenceLevel < 1 && interval
    ? interval.endsAt({ beyond: 1 - confidenceLevel, sides: 'two-sided' })
    : {}
}
