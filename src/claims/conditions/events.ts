import { chiSquare } from '@/statistics/distributions/chiSquare'
import { type Condition, conditions } from '../terms/condition'
import type { MethodDefinition } from '../terms/definition'
import type { CountedEvents } from '../terms/sample'

/** Expected events from which the normal distribution stands in for their count: common practice, no source. */
const EXPECTED_EVENTS = 10
/** Below this p-value the counts scatter more than events that come singly: common practice, no source. */
const OVERDISPERSED = 0.01

/** What a test of a rate rests on: that events come singly, at one rate; and enough of them for the normal distribution. */
export function eventConditions(
  events: CountedEvents,
  { needsExpectedCounts }: Pick<MethodDefinition, 'needsExpectedCounts'>,
  claimedValues: readonly number[],
): readonly Condition[] {
  const expected = Math.min(
    ...claimedValues.map((value) => Number((value * events.exposure).toPrecision(12))),
  )
  const figures = { expected, needed: EXPECTED_EVENTS }
  const few = needsExpectedCounts ? conditions.eventsFew(figures) : conditions.eventsFewButExact(figures)
  return [expected >= EXPECTED_EVENTS ? conditions.eventsEnough(figures) : few, ...dispersion(events)]
}

/**
 * Whether the counts of stretches scatter as those of events that come singly at one rate do: D = Σ(xᵢ − x̄)² / x̄ on k − 1
 * degrees of freedom of chi-square.
 *
 * @see R. Fisher (1925), Statistical Methods for Research Workers, 57-63
 */
function dispersion({ events, stretches }: CountedEvents): readonly Condition[] {
  if (!stretches || stretches.length < 2) return [conditions.dispersionUnknown()]
  if (events === 0) return []
  const mean = events / stretches.length
  const sum = stretches.reduce((total, count) => total + (count - mean) ** 2, 0)
  const [found, df] = [sum / mean, stretches.length - 1]
  const p = found === 0 ? 1 : chiSquare(df).tails(found).upper
  const figures = { stretches: stretches.length, dispersion: found, df, p }
  return [p < OVERDISPERSED ? conditions.overdispersed(figures) : conditions.dispersionUsual(figures)]
}
