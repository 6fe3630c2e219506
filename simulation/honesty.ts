import { computeCheck } from '@/claims/check'
import type { CheckDocument } from '@/claims/terms/request'
import type { Condition } from '@/claims/terms/condition'
import { type Draw, lognormal, lognormalMedian, normalDraws, POPULATIONS, uniformDraws } from './populations'

/** A way in which samples come about, with mean 0 and standard deviation 1. */
type Source = Readonly<{
  name: string
  median: number
  sampleOf: (uniform: Draw, n: number) => number[]
  /** Readings that bear on one another, whatever their shape. */
  isDependent?: true
}>

const byDraws = (name: string, median: number, drawFrom: (uniform: Draw) => Draw): Source => ({
  name,
  median,
  sampleOf: (uniform, n) => {
    const draw = drawFrom(uniform)
    return Array.from({ length: n }, draw)
  },
})
const population = (name: string) => {
  const { median, drawFrom } = POPULATIONS.find((one) => one.name === name)!
  return byDraws(name, median, drawFrom)
}
const logs = (spread: number) =>
  byDraws(`lognormal, σ = ${spread}`, lognormalMedian(spread), lognormal(spread))

/** Each reading follows the one before it with a correlation. */
const autoregression = (correlation: number): Source => ({
  name: `each follows the last, r = ${correlation}`,
  median: 0,
  isDependent: true,
  sampleOf: (uniform, n) => {
    const normal = normalDraws(uniform)
    let last = normal()
    return Array.from({ length: n }, () => {
      last = correlation * last + Math.sqrt(1 - correlation ** 2) * normal()
      return last
    })
  },
})

const SOURCES: readonly Source[] = [
  population('normal'),
  byDraws('normal, rounded to a tenth', 0, (uniform) => {
    const normal = normalDraws(uniform)
    return () => Math.round(normal() * 10) / 10
  }),
  population('uniform'),
  population('heavy tails (t, 5 df)'),
  population('skewed (exponential)'),
  ...[0.5, 0.8, 1].map(logs),
  byDraws('one in ten is another', -0.1 / 0.3, (uniform) => () => ((uniform() < 0.1 ? 1 : 0) - 0.1) / 0.3),
  autoregression(0.3),
  autoregression(0.5),
  {
    name: 'pairs alike, r = 0.5',
    median: 0,
    isDependent: true,
    sampleOf: (uniform, n) => {
      const normal = normalDraws(uniform)
      let shared = 0
      return Array.from({ length: n }, (_, at) => {
        if (at % 2 === 0) shared = normal()
        return (shared + normal()) / Math.SQRT2
      })
    },
  },
]

const SIZES = [5, 10, 20, 50, 100, 300, 1000, 2000] as const
const LEVEL = 0.05
/** Fewer of the large ones, which take longer. */
const repetitionsFor = (n: number) => (n <= 100 ? 2000 : n <= 300 ? 1000 : 400)
/** What is stated of the sample, truly or not: whoever states nothing is told of no risk at all. */
const STATED = { drawn: 'random', independence: 'independent' } as const

/** Of the usual tests those of measurements: a share's true levels are sums over every outcome, above. */
const PATHS: readonly Readonly<{
  name: string
  parameter: 'mean' | 'standard-deviation' | 'variance-ratio' | 'median'
  valueOf: (source: Source) => number
}>[] = [
  { name: 'Mean, t test', parameter: 'mean', valueOf: () => 0 },
  { name: 'Standard deviation, chi-square test', parameter: 'standard-deviation', valueOf: () => 1 },
  {
    name: 'Ratio of two variances, F test, n readings of either',
    parameter: 'variance-ratio',
    valueOf: () => 1,
  },
  { name: 'Median, sign or quantile test', parameter: 'median', valueOf: ({ median }) => median },
]
const DIRECTIONS = ['at-least', 'at-most'] as const

/** Of samples in which a claim just holds: how often it is contradicted, and what the page says of its conditions. */
export type HonestyCell = Readonly<{
  source: string
  isDependent: boolean
  n: number
  relation: (typeof DIRECTIONS)[number]
  /** Contradicted, of all samples. */
  rate: number
  /** Said to be met: the shape of the population, and every condition. */
  shapeMet: number
  allMet: number
  /** Said to have no condition open, so that a risk is stated; and contradicted of these. */
  stated: number
  rateStated: number | undefined
}>

