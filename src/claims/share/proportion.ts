import * as z from 'zod/mini'
import { mapEnds } from '@/statistics/inference/interval'
import { SHARE_INTERVALS, type ShareInterval, shareInterval } from '@/statistics/inference/shareInterval'
import { SMALL_SHARE } from '../terms/sample'
import type { ParameterDefinition } from '../terms/definition'
import { designMethod } from '../terms/design'
import { reportedEnds } from '../effects/ratioEffect'

const effect = {
  /** 2 arcsin √p̂ − 2 arcsin √p₀. */
  cohenH: z.number(),
}

/** The share of a population that has a property, from 0 to 1. */
export const proportion: ParameterDefinition<'proportion', 'counted', typeof effect> = {
  name: 'proportion',
  symbol: 'p',
  domain: { min: 0, max: 1, ends: 'in', codeAbove: 'share-above-one' },
  scale: 100,
  unitOf: () => undefined,
  liesAmongReadings: false,
  sample: 'counted',
  evidence: ['count'],
  takesKnownSpread: false,
  intervals: SHARE_INTERVALS,
  intervalOf: ({ counted }, name) => shareInterval(counted, name as ShareInterval),
  // The score test's true level lies above its own for most sizes (docs/METHODS.md).
  usualMethod: ({ sampleSize, lotSize, design }) =>
    designMethod(design) ??
    (sampleSize !== undefined && lotSize !== undefined && sampleSize >= SMALL_SHARE * lotSize
      ? 'hypergeometric'
      : 'exact-binomial'),
  shows: [],
  effectSize: {
    shape: effect,
    of: ({ value, procedure, confidenceLevel }) => {
      const hOf = (share: number) => 2 * (angle(share) - angle(value))
      return { cohenH: hOf(procedure.estimate), ...mapEnds(reportedEnds(procedure, confidenceLevel), hOf) }
    },
  },
  plan: {
    truth: 'value',
    needsSpread: false,
    plansTolerance: false,
    toPlanned: (share) => share,
  },
  ofWholeLot: ({ counted: { successes, sampleSize } }) => successes / sampleSize,
}

/** An end by clusters or layers can lie beyond 0 and 1; no share does. */
function angle(share: number): number {
  return Math.asin(Math.sqrt(Math.min(1, Math.max(0, share))))
}
