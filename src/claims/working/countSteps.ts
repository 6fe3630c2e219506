import type { PartFigures } from '../terms/definition'
import { given, type Step, step, type StepName, symbol } from '../terms/formula'

/** Digits of a figure that a formula is shown with: without the last two, which a subtraction of doubles makes up. */
const SHOWN_DIGITS = 14

/** The count, and the probability of each count k that the p-value adds up. */
export function countSteps(
  name: StepName,
  { statistic, distribution }: PartFigures<unknown>,
): readonly Step[] {
  const counted = step(name, symbol('x'), given(statistic))
  if (distribution?.name === 'binomial') return [counted, binomialStep(distribution)]
  if (distribution?.name === 'poisson') return [counted, poissonStep(distribution)]
  return distribution?.name === 'hypergeometric' ? [counted, lotStep(distribution)] : [counted]
}

function binomialStep({ n, p }: Readonly<{ n: number; p: number }>): Step {
  const q = Number((1 - p).toPrecision(SHOWN_DIGITS))
  return step(
    'count-probability',
    symbol('P(k)'),
    symbol('C(n, k) · p^k · (1 − p)^(n − k)', '\\binom{n}{k} p^{k} (1-p)^{n-k}'),
    symbol(`C(${n}, k) · ${p}^k · ${q}^(${n} − k)`, `\\binom{${n}}{k} ${p}^{k} \\cdot ${q}^{${n}-k}`),
  )
}

function poissonStep({ mean }: Readonly<{ mean: number }>): Step {
  const expected = Number(mean.toPrecision(SHOWN_DIGITS))
  return step(
    'event-probability',
    symbol('P(k)'),
    symbol('μ₀^k · e^(−μ₀) / k!', '\\frac{\\mu_0^k e^{-\\mu_0}}{k!}'),
    symbol(`${expected}^k · e^(−${expected}) / k!`, `\\frac{${expected}^k e^{-${expected}}}{k!}`),
  )
}

function lotStep({ lotSize, marked, n }: Readonly<{ lotSize: number; marked: number; n: number }>): Step {
  const others = lotSize - marked
  return step(
    'count-probability-in-lot',
    symbol('P(k)'),
    symbol('C(D, k) · C(N − D, n − k) / C(N, n)', '\\frac{\\binom{D}{k}\\binom{N-D}{n-k}}{\\binom{N}{n}}'),
    symbol(
      `C(${marked}, k) · C(${others}, ${n} − k) / C(${lotSize}, ${n})`,
      `\\frac{\\binom{${marked}}{k}\\binom{${others}}{${n}-k}}{\\binom{${lotSize}}{${n}}}`,
    ),
  )
}
