import { median } from '@/statistics/describe/quantile'
import { methodOf, methodsFor, parameterOf } from './all'
import type { Method, Parameter } from './terms/names'
import { countsAbout } from './median/differences'
import { type Hypotheses, valuesOf } from './terms/hypotheses'
import type { MadeProcedure, MethodDefinition, MethodQuestion, ParameterDefinition } from './terms/definition'
import { failure, type Outcome, success } from './terms/outcome'
import { type ClaimProblem, problems } from './terms/problems'
import { MAX_UNITS, type TestOptions } from './terms/request'
import { asCounted, isKnown, type Sample } from './terms/sample'

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
  if (sample.kind !== definition.sample && !(sample.kind === 'limited' && definition.sample === 'counted'))
    return failure(problems.evidenceForOther(parameter))
  const method = methodOf(methodUsed(question))
  if (method.interval === 'own' && options.interval !== 'auto')
    return failure(problems.intervalNotOfMethod(options.interval, method.name))
  const asked = asAsked(sample, method)
  if (!asked) return failure(problems.readingsNeeded(method.name))
  if (asked.kind === 'counted' && (asked.lotSize ?? 0) > MAX_UNITS)
    return failure(problems.lotTooLarge(asked.lotSize!, MAX_UNITS))
  const untold = untoldBy(asked, method, question.hypotheses)
  if (untold) return failure(untold)
  const made = method.make({ ...question, sample: asked })
  if (!made.ok) return made
  const procedure = withChosenInterval(made.value, { definition, method, sample: asked, options })
  return success({ method, procedure })
}

/** What readings that are limits do not tell. */
function untoldBy(
  sample: Sample,
  { name, takesCensored }: MethodDefinition,
  hypotheses: Hypotheses,
): ClaimProblem | undefined {
  const { censored, sorted } = sample.kind === 'measured' || sample.kind === 'limited' ? sample.measured : {}
  if (!censored) return undefined
  if (!takesCensored) return problems.censoredReadings(name, censored.below + censored.above)
  const { from, to } = censored
  const inside = valuesOf(hypotheses).find((value) => !isKnown(value, censored))
  if (inside !== undefined) return problems.censoredBeyondClaim('claim.value', inside, from, to)
  return sorted && isKnown(median(sorted), censored) ? undefined : problems.censoredMiddle()
}

/** Items held against a limit are counted, but by a method that needs their readings. */
function asAsked(sample: Sample, { needs }: MethodDefinition): Sample | undefined {
  return sample.kind === 'limited' && !needs.includes('limit') ? asCounted(sample) : sample
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
  const counted = sample?.kind === 'counted' || sample?.kind === 'limited' ? sample.counted : undefined
  return parameterOf(parameter).usualMethod({
    ...{ ...options, sampleSize: counted?.sampleSize, lotSize: sample?.lotSize },
    design: sample?.design?.kind,
    hasEqual: () => (hypotheses ? valuesOf(hypotheses) : []).some((value) => equalTo(sample, value) > 0),
  })
}

const equalTo = (sample: Sample | undefined, value: number): number =>
  sample?.kind === 'measured' ? countsAbout(sample.measured.values ?? [], value).equal : 0

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
  if (isOwn || method.interval === 'own' || chosen === undefined || !definition.intervalOf) return procedure
  return { ...procedure, interval: definition.intervalOf(sample, chosen) }
}
