import { methodOf, methodsFor, parameterOf } from './all'
import type { Method, Parameter } from './terms/names'
import { countEqual } from './median/differences'
import { type Hypotheses, valuesOf } from './terms/hypotheses'
import type { MadeProcedure, MethodDefinition, MethodQuestion, ParameterDefinition } from './terms/definition'
import { failure, type Outcome, success } from './terms/outcome'
import { type ClaimProblem, problems } from './terms/problems'
import type { TestOptions } from './terms/request'
import type { Sample } from './terms/sample'

export type Made = Readonly<{ method: MethodDefinition; procedure: MadeProcedure }>

/** The method stated, or the usual one, made ready for the sample. */
export function procedureOf(question: MethodQuestion): Outcome<Made, ClaimProblem> {
  const { parameter, sample, options } = question
  const definition = parameterOf(parameter)
  const fitting = methodsFor(parameter)
  if (options.method !== 'auto' && !fitting.includes(options.method))
    return failure(problems.methodForOther(options.method, parameter, fitting))
  if (options.interval !== 'auto' && !definition.intervals.includes(options.interval))
    return failure(problems.intervalForOther(options.interval, parameter, definition.intervals))
  if (sample.kind !== definition.sample) return failure(problems.evidenceForOther(parameter))
  const method = methodOf(methodUsed(question))
  const made = method.make(question)
  if (!made.ok) return made
  const procedure = withChosenInterval(made.value, { definition, method, sample, options })
  return success({ method, procedure })
}

/** The method stated, or the usual one. */
export function methodUsed(
  question: Readonly<{
    parameter: Parameter
    options: Pick<TestOptions, 'method' | 'knownStandardDeviation'>
    sample?: Sample
    hypotheses?: Hypotheses
  }>,
): Method {
  const { parameter, options, sample, hypotheses } = question
  if (options.method !== 'auto') return options.method
  const sampleSize = sample?.kind === 'counted' ? sample.counted.sampleSize : undefined
  return parameterOf(parameter).usualMethod({
    ...{ ...options, sampleSize, lotSize: sample?.lotSize },
    hasEqual: hypotheses && valuesOf(hypotheses).some((value) => equalTo(sample, value) > 0),
  })
}

const equalTo = (sample: Sample | undefined, value: number): number =>
  sample?.kind === 'measured' ? countEqual(sample.measured.values ?? [], value) : 0

/** The interval of a share or a rate is chosen apart from its test, but where the method has its own and none is stated. */
function withChosenInterval(
  procedure: MadeProcedure,
  input: Readonly<{
    definition: ParameterDefinition
    method: MethodDefinition
    sample: Sample
    options: TestOptions
  }>,
): MadeProcedure {
  const { definition, method, sample, options } = input
  const isOwn = method.interval === 'own-or-chosen' && options.interval === 'auto'
  const chosen = options.interval === 'auto' ? definition.intervals[0] : options.interval
  if (isOwn || chosen === undefined || !definition.intervalOf) return procedure
  return { ...procedure, interval: definition.intervalOf(sample, chosen) }
}
