import { type ShareInterval, shareInterval } from '@/statistics/inference/shareInterval'
import type { Procedure } from '@/statistics/inference/procedure'
import { methodOf, methodsFor, parameterOf } from './all'
import type { Method, Parameter } from './terms/names'
import { countEqual } from './median/differences'
import { type Hypotheses, valuesOf } from './terms/hypotheses'
import type { MethodDefinition, MethodQuestion } from './terms/definition'
import { failure, type Outcome, success } from './terms/outcome'
import { type ClaimProblem, problems } from './terms/problems'
import type { TestOptions } from './terms/request'
import type { Sample } from './terms/sample'

export type Made = Readonly<{ method: MethodDefinition; procedure: Procedure }>

/** The method stated, or the usual one, made ready for the sample. */
export function procedureOf(question: MethodQuestion): Outcome<Made, ClaimProblem> {
  const { parameter, sample, options } = question
  const definition = parameterOf(parameter)
  const fitting = methodsFor(parameter)
  if (options.method !== 'auto' && !fitting.includes(options.method))
    return failure(problems.methodForOther(options.method, parameter, fitting))
  if (options.interval !== 'auto' && definition.intervals.length === 0)
    return failure(problems.intervalForOther(options.interval, parameter))
  if (sample.kind !== definition.sample) return failure(problems.evidenceForOther(parameter))
  const method = methodOf(methodUsed(question))
  const made = method.make(question)
  if (!made.ok) return made
  const procedure = withChosenInterval(made.value, {
    method,
    sample,
    options,
    usual: definition.intervals[0],
  })
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

/** A share's interval is chosen apart from its test, but where the method has its own and none is stated. */
function withChosenInterval(
  procedure: Procedure,
  input: Readonly<{
    method: MethodDefinition
    sample: Sample
    options: TestOptions
    usual: ShareInterval | undefined
  }>,
): Procedure {
  const { method, sample, options, usual } = input
  const isOwn = method.interval === 'own-or-chosen' && options.interval === 'auto'
  if (usual === undefined || isOwn || sample.kind !== 'counted') return procedure
  const chosen = options.interval === 'auto' ? usual : options.interval
  return { ...procedure, interval: shareInterval(sample.counted, chosen) }
}
