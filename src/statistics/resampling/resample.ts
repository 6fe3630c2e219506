import { randomWords, sumsOfDraws } from '../numeric/random'

/** So far, as a share of the readings or of the statistic, may sums in another order differ. */
const ROUNDING = 1e-13

/** What is computed of each resample. */
export type Resampled = 'mean' | 'standard-deviation' | 'variance' | 'median'

export type Resamples = Readonly<{
  /** The statistic of each resample, ascending. */
  statistics: Float64Array
  /** For a mean, (x̄* − x̄) / (s* / √n) of each resample, ascending. */
  studentized?: Float64Array
}>

type Plan = Readonly<{
  count: number
  seed: number
  /** The statistic of the readings themselves. */
  own: number
}>

/**
 * The statistic of samples drawn from the readings with replacement.
 *
 * @param centred - the readings less their mean, so that sums of squares keep their digits; for a median the readings
 *   themselves, ascending
 * A resample that comes to the readings' own statistic but for the rounding of its sums, as one that holds each of them once
 * does, ties with it.
 *
 * @param plan.count - how many resamples
 * @example
 * resample(Float64Array.of(-0.1, 0, 0.1), 'median', { count: 5, seed: 1, own: 0 }).statistics
 * // [0, 0, 0, 0, 0.1]
 */
export function resample(centred: Float64Array, statistic: Resampled, plan: Plan): Resamples {
  return statistic === 'median' ? resampleMedian(centred, plan) : resampleMoments(centred, statistic, plan)
}

function resampleMoments(
  centred: Float64Array,
  statistic: Exclude<Resampled, 'median'>,
  { count, seed, own }: Plan,
): Resamples {
  const n = centred.length
  const drawn = sumsOfDraws(centred, seed)
  const largest = centred.reduce((max, value) => Math.max(max, Math.abs(value)), 0)
  const slack = ROUNDING * (statistic === 'mean' ? largest : own)
  const tied = (value: number) => (Math.abs(value - own) <= slack ? own : value)
  const statistics = new Float64Array(count)
  const studentized = new Float64Array(statistic === 'mean' ? count : 0)
  for (let b = 0; b < count; b += 1) {
    const { sum, squares } = drawn()
    const variance = Math.max(0, squares - (sum * sum) / n) / (n - 1)
    if (statistic === 'mean') {
      const mean = tied(sum / n)
      statistics[b] = mean
      studentized[b] = mean === 0 ? 0 : mean / Math.sqrt(variance / n)
    } else {
      statistics[b] = tied(statistic === 'variance' ? variance : Math.sqrt(variance))
    }
  }
  statistics.sort()
  return statistic === 'mean' ? { statistics, studentized: studentized.sort() } : { statistics }
}

function resampleMedian(sorted: Float64Array, { count, seed }: Plan): Resamples {
  const n = sorted.length
  const step = n / 2 ** 32
  const fill = randomWords(seed)
  const words = new Uint32Array(n)
  const statistics = new Float64Array(count)
  const times = new Uint32Array(n)
  const [low, high] = [Math.ceil(n / 2), Math.floor(n / 2) + 1]
  for (let b = 0; b < count; b += 1) {
    fill(words)
    times.fill(0)
    for (let i = 0; i < n; i += 1) times[Math.floor(words[i]! * step)]! += 1
    let [at, passed] = [0, times[0]!]
    while (passed < low) passed += times[(at += 1)]!
    const first = sorted[at]!
    while (passed < high) passed += times[(at += 1)]!
    statistics[b] = first / 2 + sorted[at]! / 2
  }
  return { statistics: statistics.sort() }
}
