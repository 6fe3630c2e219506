import type { ParameterDefinition } from '../terms/definition'
import { RATIO_SHAPE, ratioToClaimed } from '../effects/ratioEffect'
import { varianceOfWholeLot } from './scale'

/** A population's variance, in the unit of the readings squared. */
export const variance: ParameterDefinition<'variance', 'measured', typeof RATIO_SHAPE> = {
  name: 'variance',
  symbol: 'σ²',
  domain: { min: 0, max: Infinity, ends: 'out' },
  scale: 1,
  unitOf: (unit) => (/^\p{L}+$/u.test(unit) ? `${unit}²` : `(${unit})²`),
  liesAmongReadings: false,
  sample: 'measured',
  evidence: ['readings', 'summary'],
  summary: ['spread'],
  takesKnownSpread: false,
  intervals: [],
  usualMethod: () => 'chi-square',
  shows: ['variance'],
  effectSize: { shape: RATIO_SHAPE, of: ratioToClaimed(Math.sqrt) },
  alsoAs: { parameter: 'standard-deviation', change: Math.sqrt },
  plan: {
    truth: 'standardDeviation',
    needsSpread: false,
    plansTolerance: false,
    toPlanned: Math.sqrt,
  },
  ofWholeLot: varianceOfWholeLot,
}
