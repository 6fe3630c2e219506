import type { Worked } from '../terms/definition'
import { computed, type Formula, fraction, given, joined, type Step, step, symbol } from '../terms/formula'
import { STANDARD_ERROR } from '../working/symbols'

const CLAIMED = symbol('θ₀', '\\theta_0')

/** (estimate − claimed value) / SE, of a mean or of a share, in symbols and with the numbers put in. */
export function groupedStatistic(
  { sample, value, part }: Worked<unknown, 'measured' | 'counted'>,
  letter: Formula,
): Step {
  const formula = (centre: Formula, claimed: Formula, below: Formula) =>
    fraction(joined(centre, '−', claimed), below)
  // The estimate that gives this statistic, which is the sample's own.
  const estimate = value + part.statistic * sample.standardError!
  return step(
    'statistic',
    symbol('t'),
    formula(letter, CLAIMED, STANDARD_ERROR),
    formula(computed(estimate), given(value), computed(sample.standardError!)),
    computed(part.statistic),
  )
}
