import * as z from 'zod/mini'
import { censusOf } from './census'
import { conditionsFor } from './conditions/conditions'
import { reportedInterval } from './intervalFigures'
import { isUncertain } from './prepareCheck'
import { procedureOf } from './procedureOf'
import type { IntervalFigures } from './result'
import { sampleOf } from './sampleOf'
import type { Condition } from './terms/condition'
import type { MethodQuestion } from './terms/definition'
import { deriveHypotheses } from './terms/hypotheses'
import { limitSchema } from './terms/limit'
import { type Method, type Parameter, PARAMETERS } from './terms/names'
import { failure, type Outcome, success } from './terms/outcome'
import { type ClaimProblem, problems } from './terms/problems'
import { evidenceSchema, testSchema } from './terms/request'
import type { Sample } from './terms/sample'
import { sampleFigures } from './terms/sampleFigures'
import { itemFigures, type ItemFigures } from './share/itemFigures'

/** What is to be estimated, and from what: nothing is claimed of it. */
export const estimateRequestSchema = z.strictObject({
  id: z.optional(z.string()),
  estimate: z.strictObject({
    parameter: z.enum(PARAMETERS),
    evidence: evidenceSchema,
    limit: z.optional(limitSchema),
    test: z.prefault(testSchema, {}),
  }),
})

export type EstimateDocument = z.input<typeof estimateRequestSchema>
export type EstimateRequest = z.output<typeof estimateRequestSchema>['estimate']

/** An estimate with its interval, and what it rests on. */
export type Estimated = Readonly<{
  parameter: Parameter
  method: Method
  sample: ReturnType<typeof sampleFigures>
  value: number
  standardError?: number
  interval?: Omit<IntervalFigures, 'holdsClaimedValue'>
  conditions: readonly Condition[]
}> &
  Pick<ItemFigures, 'limitUsed' | 'items'>

/** What is said of the claimed value, and so of no estimate. */
const OF_CLAIM: ReadonlySet<Condition['name']> = new Set(['expected-counts', 'equal-readings'])

/**
 * An estimate of a parameter with its interval, where nothing is claimed: no hypotheses and no p-value. Of a lot measured
 * whole it is the lot's own figure, without an interval.
 *
 * @returns the estimate, or what a check of this evidence would be refused for
 */
export function estimateOf(request: EstimateRequest): Outcome<Estimated, ClaimProblem> {
  const { parameter, evidence, limit, test: options } = request
  const sample = sampleOf(evidence, { parameter, limit })
  if (!sample.ok) return sample
  const claim = {
    parameter,
    relation: 'equal-to',
    value: neutralValue(parameter, sample.value),
    limit,
  } as const
  const hypotheses = deriveHypotheses(claim, 'two-sided')
  if (!hypotheses.ok) return hypotheses
  const made = procedureOf({
    ...{ parameter, hypotheses: hypotheses.value, sample: sample.value },
    options: { ...options, method: methodFor(options.method, parameter) },
  } satisfies MethodQuestion)
  if (!made.ok) return made
  const { method, procedure } = made.value
  const level = options.confidenceLevel ?? 1 - options.significanceLevel
  if (level <= 0) return failure(problems.levelNeeded(options.significanceLevel))
  const { intervalSides } = options
  const isWhole = censusOf(claim, sample.value) !== undefined && !isUncertain(made.value)
  const interval =
    level < 1 && procedure.interval && !isWhole
      ? reportedInterval({ parameter, interval: procedure.interval, level, intervalSides })
      : undefined
  const conditions = conditionsFor({
    sample: sample.value,
    method: { ...method, allowsForLot: method.allowsForLot?.({ sample: sample.value, options }) ?? false },
    claimedValues: [claim.value],
    tested: { side: 'two-sided', significanceLevel: 1 - level },
  })
  const { toleranceLimits: _, ...items } = itemFigures({
    claim,
    sample: sample.value,
    confidenceLevel: level,
  })
  return success({
    parameter,
    method: method.name,
    sample: sampleFigures(sample.value, procedure),
    value: procedure.estimate,
    ...(procedure.standardError === undefined || isWhole ? {} : { standardError: procedure.standardError }),
    ...(interval ? { interval } : {}),
    conditions: conditions.filter(({ name }) => !OF_CLAIM.has(name)),
    ...items,
  })
}

/** The interval of a median runs between readings whatever equals whatever: that of the quantile test. */
const methodFor = (stated: EstimateRequest['test']['method'], parameter: Parameter) =>
  stated === 'auto' && parameter === 'median' ? 'quantile' : stated

/** A value at which every method can be made ready; no figure of an estimate depends on it. */
function neutralValue(parameter: Parameter, sample: Sample): number {
  if (sample.kind === 'counted' || sample.kind === 'limited') return 0.5
  if (sample.kind === 'events') return Math.max(1, sample.events.events) / sample.events.exposure
  if (parameter !== 'median' || sample.kind !== 'measured') return 1
  const { sorted, censored } = sample.measured
  // Only there is it known on which side every reading lies.
  if (censored) return Number.isFinite(censored.from) ? censored.from : censored.to
  const [least = 0] = sorted ?? []
  return least - Math.max(1, Math.abs(least))
}
