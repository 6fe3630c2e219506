import { parameterOf } from './all'
import type { FindingOutcome } from './finding'
import { type Claim, gapTo, isTrueOf } from './terms/claim'
import type { ParameterDefinition } from './terms/definition'
import { problem, type Told } from './terms/problems'
import type { CheckRequest } from './terms/request'
import { asCounted, type Sample } from './terms/sample'

/** A lot that was measured whole: no sample, so that nothing is tested. */
export type Census = Readonly<{
  lotSize: number
  /** The parameter of the lot itself, and how far it lies from the claimed value. */
  figure: number
  difference: number
  /** Whether the claim is true of the lot. */
  outcome: Extract<FindingOutcome, 'supported' | 'contradicted'>
}>

/** What stands in the way of a test: there is nothing to test, and this instead. */
export type CensusFound = Told<'census', Readonly<{ request: CheckRequest; census: Census }>>

export function censusFound(request: CheckRequest, census: Census): CensusFound {
  return problem('census', 'census', 'evidence.lotSize', { request, census })
}

/**
 * What is known of a lot all of whose units were measured, with none set aside.
 *
 * @returns undefined where there is a sample to test, or the evidence does not tell the parameter
 */
export function censusOf(claim: Claim, sample: Sample): Census | undefined {
  const { lotSize } = sample
  const { sample: kind, ofWholeLot } = parameterOf(claim.parameter) as ParameterDefinition
  const known = sample.kind === 'limited' ? asCounted(sample) : sample
  if (lotSize === undefined || known?.kind !== kind || known.kind === 'two' || known.kind === 'events')
    return undefined
  const n = known.kind === 'counted' ? known.counted.sampleSize : known.measured.sampleSize
  const figure = n < lotSize ? undefined : ofWholeLot?.(known)
  if (figure === undefined) return undefined
  const outcome = isTrueOf(claim, figure) ? 'supported' : 'contradicted'
  return { lotSize, figure, difference: gapTo(claim, figure), outcome }
}
