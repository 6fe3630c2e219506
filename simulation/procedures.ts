import { methodOf, parameterOf } from '@/claims/all'
import type { ClaimProblem } from '@/claims/terms/problems'
import { deriveHypotheses } from '@/claims/terms/hypotheses'
import { METHODS, type Method, type Parameter, PARAMETERS } from '@/claims/terms/names'
import { failure, type Outcome } from '@/claims/terms/outcome'
import { testSchema } from '@/claims/terms/request'
import type { MeasuredSample, Sample } from '@/claims/terms/sample'
import { moments } from '@/statistics/describe/moments'
import type { Procedure } from '@/statistics/inference/procedure'
import type { Population } from './populations'

export type Simulated = Readonly<{
  parameter: Parameter
  method: Method
  sizes: readonly number[]
  /** Repetitions, fewer for the slow ones. */
  repetitions: number
  truth: (population: Population) => number
  procedure: (
    draw: (n: number) => MeasuredSample,
    n: number,
    seed: number,
    truth: number,
  ) => Outcome<Procedure, ClaimProblem>
}>

const MANY = 20_000
const FEW = 2_000
const RESAMPLES = 999
/** What is simulated of each parameter; a share needs no drawing, and the variance is the standard deviation squared. */
const PLANS: { readonly [Name in Parameter]?: Pick<Simulated, 'sizes' | 'truth'> } = {
  mean: { sizes: [5, 15, 30, 100], truth: () => 0 },
  'standard-deviation': { sizes: [10, 30, 100], truth: () => 1 },
  'variance-ratio': { sizes: [10, 30, 100], truth: () => 1 },
  median: { sizes: [10, 30, 100], truth: ({ median }) => median },
}

export function sampleOf(values: readonly number[]): MeasuredSample {
  return {
    ...moments(values),
    values,
    sorted: Float64Array.from(values).sort(),
    setAside: 0,
    path: 'simulated',
  }
}

/** Every method for measurements, as it is used in a check. */
export const SIMULATED: readonly Simulated[] = PARAMETERS.flatMap((parameter) => {
  const plan = PLANS[parameter]
  if (!plan) return []
  // Those of readings that were not taken one by one are simulated by themselves.
  const methods = METHODS.filter((name) => {
    const { parameters, needs } = methodOf(name)
    return parameters.includes(parameter) && !needs.includes('clusters') && !needs.includes('strata')
  })
  return methods.map((method) => {
    const { looks, isResampled } = methodOf(method).work
    const isSlow = looks > 1 || isResampled
    const procedure: Simulated['procedure'] = (draw, n, seed, truth) => {
      const options = testSchema.parse({ method, resamples: RESAMPLES, seed, knownStandardDeviation: 1 })
      const hypotheses = deriveHypotheses({ parameter, relation: 'equal-to', value: truth }, 'auto')
      if (!hypotheses.ok) return failure(hypotheses.problem)
      const sample: Sample =
        parameterOf(parameter).sample === 'two'
          ? { kind: 'two', two: { first: draw(n), second: draw(n) } }
          : { kind: 'measured', measured: draw(n) }
      return methodOf(method).make({ parameter, hypotheses: hypotheses.value, sample, options })
    }
    return { parameter, method, ...plan, repetitions: isSlow ? FEW : MANY, procedure }
  })
})
