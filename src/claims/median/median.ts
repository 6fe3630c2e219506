import { median as medianOf } from '@/statistics/describe/quantile'
import type { ParameterDefinition } from '../terms/definition'
import { isKnown } from '../terms/sample'

/** A population's median. */
export const median: ParameterDefinition<'median', 'measured', Record<never, never>> = {
  name: 'median',
  symbol: 'M',
  domain: { min: -Infinity, max: Infinity, ends: 'out' },
  scale: 1,
  unitOf: (unit) => unit,
  liesAmongReadings: true,
  sample: 'measured',
  evidence: ['readings'],
  takesKnownSpread: false,
  intervals: [],
  // The signed-rank test rests on symmetry, and rejects a true median of skewed readings far too often.
  // The sign test leaves out readings that equal the claimed value, and then tells nothing of the median.
  usualMethod: ({ hasEqual }) => (hasEqual?.() ? 'quantile' : 'sign'),
  shows: ['median'],
  plan: {
    truth: 'value',
    needsSpread: true,
    plansTolerance: false,
    toPlanned: (value) => value,
  },
  ofWholeLot: ({ measured: { sorted, censored } }) => {
    const middle = sorted && medianOf(sorted)
    return middle !== undefined && censored && !isKnown(middle, censored) ? undefined : middle
  },
}
