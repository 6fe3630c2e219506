import type { ParameterDefinition } from '../terms/definition'
import { RATIO_SHAPE, ratioToClaimed } from '../effects/ratioEffect'
import { varianceOfWholeLot } from './scale'

/** A population's standard deviation. */
export const standardDeviation: ParameterDefinition<'standard-deviation', 'measured', typeof RATIO_SHAPE> = {
  name: 'standard-deviation',
  symbol: 'σ',
  domain: { min: 0, max: Infinity, ends: 'out' },
  scale: 1,
  unitOf: (unit) => unit,
  liesAmongReadings: false,
  sample: 'measured',
  evidence: ['readings', 'summary'],
  summary: ['spread'],
  takesKnownSpread: false,
  intervals: [],
  usualMethod: () => 'chi-square',
  shows: ['variance'],
  effectSize: { shape: RATIO_SHAPE, of: ratioToClaimed((spread) => spread) },
  alsoAs: { parameter: 'variance', change: (spread) => spread * spread },
  plan: {
    truth: 'standardDeviation',
    needsSpread: false,
    plansTolerance: false,
    toPlanned: (spread) => spread,
  },
  ofWholeLot: (sample) => {
    const variance = varianceOfWholeLot(sample)
    return variance === undefined ? undefined : Math.sqrt(variance)
  },
}
