import { RATE_INTERVALS, type RateInterval, rateInterval } from '@/statistics/inference/rateInterval'
import { RATIO_SHAPE, ratioToClaimed } from '../effects/ratioEffect'
import type { ParameterDefinition } from '../terms/definition'

/** How many events come, on average, to one unit of exposure. */
export const rate: ParameterDefinition<'rate', 'events', typeof RATIO_SHAPE> = {
  name: 'rate',
  symbol: 'λ',
  domain: { min: 0, max: Infinity, ends: 'out' },
  scale: 1,
  unitOf: (unit) => unit,
  liesAmongReadings: false,
  sample: 'events',
  evidence: ['events', 'event-counts'],
  takesKnownSpread: false,
  intervals: RATE_INTERVALS,
  intervalOf: ({ events }, name) => rateInterval(events, name as RateInterval),
  usualMethod: () => 'exact-poisson',
  shows: [],
  effectSize: { shape: RATIO_SHAPE, of: ratioToClaimed((value) => value) },
  plan: {
    truth: 'value',
    needsSpread: false,
    plansTolerance: false,
    toPlanned: (value) => value,
    isFractional: true,
  },
}
