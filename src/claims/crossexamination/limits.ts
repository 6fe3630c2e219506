import { checkDecision } from '../check'
import { PLANNED_METHODS, planFigures, planRequestSchema } from '../plan/planRequest'
import { methodOf, parameterOf } from '../all'
import type { CheckDocument } from '../terms/request'
import { lotSizeOf } from '../terms/sample'
import type { Claim } from '../terms/claim'
import type { Hypotheses } from '../terms/hypotheses'
import { type Examination, type Examined, type ExaminedResult, isAgainst, type Question } from './question'
import { parseRequest } from '../terms/parseRequest'

/** The power that a sample is usually planned for when a gap must not be missed: common practice, no source. */
const PLANNED_POWER = 0.9
const WIDENINGS = 60
const HALVINGS = 200

/** At which claimed value would the finding turn, everything else being as it is? */
export function turningQuestion({ document, result }: Examination): Question {
  const shared = { key: 'turning value', asked: { ask: 'turning' } } as const
  const ask = (): Examined => {
    if (methodOf(result.test.method).work.isResampled)
      return { ...shared, note: { remark: 'turning-not-sought' } }
    const value = turningValue(document, result)
    if (value === undefined) return { ...shared, note: { remark: 'never-turns' } }
    return { ...shared, figure: { kind: 'claimed-value', value } }
  }
  return { key: shared.key, ask }
}

/** The nearest claimed value at which the finding speaks of the claim the other way. */
function turningValue(document: CheckDocument, result: ExaminedResult): number | undefined {
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
  input: Readonly<{ claim: Claim; result: ExaminedResult; turnsAt: (value: number) => boolean }>,
): readonly number[] {
  const { claim, turnsAt } = input
  const [min, max] = rangeOf(claim.parameter)
  let [held, step] = [claim.value, stepOf(input.result)]
  for (let widening = 0; widening < WIDENINGS; widening += 1, step *= 2) {
    const value = Math.min(max, Math.max(min, claim.value + direction * step))
    if (turnsAt(value)) return [between(held, value, turnsAt)]
    if (value === min || value === max || !Number.isFinite(value)) return []
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

/** The first step outward is this part of what the estimate is uncertain by. */
const STEPS = 16

/** A small part of what the estimate is uncertain by. */
function stepOf({ sample, estimate, interval }: ExaminedResult): number {
  const { lower, upper } = interval ?? {}
  const width = lower !== undefined && upper !== undefined ? upper - lower : 0
  const error = 'standardError' in sample ? sample.standardError : undefined
  return (error || width / 4 || Math.abs(estimate.value) / 100 || 1) / STEPS
}

/** The values at which the parameter can be tested, or the nearest doubles to them. */
function rangeOf(parameter: Claim['parameter']): readonly [number, number] {
  const { min, max, ends } = parameterOf(parameter).domain
  return ends === 'out' && min === 0 ? [Number.MIN_VALUE, max] : [min, max]
}

/** How many units would have shown a gap as large as the one seen, nine times in ten? */
export function sampleSizeQuestion({ document, result }: Examination): Question {
  const isInside = result.hypotheses.alternativeSide === 'inside'
  const shared = { key: 'sample size', asked: { ask: 'planned', power: PLANNED_POWER, isInside } } as const
  const ask = (): Examined => {
    const { estimate, hypotheses, test } = result
    if (isOnNullSide(hypotheses.alternativeSide, estimate.difference))
      return { ...shared, note: { remark: 'no-gap' } }
    const request = planRequest({ document, result }, { find: 'n', value: estimate.value })
    const planned = request.ok ? planFigures(request.value.plan) : request
    if (!planned.ok) return { ...shared, note: { remark: 'problem', problem: planned.problem } }
    const { n, method: used } = planned.value
    const note = used === test.method ? {} : { note: { remark: 'planned-by', method: used } as const }
    const kind = parameterOf(document.claim.parameter).plan?.isFractional ? 'exposure' : 'sample-size'
    return { ...shared, figure: { kind, value: n }, ...note }
  }
  return { key: shared.key, ask }
}

/** The smallest gap that a sample of this size finds nine times in ten. */
export function smallestGapQuestion(examined: Examination): Question {
  const shared = { key: 'smallest gap', asked: { ask: 'smallest-gap', power: PLANNED_POWER } } as const
  const ask = (): Examined => {
    const request = planRequest(examined, { find: 'difference', n: sizeOf(examined.result) })
    const planned = request.ok ? planFigures(request.value.plan) : request
    if (!planned.ok) return { ...shared, note: { remark: 'problem', problem: planned.problem } }
    return { ...shared, figure: { kind: 'smallest-gap', value: planned.value.difference } }
  }
  return { key: shared.key, ask }
}

/** What a sample of this size is planned by: units, or an exposure. */
const sizeOf = ({ sample }: ExaminedResult): number => ('exposure' in sample ? sample.exposure : sample.n)

/** A plan of the same test, with the spread that the sample has; what is not planned is planned by the usual test. */
function planRequest(
  { document, result }: Examination,
  wanted: Readonly<{ find: 'n'; value: number } | { find: 'difference'; n: number }>,
) {
  const { significanceLevel, knownStandardDeviation } = document.test ?? {}
  const { sample, test } = result
  const { plan } = parameterOf(document.claim.parameter)
  const spread = 'standardDeviation' in sample ? sample.standardDeviation : undefined
  // Another test knows of no lot.
  const isOfLot = methodOf(test.method).planning?.seek === 'units-of-lot'
  const lotSize = isOfLot ? lotSizeOf(document.evidence) : undefined
  const isValueAssumed = wanted.find === 'n' && plan?.truth !== 'standardDeviation'
  return parseRequest(planRequestSchema, {
    plan: {
      claim: document.claim,
      test: {
        method: PLANNED_METHODS.find((planned) => planned === test.method) ?? 'auto',
        ...(significanceLevel === undefined ? {} : { significanceLevel }),
        ...(knownStandardDeviation === undefined ? {} : { knownStandardDeviation }),
      },
      assume: {
        ...(isValueAssumed ? { value: wanted.value } : {}),
        ...(spread === undefined ? {} : { standardDeviation: spread }),
        ...(lotSize === undefined ? {} : { lotSize }),
      },
      find: wanted.find,
      ...(wanted.find === 'difference' ? { n: wanted.n } : {}),
      power: PLANNED_POWER,
    },
  })
}

/** Whether the sample lies where the test does not look for a gap. */
function isOnNullSide(side: Hypotheses['alternativeSide'], difference: number): boolean {
  return (side === 'less' && difference >= 0) || (side === 'greater' && difference <= 0)
}
