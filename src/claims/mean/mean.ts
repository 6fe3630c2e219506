import * as z from 'zod/mini'
import type { MadeProcedure, ParameterDefinition } from '../terms/definition'
import type { MeasuredSample } from '../terms/sample'
import { designMethod } from '../terms/design'
import { meanEffectSize } from './effectSize'

const effect = {
  /** (x̄ − c) / s. */
  cohenD: z.number(),
  /** Cohen's d freed from its bias; absent for two readings, where the factor does not exist. */
  hedgesG: z.optional(z.number()),
}

/**
 * What turns Cohen's d into a noncentrality: √n, in a finite lot 1/√(1/n − 1/N); none where the standard error allows for more
 * than the scatter of readings taken one by one.
 */
function rootOf({ ofSample = {} }: MadeProcedure, { sampleSize }: MeasuredSample): number | undefined {
  const { finiteLotFactor = 1, standardErrorOfReadings, clusters, strata } = ofSample
  const isPlain = standardErrorOfReadings === undefined && clusters === undefined && strata === undefined
  return isPlain ? Math.sqrt(sampleSize) / finiteLotFactor : undefined
}

/** A population's mean. */
export const mean: ParameterDefinition<'mean', 'measured', typeof effect> = {
  name: 'mean',
  symbol: 'μ',
  domain: { min: -Infinity, max: Infinity, ends: 'out' },
  scale: 1,
  unitOf: (unit) => unit,
  liesAmongReadings: true,
  sample: 'measured',
  evidence: ['readings', 'summary'],
  summary: ['mean', 'spread'],
  takesKnownSpread: true,
  intervals: [],
  usualMethod: ({ knownStandardDeviation, design }) =>
    designMethod(design) ?? (knownStandardDeviation === undefined ? 't' : 'z'),
  shows: [],
  effectSize: {
    shape: effect,
    of: ({ sample, procedure, value, confidenceLevel }) =>
      sample.kind === 'measured'
        ? meanEffectSize({
            sample: sample.measured,
            difference: procedure.differenceFrom(value),
            root: rootOf(procedure, sample.measured),
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
