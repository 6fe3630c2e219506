import type { Hypotheses } from './hypotheses'
import type { Method } from '@/statistics/inference/procedure'
import { METHODS_FOR } from './procedureOf'
import type { CheckDocument } from './request'

type Side = Hypotheses['alternativeSide']

/** A method that could be used, or what it would need. */
export type MethodChoice = Readonly<{ method: Method; needs?: string }>

/** The methods for a claim's parameter, each with what this evidence lacks for it, in words. */
export function methodChoices(document: CheckDocument, side: Side): readonly MethodChoice[] {
  return METHODS_FOR[document.claim.parameter].map((method) => {
    const needs = needsOf(method, document, side)
    return needs === undefined ? { method } : { method, needs }
  })
}

function needsOf(method: Method, { evidence, test }: CheckDocument, side: Side): string | undefined {
  const hasReadings = evidence.kind === 'readings' || evidence.kind === 'two-readings'
  switch (method) {
    case 'z':
      return test?.knownStandardDeviation === undefined ? 'needs a known standard deviation' : undefined
    case 'bootstrap':
    case 'bonett':
    case 'signed-rank':
    case 'sign':
      return hasReadings ? undefined : 'needs the readings themselves'
    case 'levene':
    case 'brown-forsythe':
      if (!hasReadings) return 'needs the readings themselves'
      return side === 'two-sided' ? undefined : 'tells only whether the spreads differ'
    case 'hypergeometric':
      return evidence.lotSize === undefined ? 'needs the size of the lot' : undefined
    case 't':
    case 'chi-square':
    case 'score-z':
    case 'exact-binomial':
    case 'f':
      return undefined
    default:
      return method satisfies never
  }
}
