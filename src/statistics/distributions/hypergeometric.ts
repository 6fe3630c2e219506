import { logMass as logBinomialMass } from './binomial'
import { type Discrete, discreteQuantile } from './discrete'
import { type Tails, tailsFromLog } from './tails'

type Lot = Readonly<{ lotSize: number; marked: number; sampleSize: number }>

/**
 * The hypergeometric distribution: how many marked units a sample holds that is drawn from a lot without replacement.
 *
 * The smaller tail is summed outwards from k, where every term is a known fraction of the one before.
 *
 * @param lot - whole numbers, 0 ≤ marked ≤ lotSize, 1 ≤ sampleSize ≤ lotSize
 * @see N. Johnson, A. Kemp & S. Kotz (2005), Univariate Discrete Distributions, ch. 6; the mass by C. Loader (2000)
 * @example
 * hypergeometric({ lotSize: 50, marked: 5, sampleSize: 10 }).mass(1) // 0.431337
 */
export function hypergeometric(lot: Lot): Discrete {
  const { lotSize, marked, sampleSize } = lot
  const min = Math.max(0, sampleSize - (lotSize - marked))
  const max = Math.min(sampleSize, marked)
  const tails = (k: number) => tailsAt({ lot, k: Math.floor(k), min, max })
  return {
    mass: (k) => (Number.isInteger(k) && k >= min && k <= max ? Math.exp(logMass(k, lot)) : 0),
    tails,
    quantile: (probability, tail) => discreteQuantile({ probability, tail, tails, min, max }),
  }
}

/** ln P(X = k) within the support: a ratio of binomial masses, in which the large parts cancel on paper. */
function logMass(k: number, { lotSize, marked, sampleSize }: Lot): number {
  if (sampleSize === lotSize) return 0
  const probability = sampleSize / lotSize
  return (
    logBinomialMass(k, { trials: marked, probability }) +
    logBinomialMass(sampleSize - k, { trials: lotSize - marked, probability }) -
    logBinomialMass(sampleSize, { trials: lotSize, probability })
  )
}

function tailsAt({ lot, k, min, max }: Readonly<{ lot: Lot; k: number; min: number; max: number }>): Tails {
  if (k < min) return tailsFromLog(-Infinity, 'lower')
  if (k >= max) return tailsFromLog(-Infinity, 'upper')
  const { lotSize, marked, sampleSize } = lot
  const isBelowMean = k * lotSize < marked * sampleSize
  const rest = lotSize - marked - sampleSize
  /** P(X = j + 1) / P(X = j) */
  const rise = (j: number) => (((marked - j) / (j + 1)) * (sampleSize - j)) / (rest + j + 1)
  if (isBelowMean) {
    const sum = sumOfRatios((step) => 1 / rise(k - step - 1), k - min)
    return tailsFromLog(logMass(k, lot) + Math.log(sum), 'lower')
  }
  const sum = sumOfRatios((step) => rise(k + 1 + step), max - k - 1)
  return tailsFromLog(logMass(k + 1, lot) + Math.log(sum), 'upper')
}

/** 1 + r₀ + r₀r₁ + …, of so many ratios at most. */
function sumOfRatios(ratio: (step: number) => number, count: number): number {
  let term = 1
  let sum = 1
  for (let step = 0; step < count && term > sum * 1e-18; step += 1) {
    term *= ratio(step)
    sum += term
  }
  return sum
}
