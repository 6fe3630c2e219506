import type { ParameterDefinition } from '../terms/definition'
import { RATIO_SHAPE, ratioToClaimed } from '../effects/ratioEffect'

/** The ratio of the variances of two populations, the first over the second. */
export const varianceRatio: ParameterDefinition<'variance-ratio', 'two', typeof RATIO_SHAPE> = {
  name: 'variance-ratio',
  symbol: 'σ₁²/σ₂²',
  domain: { min: 0, max: Infinity, ends: 'out' },
  scale: 1,
  unitOf: () => undefined,
  liesAmongReadings: false,
  sample: 'two',
  evidence: ['two-readings', 'two-summaries'],
  summary: ['spread'],
  takesKnownSpread: false,
  intervals: [],
  usualMethod: () => 'f',
  shows: [],
  plan: {
    truth: 'value',
    needsSpread: false,
    plansTolerance: false,
    toPlanned: (ratio) => ratio,
  },
  effectSize: { shape: RATIO_SHAPE, of: ratioToClaimed((ratio) => ratio) },
}
