import { z } from 'zod'
import type { ParameterDefinition } from '../terms/definition'
import { meanEffectSize } from './effectSize'

const effect = {
  /** (x̄ − c) / s. */
  cohenD: z.number(),
  /** Cohen's d freed from its bias; absent for two readings, where the factor does not exist. */
  hedgesG: z.number().optional(),
}

/** A population's mean. */
export const mean: ParameterDefinition<'mean', 'measured', typeof effect> = {
  name: 'mean',
  symbol: { text: 'μ', latex: '\\mu' },
  domain: { min: -Infinity, max: Infinity, ends: 'out' },
  scale: 1,
  unitOf: (unit) => unit,
  liesAmongReadings: true,
  sample: 'measured',
  evidence: ['readings', 'summary'],
  summary: ['mean', 'spread'],
  takesKnownSpread: true,
  intervals: [],
  usualMethod: ({ knownStandardDeviation }) => (knownStandardDeviation === undefined ? 't' : 'z'),
  shows: [],
  effectSize: {
    shape: effect,
    of: ({ sample, procedure, value, confidenceLevel }) =>
      sample.kind === 'measured'
        ? meanEffectSize({
            sample: sample.measured,
            difference: procedure.differenceFrom(value),
            confidenceLevel,
          })
        : undefined,
  },
  beside: 'median',
  plan: {
    truth: 'value',
    needsSpread: true,
    plansTolerance: true,
    toPlanned: (value) => value,
  },
  ofWholeLot: ({ measured }) => measured.mean,
}
