import { claimSide, type Hypotheses, isRange } from '../claim/hypotheses'
import type { CheckRequest } from '../check/request'
import type { CheckResult, Warning } from '../check/result'
import { RELATION_WORDS } from './claimWords'
import { formatFull } from './figures'

/** What was done that a reader of the result should know of. */
export function checkWarnings(
  request: CheckRequest,
  hypotheses: Hypotheses,
  { test, effectSize, sample }: Pick<CheckResult, 'test' | 'effectSize' | 'sample'>,
): readonly Warning[] {
  const { claim, test: options } = request
  const warnings: Warning[] = []
  const warn = (code: string, message: string) => warnings.push({ code, message })
  if (options.alternative !== 'auto' && !isClaimsOwn(request, hypotheses)) {
    warn(
      'alternative-disagrees-with-claim',
      `The alternative “${options.alternative}” was stated and used; it is not the one that follows from “${RELATION_WORDS[claim.relation]}” and its burden.`,
    )
  }
  if (claim.tolerance && !isRange(hypotheses)) {
    warn('tolerance-not-used', `The tolerance plays no part in “${RELATION_WORDS[claim.relation]}”.`)
  }
  if (options.knownStandardDeviation !== undefined && test.method === 't') {
    warn(
      'known-standard-deviation-not-used',
      'A known standard deviation was stated, but the t test does not use it.',
    )
  }
  if (test.pValue === undefined) {
    warn('p-value-below-range', 'The p-value is smaller than a double can hold; its natural log is given.')
  }
  if (options.confidenceLevel === undefined && 1 - options.significanceLevel === 1) {
    warn(
      'no-interval',
      `At the significance level ${formatFull(options.significanceLevel)} the confidence level would round to 1, so no interval is given. State a confidence level below 1.`,
    )
  }
  if (!effectSize) {
    warn(
      'no-effect-size',
      sample.standardDeviation
        ? 'The sample’s standard deviation is too small beside the gap, or rests on too few readings, to measure the gap by it; no effect size is given.'
        : 'The sample has no standard deviation above 0 to measure the gap by; no effect size is given.',
    )
  }
  return warnings
}

function isClaimsOwn({ claim }: CheckRequest, { alternativeSide, burden }: Hypotheses): boolean {
  const side = claimSide(claim.relation)
  if (side === 'two-sided') return alternativeSide === 'two-sided'
  return burden === 'substantiate'
    ? alternativeSide === side
    : alternativeSide !== side && alternativeSide !== 'two-sided'
}
