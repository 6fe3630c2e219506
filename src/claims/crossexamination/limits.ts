import { checkDecision } from '../check'
import { plan } from '../plan/planRequest'
import type { CheckDocument } from '../request'
import type { CheckResult } from '../result'
import type { Claim } from '../claim'
import type { Hypotheses } from '../hypotheses'
import { PLANNED_METHODS } from '../plan/plan'
import { crossWords } from '@/words/en/crossWords'
import { type Examination, type Examined, isAgainst, type Question } from './question'

/** The power that a sample is usually planned for when a gap must not be missed: common practice, no source. */
const PLANNED_POWER = 0.9
const WIDENINGS = 60
const HALVINGS = 200

/** At which claimed value would the finding turn, everything else being as it is? */
export function turningQuestion({ document, result }: Examination): Question {
  const shared = { key: 'turning value', words: crossWords.turning() } as const
  const ask = (): Examined => {
    if (result.test.method === 'bootstrap') return { ...shared, note: crossWords.turningNotSought() }
    const value = turningValue(document, result)
    if (value === undefined) return { ...shared, note: crossWords.neverTurns() }
    return { ...shared, figure: { kind: 'claimed-value', value } }
  }
  return { key: shared.key, ask }
}

/** The nearest claimed value at which the finding speaks of the claim the other way. */
function turningValue(document: CheckDocument, result: CheckResult): number | undefined {
  const { claim } = document
  const wasAgainst = isAgainst(result.finding.outcome)
  const turnsAt = (value: number) => {
    const outcome = checkDecision({ ...document, claim: { ...claim, value } })
    return outcome !== undefined && isAgainst(outcome) !== wasAgainst
  }
  const found = ([-1, 1] as const).flatMap((direction) =>
    turningTowards(direction, { claim, result, turnsAt }),
  )
  const near = found.toSorted((a, b) => Math.abs(a - claim.value) - Math.abs(b - claim.value))
  return near[0]
}

function turningTowards(
  direction: -1 | 1,
  input: Readonly<{ claim: Claim; result: CheckResult; turnsAt: (value: number) => boolean }>,
): readonly number[] {
  const { claim, turnsAt } = input
  const [least, most] = rangeOf(claim.parameter)
  let [held, step] = [claim.value, stepOf(input.result)]
  for (let widening = 0; widening < WIDENINGS; widening += 1, step *= 2) {
    const value = Math.min(most, Math.max(least, claim.value + direction * step))
    if (turnsAt(value)) return [between(held, value, turnsAt)]
    if (value === least || value === most || !Number.isFinite(value)) return []
    held = value
  }
  return []
}

/** Halves the way between a value at which the finding is as it is and one at which it is turned, to the last digit. */
function between(held: number, turned: number, turnsAt: (value: number) => boolean): number {
  let [from, to] = [held, turned]
  for (let halving = 0; halving < HALVINGS; halving += 1) {
    const middle = from + (to - from) / 2
    if (middle === from || middle === to) break
    if (turnsAt(middle)) to = middle
    else from = middle
  }
  return to
}

/** A small part of what the estimate is uncertain by. */
function stepOf({ sample, estimate, interval }: CheckResult): number {
  const { lower, upper } = interval ?? {}
  const width = lower !== undefined && upper !== undefined ? upper - lower : 0
  return (sample.standardError || width / 4 || Math.abs(estimate.value) / 100 || 1) / 16
}

function rangeOf(parameter: Claim['parameter']): readonly [number, number] {
  switch (parameter) {
    case 'mean':
    case 'median':
      return [-Infinity, Infinity]
    case 'proportion':
      return [0, 1]
    case 'standard-deviation':
    case 'variance':
    case 'variance-ratio':
      return [Number.MIN_VALUE, Infinity]
    default:
      return parameter satisfies never
  }
}

/** How many units would have shown a gap as large as the one seen, nine times in ten? */
export function sampleSizeQuestion({ document, result }: Examination): Question {
  const isInside = result.hypotheses.alternativeSide === 'inside'
  const shared = { key: 'sample size', words: crossWords.planned(PLANNED_POWER, isInside) } as const
  const ask = (): Examined => {
    const { significanceLevel, knownStandardDeviation } = document.test ?? {}
    const { estimate, sample, hypotheses, test } = result
    if (isOnNullSide(hypotheses.alternativeSide, estimate.difference))
      return { ...shared, note: crossWords.noGap() }
    // What is not planned is planned by the usual test.
    const method = PLANNED_METHODS.find((planned) => planned === test.method) ?? 'auto'
    const isSpread = estimate.parameter === 'standard-deviation' || estimate.parameter === 'variance'
    const assume = isSpread
      ? { standardDeviation: sample.standardDeviation }
      : {
          value: estimate.value,
          ...(sample.standardDeviation === undefined ? {} : { standardDeviation: sample.standardDeviation }),
        }
    const answer = plan({
      plan: {
        claim: document.claim,
        test: {
          method,
          ...(significanceLevel === undefined ? {} : { significanceLevel }),
          ...(knownStandardDeviation === undefined ? {} : { knownStandardDeviation }),
        },
        assume,
        find: 'n',
        power: PLANNED_POWER,
      },
    })
    if (!answer.ok) return { ...shared, note: answer.error.message }
    const { n, method: used } = answer.plan
    const note = used === test.method ? {} : { note: crossWords.plannedBy(used) }
    return { ...shared, figure: { kind: 'sample-size', value: n }, ...note }
  }
  return { key: shared.key, ask }
}

/** Whether the sample lies where the test does not look for a gap. */
function isOnNullSide(side: Hypotheses['alternativeSide'], difference: number): boolean {
  return (side === 'less' && difference >= 0) || (side === 'greater' && difference <= 0)
}
