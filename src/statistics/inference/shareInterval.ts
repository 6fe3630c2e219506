import { beta } from '../distributions/beta'
import { normal } from '../distributions/normal'
import type { Tail } from '../distributions/tails'
import { type Ends, holds, type Interval, intervalFrom } from './interval'
import { wilsonLimit } from './wilson'

export const SHARE_INTERVALS = [
  'wilson',
  'wilson-corrected',
  'clopper-pearson',
  'agresti-coull',
  'jeffreys',
  'wald',
] as const
export type ShareInterval = (typeof SHARE_INTERVALS)[number]

/** So many of a sample's units have a property. */
export type CountSample = Readonly<{ sampleSize: number; successes: number }>

/** The end of an interval that leaves `tail` beyond it. */
type EndOf = (input: CountSample & Readonly<{ tail: number; side: Tail }>) => number

/**
 * The intervals for a share, each cut to 0 to 1.
 *
 * @see L. Brown, T. Cai & A. DasGupta (2001), Statistical Science 16, 101-133, which compares them
 */
const ENDS: Readonly<Record<ShareInterval, EndOf>> = {
  wilson: (input) => scoreEnd(input, 0),
  'wilson-corrected': (input) => scoreEnd(input, 0.5),
  'clopper-pearson': ({ successes: x, sampleSize: n, tail, side }) => {
    if (side === 'lower') return x === 0 ? 0 : beta({ a: x, b: n - x + 1 }).quantile(tail, 'lower')
    return x === n ? 1 : beta({ a: x + 1, b: n - x }).quantile(tail, 'upper')
  },
  'agresti-coull': ({ successes: x, sampleSize: n, tail, side }) => {
    const z = normal.quantile(tail, 'upper')
    const size = n + z * z
    return waldEnd({ share: (x + (z * z) / 2) / size, size, z, side })
  },
  jeffreys: ({ successes: x, sampleSize: n, tail, side }) => {
    if (x === 0 && side === 'lower') return 0
    if (x === n && side === 'upper') return 1
    return beta({ a: x + 0.5, b: n - x + 0.5 }).quantile(tail, side)
  },
  wald: ({ successes, sampleSize: size, tail, side }) =>
    waldEnd({ share: successes / size, size, z: normal.quantile(tail, 'upper'), side }),
}

/**
 * A confidence interval for a share.
 *
 * @param sample - x successes of n
 * @see Wilson 1927; Newcombe 1998; Clopper & Pearson 1934; Agresti & Coull 1998; Brown, Cai & DasGupta 2001
 * @example
 * shareInterval({ successes: 172, sampleSize: 200 }, 'wilson').endsAt({ beyond: 0.05, sides: 'two-sided' })
 * // { lower: 0.805101, upper: 0.90133 }
 */
export function shareInterval(sample: CountSample, name: ShareInterval): Interval {
  const endOf = ENDS[name]
  const endsAt = intervalFrom({
    lower: (tail) => endOf({ ...sample, tail, side: 'lower' }),
    upper: (tail) => endOf({ ...sample, tail, side: 'upper' }),
  })
  return { method: name, endsAt, holds: holdsShare }
}

/** An end at the end of the scale belongs to the interval. */
function holdsShare({ lower, upper }: Ends, value: number): boolean {
  return holds({ lower: lower || -1, upper: upper === undefined || upper === 1 ? 2 : upper }, value)
}

function scoreEnd({ successes: x, sampleSize: n, tail, side }: Parameters<EndOf>[0], half: number): number {
  const z = normal.quantile(tail, 'upper')
  if (side === 'lower') return x === 0 ? 0 : wilsonLimit({ successes: x - half, sampleSize: n, z })
  return x === n ? 1 : wilsonLimit({ successes: x + half, sampleSize: n, z: -z })
}

function waldEnd(input: Readonly<{ share: number; size: number; z: number; side: Tail }>): number {
  const { share, size, z, side } = input
  const reach = z * Math.sqrt((share * (1 - share)) / size)
  return Math.min(1, Math.max(0, side === 'lower' ? share - reach : share + reach))
}
