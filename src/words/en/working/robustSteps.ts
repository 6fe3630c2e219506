import type { PointTest } from '@/statistics/inference/procedure'
import {
  computed,
  type Formula,
  fraction,
  given,
  joined,
  root,
  squared,
  type Step,
  step,
  symbol,
} from './formula'
import type { Worked } from './worked'

/** The sum of ranks; without an exact distribution, its mean and spread, and how many spreads it lies from the mean. */
export function rankSteps({ statistic, intermediate }: PointTest): readonly Step[] {
  const sum = step(
    'Test statistic: sum of the ranks above the claimed value',
    symbol('W⁺', 'W^+'),
    given(statistic),
  )
  if (!intermediate) return [sum]
  const { n, tieSum, centre, deviation, z } = intermediate as Readonly<Record<string, number>>
  const product = (count: Formula) => joined(count, '·', joined(count, '+', given(1)))
  const square = (count: Formula, ties: Formula) =>
    root(
      joined(
        fraction(joined(product(count), '·', joined(joined(given(2), '·', count), '+', given(1))), given(24)),
        '−',
        fraction(ties, given(48)),
      ),
    )
  const sigma = symbol('σ', '\\sigma')
  return [
    sum,
    step(
      'Its mean; n counts the readings that differ from the claimed value',
      symbol('μ', '\\mu'),
      fraction(product(symbol('n')), given(4)),
      fraction(product(given(n!)), given(4)),
      computed(centre!),
    ),
    step(
      'Its standard deviation, with ties',
      sigma,
      square(symbol('n'), symbol('Σ(t³ − t)', '\\sum(t^3-t)')),
      square(given(n!), given(tieSum!)),
      computed(deviation!),
    ),
    step(
      'Distance from its mean',
      symbol('z'),
      fraction(joined(symbol('W⁺', 'W^+'), '−', symbol('μ', '\\mu')), sigma),
      computed(z!),
    ),
  ]
}

/** The one-way analysis of the distances from each centre. */
export function leveneSteps({ sample, procedure, part }: Worked): readonly Step[] {
  if (sample.kind !== 'two') return []
  const { mean1, mean2, between, within } = part.intermediate as Readonly<Record<string, number>>
  const [n1, n2] = [sample.two.first.sampleSize, sample.two.second.sampleSize]
  const centre = procedure.method === 'levene' ? 'mean' : 'median'
  const [d1, d2] = [symbol('d₁', '\\bar d_1'), symbol('d₂', '\\bar d_2')]
  const betweenOf = (one: Formula, two: Formula, first: Formula, second: Formula) =>
    joined(fraction(joined(one, '·', two), joined(one, '+', two)), '·', squared(joined(first, '−', second)))
  return [
    step(`Mean distance from the ${centre}, first sample`, d1, computed(mean1!)),
    step(`Mean distance from the ${centre}, second sample`, d2, computed(mean2!)),
    step(
      'Spread between the two',
      symbol('B'),
      betweenOf(symbol('n₁', 'n_1'), symbol('n₂', 'n_2'), d1, d2),
      betweenOf(given(n1), given(n2), computed(mean1!), computed(mean2!)),
      computed(between!),
    ),
    step(
      `Spread within, squares about each mean over n₁ + n₂ − 2 = ${n1 + n2 - 2}`,
      symbol('V'),
      computed(within!),
    ),
    step(
      'Test statistic',
      symbol('F'),
      fraction(symbol('B'), symbol('V')),
      fraction(computed(between!), computed(within!)),
      computed(part.statistic),
    ),
  ]
}

/** The kurtosis, the error of ln s² that follows from it, and the z at which Bonett's limit meets the claimed value. */
export function bonettSteps({ sample, part }: Worked): readonly Step[] {
  if (sample.kind !== 'measured') return []
  const { kurtosis, error } = part.intermediate as Readonly<Record<string, number>>
  const n = sample.measured.sampleSize
  const errorOf = (gamma: Formula, size: Formula) =>
    root(
      fraction(joined(gamma, '−', fraction(joined(size, '−', given(3)), size)), joined(size, '−', given(1))),
    )
  const gamma = symbol('γ', '\\gamma')
  return [
    step('Kurtosis about the trimmed mean', gamma, computed(kurtosis!)),
    step(
      'Error of ln s²',
      symbol('e'),
      errorOf(gamma, symbol('n')),
      errorOf(computed(kurtosis!), given(n)),
      computed(error!),
    ),
    step(
      'Test statistic: the z at which exp(ln(k s²) − z k e), k = n / (n − |z|), is the claimed variance',
      symbol('z'),
      computed(part.statistic),
    ),
  ]
}

/** How many resamples lie as far out as the sample. */
export function bootstrapSteps({ statistic, intermediate }: PointTest): readonly Step[] {
  const estimate = step('Estimate', symbol('estimate', '\\text{estimate}'), given(statistic))
  if (!intermediate) return [estimate]
  const { count, atMost, atLeast } = intermediate as Readonly<Record<string, number>>
  const share = (as: number) =>
    fraction(joined(given(as), '+', given(1)), joined(given(count!), '+', given(1)))
  return [
    estimate,
    step(
      'Share of resamples as low',
      symbol('P(low)', 'P_{\\text{low}}'),
      share(atMost!),
      computed((atMost! + 1) / (count! + 1)),
    ),
    step(
      'Share of resamples as high',
      symbol('P(high)', 'P_{\\text{high}}'),
      share(atLeast!),
      computed((atLeast! + 1) / (count! + 1)),
    ),
  ]
}