export function honesty(
  seed: number,
  onProgress: (line: string) => void,
): readonly Readonly<{ path: string; cells: readonly HonestyCell[] }>[] {
  return PATHS.map(({ name, parameter, valueOf }) => ({
    path: name,
    cells: SOURCES.flatMap((source, at) => {
      onProgress(`${name}, ${source.name}`)
      return SIZES.flatMap((n) => {
        const uniform = uniformDraws(seed + 1000 * n + at)
        const value = valueOf(source)
        const drawn = () => source.sampleOf(uniform, n)
        const samples = Array.from({ length: repetitionsFor(n) }, () =>
          parameter === 'variance-ratio' ? ([drawn(), drawn()] as const) : ([drawn()] as const),
        )
        return DIRECTIONS.map((relation): HonestyCell => ({
          source: source.name,
          isDependent: source.isDependent ?? false,
          n,
          relation,
          ...cellOf(samples.map((sample) => told({ claim: { parameter, relation, value }, sample }))),
        }))
      })
    }),
  }))
}

type Told = Readonly<{ isContradicted: boolean; isShapeMet: boolean; isAllMet: boolean; isStated: boolean }>

function told({
  claim,
  sample: [values, second],
}: Readonly<{
  claim: CheckDocument['claim']
  sample: readonly [number[], number[]?]
}>): Told | undefined {
  const answer = computeCheck({
    claim,
    evidence: second
      ? { kind: 'two-readings', first: values, second, ...STATED }
      : { kind: 'readings', values, ...STATED },
    // What stands beside is not looked at.
    test: { resamples: 99 },
  })
  // Readings that are all equal have no test.
  if (!answer.ok) return undefined
  const { conditions, outcome } = answer.value.computed
  const resting = conditions.filter(({ name }) => name !== 'outliers')
  return {
    isContradicted: outcome === 'contradicted',
    isShapeMet: isMetOf(conditions.filter(({ name }) => name === 'normality')),
    isAllMet: resting.every(({ state }) => state === 'met'),
    isStated: resting.every(({ state }) => state === 'met' || state === 'no-sign'),
  }
}

const isMetOf = (of: readonly Condition[]) => of.length > 0 && of.every(({ state }) => state === 'met')

function cellOf(
  all: readonly (Told | undefined)[],
): Omit<HonestyCell, 'source' | 'isDependent' | 'n' | 'relation'> {
  const known = all.filter((one) => one !== undefined)
  const share = (of: readonly Told[], is: keyof Told) =>
    of.length === 0 ? undefined : of.filter((one) => one[is]).length / of.length
  return {
    rate: share(known, 'isContradicted') ?? 0,
    shapeMet: share(known, 'isShapeMet') ?? 0,
    allMet: share(known, 'isAllMet') ?? 0,
    stated: share(known, 'isStated') ?? 0,
    rateStated: share(
      known.filter(({ isStated }) => isStated),
      'isContradicted',
    ),
  }
}

/** A claim that just holds may be contradicted so often, as a multiple of the level, before the page may call all met. */
const [TOO_OFTEN, KEPT] = [1.5, 1.2]

/** The cells in which “met” is said of what does not hold: too often where the rate is too high, or with too high a rate. */
export function misses(cells: readonly HonestyCell[], is: 'shapeMet' | 'allMet'): readonly HonestyCell[] {
  // The shape is not at fault where readings bear on one another.
  const judged = cells.filter(({ isDependent }) => !(isDependent && is === 'shapeMet'))
  return judged.filter(
    ({ rate, [is]: said }) =>
      (rate > TOO_OFTEN * LEVEL && said > 0.05) || (said >= 0.5 && rate > KEPT * LEVEL + errorOf(rate)),
  )
}

/** Twice the standard error of a rate of the fewest repetitions. */
const errorOf = (rate: number) => 2 * Math.sqrt((rate * (1 - rate)) / repetitionsFor(2000))
