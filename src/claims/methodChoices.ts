import { methodOf, methodsFor } from './all'
import { leastResampled } from './bootstrap'
import type { Method } from './terms/names'
import type { MethodNeed } from './terms/definition'
import type { Hypotheses } from './terms/hypotheses'
import type { CheckDocument } from './terms/request'
import { lotSizeOf } from './terms/sample'

type Side = Hypotheses['alternativeSide']

/** A method that could be used, or the first thing that it would need. */
export type MethodChoice = Readonly<{ method: Method; needs?: MethodNeed }>

/** The methods for a claim's parameter, each with what this evidence lacks for it. */
export function methodChoices(document: CheckDocument, side: Side): readonly MethodChoice[] {
  return methodsFor(document.claim.parameter).map((method) => {
    const own = methodOf(method).needs
    // Which items count is told by their readings alone.
    const isOfItems = document.claim.limit !== undefined && !own.includes('limit')
    const isOfValues = !isOfItems && !methodOf(method).takesCensored
    const all: readonly MethodNeed[] = [
      ...own,
      ...(isOfItems ? (['readings'] as const) : []),
      ...(isOfValues ? (['values'] as const) : []),
    ]
    const needs = all.find((need) => !isMet(need, document, side))
    return needs === undefined ? { method } : { method, needs }
  })
}

function isMet(need: MethodNeed, { claim, evidence, test }: CheckDocument, side: Side): boolean {
  switch (need) {
    case 'known-standard-deviation':
      return test?.knownStandardDeviation !== undefined
    case 'readings':
      return evidence.kind === 'readings' || evidence.kind === 'two-readings'
    case 'enough-readings':
      return (
        evidence.kind === 'readings' &&
        evidence.values.length - (evidence.setAside?.length ?? 0) >= leastResampled(claim.parameter)
      )
    case 'two-sided':
      return side === 'two-sided'
    case 'values':
      return !(evidence.kind === 'readings' && isCensored(evidence))
    case 'limit':
      return claim.limit !== undefined
    case 'clusters':
      return evidence.kind === 'readings' && evidence.cluster !== undefined
    case 'strata':
      return evidence.kind === 'readings' && evidence.stratum !== undefined
    case 'lot-size':
      return lotSizeOf(evidence) !== undefined
    default:
      return need satisfies never
  }
}

const isCensored = ({ censored }: Extract<CheckDocument['evidence'], { kind: 'readings' }>): boolean =>
  (censored?.below?.length ?? 0) + (censored?.above?.length ?? 0) > 0
