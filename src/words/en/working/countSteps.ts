import type { PointTest } from '@/statistics/inference/procedure'
import { given, type Step, step, symbol } from './formula'

/** The count, and the probability of each count k that the p-value adds up. */
export function countSteps(name: string, { statistic, distribution }: PointTest): readonly Step[] {
  const counted = step(name, symbol('x'), given(statistic))
  if (distribution?.name === 'binomial') {
    const { n, p } = distribution
    const q = given(Number((1 - p).toPrecision(15))).text
    return [
      counted,
      step(
        'Probability of each count k',
        symbol('P(k)'),
        symbol('C(n, k) · p^k · (1 − p)^(n − k)', '\\binom{n}{k} p^{k} (1-p)^{n-k}'),
        symbol(`C(${n}, k) · ${p}^k · ${q}^(${n} − k)`, `\\binom{${n}}{k} ${p}^{k} \\cdot ${q}^{${n}-k}`),
      ),
    ]
  }
  if (distribution?.name !== 'hypergeometric') return [counted]
  const { lotSize, marked, n } = distribution
  return [
    counted,
    step(
      'Probability of each count k, from the boundary lot',
      symbol('P(k)'),
      symbol('C(D, k) · C(N − D, n − k) / C(N, n)', '\\frac{\\binom{D}{k}\\binom{N-D}{n-k}}{\\binom{N}{n}}'),
      symbol(
        `C(${marked}, k) · C(${lotSize - marked}, ${n} − k) / C(${lotSize}, ${n})`,
        `\\frac{\\binom{${marked}}{k}\\binom{${lotSize - marked}}{${n}-k}}{\\binom{${lotSize}}{${n}}}`,
      ),
    ),
  ]
}
