import { methodOf } from '@/claims/all'
import { deriveHypotheses } from '@/claims/terms/hypotheses'
import { type TestOptions, testSchema } from '@/claims/terms/request'
import { logPoissonMass, poisson } from '@/statistics/distributions/poisson'
import { RATE_INTERVALS, rateInterval } from '@/statistics/inference/rateInterval'

/** How many events are expected where the claim just holds. */
export const EXPECTED = [1, 3, 10, 30, 100]
const BEYOND = 0.05

export type RateRow = Readonly<{ name: string; values: readonly number[] }>

/** For a rate nothing has to be drawn: every outcome's probability is known. */
function overOutcomes(mean: number, isCounted: (events: number) => boolean): number {
  const { quantile } = poisson(mean)
  let sum = 0
  for (let events = quantile(1e-9, 'lower'); events <= quantile(1e-9, 'upper'); events += 1)
    if (isCounted(events)) sum += Math.exp(logPoissonMass(events, mean))
  return sum
}

/** The coverage of each interval at 95 %. */
export const rateCoverage = (): readonly RateRow[] =>
  RATE_INTERVALS.map((name) => ({
    name,
    values: EXPECTED.map((mean) =>
      overOutcomes(mean, (events) => {
        const { endsAt, holds } = rateInterval({ events, exposure: 1 }, name)
        return holds(endsAt({ beyond: BEYOND, sides: 'two-sided' }), mean)
      }),
    ),
  }))

const TESTS: readonly (readonly [string, Partial<TestOptions>])[] = [
  ['score', { method: 'score-poisson' }],
  ['score, corrected', { method: 'score-poisson', continuityCorrection: true }],
  ['exact, minimum likelihood', { method: 'exact-poisson' }],
  ['exact, doubled', { method: 'exact-poisson', twoSidedRule: 'doubled' }],
  ['exact, mid-p', { method: 'exact-poisson', midP: true }],
]

/** The level of each two-sided test at 5 %. */
export const rateLevels = (): readonly RateRow[] =>
  TESTS.map(([name, stated]) => ({
    name,
    values: EXPECTED.map((mean) => overOutcomes(mean, (events) => isRejected(stated, events, mean))),
  }))

function isRejected(stated: Partial<TestOptions>, events: number, mean: number): boolean {
  const options = testSchema.parse(stated)
  const hypotheses = deriveHypotheses({ parameter: 'rate', relation: 'equal-to', value: mean }, 'auto')
  if (!hypotheses.ok || options.method === 'auto') throw new Error('A rate is simulated by a stated method.')
  const sample = { kind: 'events', events: { events, exposure: 1, setAside: 0 } } as const
  const question = { parameter: 'rate', hypotheses: hypotheses.value, options, sample } as const
  const made = methodOf(options.method).make(question)
  if (!made.ok) throw new Error(made.problem.code)
  const tested = made.value.test({ value: mean, alternative: 'two-sided', significanceLevel: BEYOND })
  return (tested.pValue ?? 0) <= BEYOND
}
