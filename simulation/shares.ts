import { binomial, logMass } from '@/statistics/distributions/binomial'
import type { Procedure } from '@/statistics/inference/procedure'
import { shareExact } from '@/claims/share/exactBinomial'
import { SHARE_INTERVALS, shareInterval } from '@/statistics/inference/shareInterval'
import { shareScore } from '@/claims/share/scoreZ'

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

const TESTS: readonly (readonly [string, (successes: number, n: number, share: number) => Procedure])[] = [
  ['score z', (successes, n, share) => scoreTest(successes, n, share, 'none')],
  ['score z, corrected', (successes, n, share) => scoreTest(successes, n, share, 'continuity')],
  ['exact, minimum likelihood', (successes, n) => exactTest(successes, n, 'minimum-likelihood', 'whole')],
  ['exact, doubled', (successes, n) => exactTest(successes, n, 'doubled', 'whole')],
  ['exact, mid-p', (successes, n) => exactTest(successes, n, 'doubled', 'half')],
]

/** The level of each two-sided test at 5 %, for each claimed share that is true. */
export function shareLevels(): readonly ShareRow[] {
  return TESTS.flatMap(([name, make]) =>
    SIZES.map((n) => ({
      name,
      n,
      values: SHARES.map((share) =>
        overOutcomes(n, share, (successes) => {
          const { pValue = 0 } = make(successes, n, share).test({
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

function scoreTest(successes: number, sampleSize: number, share: number, correction: 'none' | 'continuity') {
  const made = shareScore({ successes, sampleSize }, correction, [share])
  if (!made.ok) throw new Error(made.problem.message)
  return made.value
}

function exactTest(
  successes: number,
  sampleSize: number,
  twoSidedRule: 'minimum-likelihood' | 'doubled',
  observed: 'whole' | 'half',
) {
  return shareExact({ successes, sampleSize }, { twoSidedRule, observed }, 'two-sided')
}
