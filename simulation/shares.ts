import { methodOf } from '@/claims/all'
import { deriveHypotheses } from '@/claims/terms/hypotheses'
import { type TestOptions, testSchema } from '@/claims/terms/request'
import { binomial, logMass } from '@/statistics/distributions/binomial'
import type { Procedure } from '@/statistics/inference/procedure'
import { SHARE_INTERVALS, shareInterval } from '@/statistics/inference/shareInterval'

const SIZES = [20, 50, 200, 1000]
const SHARES = [0.02, 0.1, 0.3, 0.5]
const BEYOND = 0.05

export type ShareRow = Readonly<{ name: string; n: number; values: readonly number[] }>

/** For a share nothing has to be drawn: every outcome's probability is known. */
function overOutcomes(n: number, share: number, isCounted: (successes: number) => boolean): number {
  // Outcomes rarer than this do not show in four digits.
  const { quantile } = binomial({ trials: n, probability: share })
  const [from, to] = [quantile(1e-9, 'lower'), quantile(1e-9, 'upper')]
  let sum = 0
  for (let successes = from; successes <= to; successes += 1) {
    if (isCounted(successes)) sum += Math.exp(logMass(successes, { trials: n, probability: share }))
  }
  return sum
}

/** The coverage of each interval at 95 %, for each share. */
export function shareCoverage(): readonly ShareRow[] {
  return SHARE_INTERVALS.flatMap((name) =>
    SIZES.map((n) => ({
      name,
      n,
      values: SHARES.map((share) =>
        overOutcomes(n, share, (successes) => {
          const { endsAt, holds } = shareInterval({ sampleSize: n, successes }, name)
          return holds(endsAt({ beyond: BEYOND, sides: 'two-sided' }), share)
        }),
      ),
    })),
  )
}

/** The tests of a share, each with the choices that it leaves. */
const TESTS: readonly (readonly [string, Partial<TestOptions>])[] = [
  ['score z', { method: 'score-z' }],
  ['score z, corrected', { method: 'score-z', continuityCorrection: true }],
  ['exact, minimum likelihood', { method: 'exact-binomial', twoSidedRule: 'minimum-likelihood' }],
  ['exact, doubled', { method: 'exact-binomial', twoSidedRule: 'doubled' }],
  ['exact, mid-p', { method: 'exact-binomial', twoSidedRule: 'doubled', midP: true }],
]

/** The level of each two-sided test at 5 %, for each claimed share that is true. */
export function shareLevels(): readonly ShareRow[] {
  return TESTS.flatMap(([name, stated]) =>
    SIZES.map((n) => ({
      name,
      n,
      values: SHARES.map((share) =>
        overOutcomes(n, share, (successes) => {
          const { pValue = 0 } = procedureOf(stated, { successes, sampleSize: n }, share).test({
            value: share,
            alternative: 'two-sided',
            significanceLevel: BEYOND,
          })
          return pValue <= BEYOND
        }),
      ),
    })),
  )
}

export const SHARE_COLUMNS = SHARES

function procedureOf(
  stated: Partial<TestOptions>,
  counted: Readonly<{ successes: number; sampleSize: number }>,
  share: number,
): Procedure {
  const options = testSchema.parse(stated)
  const hypotheses = deriveHypotheses({ parameter: 'proportion', relation: 'equal-to', value: share }, 'auto')
  if (!hypotheses.ok || options.method === 'auto') throw new Error('A share is simulated by a stated method.')
  const question = { parameter: 'proportion', hypotheses: hypotheses.value, options } as const
  const made = methodOf(options.method).make({ ...question, sample: { kind: 'counted', counted } })
  if (!made.ok) throw new Error(made.problem.code)
  return made.value
}
