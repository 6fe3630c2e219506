import { countSteps } from './countSteps'
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
import { bonettSteps, bootstrapSteps, leveneSteps, rankSteps } from './robustSteps'

const X_BAR = symbol('x̄', '\\bar{x}')
const MU = symbol('μ₀', '\\mu_0')
const SIGMA = symbol('σ₀', '\\sigma_0')
const N = symbol('n')
const S = symbol('s')
const SHARE = symbol('p₀', 'p_0')
const CHI_SQUARE = symbol('χ²', '\\chi^2')

/** How the statistic comes from the sample: the formula in symbols, with the numbers put in, and its value. */
export function statisticSteps(worked: Worked): readonly Step[] {
  const { procedure, sample, value, part } = worked
  const statistic = computed(part.statistic)
  switch (procedure.method) {
    case 't':
    case 'z':
      return sample.kind === 'measured' ? meanSteps(worked) : []
    case 'chi-square': {
      if (sample.kind !== 'measured') return []
      const { sampleSize, standardDeviation } = sample.measured
      // The parameter's scale tells whether the value is a standard deviation or a variance.
      const isVariance = procedure.estimate !== standardDeviation
      const formula = (n: Formula, s: Formula, claimed: Formula) =>
        fraction(joined(joined(n, '−', given(1)), '·', squared(s)), isVariance ? claimed : squared(claimed))
      return [
        step(
          'Test statistic',
          CHI_SQUARE,
          formula(N, S, isVariance ? symbol('σ₀²', '\\sigma_0^2') : SIGMA),
          formula(given(sampleSize), given(standardDeviation!), given(value)),
          statistic,
        ),
      ]
    }
    case 'score-z':
      return sample.kind === 'counted' ? scoreSteps(worked) : []
    case 'f': {
      const { first, second } = sample.kind === 'two' ? sample.two : { first: undefined, second: undefined }
      const formula = (one: Formula, two: Formula, ratio: Formula) =>
        fraction(fraction(squared(one), squared(two)), ratio)
      return [
        step(
          'Test statistic',
          symbol('F'),
          formula(symbol('s₁', 's_1'), symbol('s₂', 's_2'), symbol('ratio₀', '\\text{ratio}_0')),
          formula(given(first!.standardDeviation!), given(second!.standardDeviation!), given(value)),
          statistic,
        ),
      ]
    }
    case 'exact-binomial':
    case 'hypergeometric':
      return countSteps('Test statistic: units with the property', part)
    case 'sign':
      return countSteps('Test statistic: readings above the claimed value, of those not equal to it', part)
    case 'signed-rank':
      return rankSteps(part)
    case 'levene':
    case 'brown-forsythe':
      return leveneSteps(worked)
    case 'bonett':
      return bonettSteps(worked)
    case 'bootstrap':
      return bootstrapSteps(part)
    default:
      return procedure.method satisfies never
  }
}

function meanSteps({ sample, procedure, value, part }: Worked): readonly Step[] {
  if (sample.kind !== 'measured') return []
  const { sampleSize, mean, standardDeviation } = sample.measured
  const isT = procedure.method === 't'
  const error = procedure.standardError!
  const sigma = isT ? standardDeviation! : Number((error * Math.sqrt(sampleSize)).toPrecision(15))
  const errorOf = (spread: Formula, n: Formula) => fraction(spread, root(n))
  const formula = (centre: Formula, claimed: Formula, below: Formula) =>
    fraction(joined(centre, '−', claimed), below)
  const se = symbol('SE', '\\mathrm{SE}')
  return [
    step(
      'Standard error',
      se,
      errorOf(isT ? S : symbol('σ', '\\sigma'), N),
      errorOf(given(sigma), given(sampleSize)),
      computed(error),
    ),
    step(
      'Test statistic',
      symbol(procedure.method),
      formula(X_BAR, MU, se),
      formula(given(mean!), given(value), computed(error)),
      computed(part.statistic),
    ),
  ]
}

function scoreSteps({ sample, value, part }: Worked): readonly Step[] {
  if (sample.kind !== 'counted') return []
  const { successes, sampleSize } = sample.counted
  const errorOf = (n: Formula, p: Formula) => root(joined(joined(n, '·', p), '·', joined(given(1), '−', p)))
  const error = Math.sqrt(sampleSize * value * (1 - value))
  // Where a continuity correction moved the count, the statistic tells how far.
  const moved = Math.round(2 * (part.statistic * error - (successes - sampleSize * value))) / 2
  const deviation = (x: Formula, expected: Formula) => joined(x, '−', expected)
  const count =
    moved === 0 ? given(successes) : joined(given(successes), moved < 0 ? '−' : '+', given(Math.abs(moved)))
  const se = symbol('SE', '\\mathrm{SE}')
  return [
    step(
      'Standard error of the count',
      se,
      errorOf(N, SHARE),
      errorOf(given(sampleSize), given(value)),
      computed(error),
    ),
    step(
      'Test statistic',
      symbol('z'),
      fraction(deviation(symbol('x'), joined(N, '·', SHARE)), se),
      fraction(deviation(count, joined(given(sampleSize), '·', given(value))), computed(error)),
      computed(part.statistic),
    ),
  ]
}
