import * as z from 'zod/mini'
import { hypergeometric as hypergeometricDistribution } from '@/statistics/distributions/hypergeometric'
import { countTest, tailRule } from '@/statistics/inference/countTest'
import { type Ends, type Interval, intervalFrom, mapEnds } from '@/statistics/inference/interval'
import type { PointQuestion, PointTest } from '@/statistics/inference/procedure'
import type { CountSample } from '@/statistics/inference/shareInterval'
import { isWithin, lowerTail, upperTail } from '@/statistics/inference/tailProbability'
import { firstWhole, lastWhole } from '@/statistics/numeric/wholeSearch'
import { lotSizes, MAX_LOT_UNITS, powerOfLot } from '@/statistics/power/lotPower'
import type { MethodDefinition } from '../terms/definition'
import { failure, success } from '../terms/outcome'
import type { PlannedQuestion } from '../terms/planning'
import { problems } from '../terms/problems'
import { countSteps } from '../working/countSteps'
import { boundaryLot, possibleShare } from './boundaryLot'
import { shareOfUnits } from './shareOfUnits'

const figures = z.strictObject({})
type Figures = z.infer<typeof figures>

type LotSample = CountSample & Readonly<{ lotSize: number }>

/**
 * The exact test of a share of a finite lot: the count x against hypergeometric(N, D, n).
 *
 * D is the boundary lot: the smallest whole number of marked units that makes a share of at least p₀ true, or the
 * largest that makes one of at most p₀ true. Two-sided by the smaller of the two tails, doubled. The interval inverts
 * the one-sided tests; its ends are shares of the lot. Problems: `lot-size-needed`.
 *
 * @see ISO 2859-2:1985; W. Cochran (1977), Sampling Techniques, 3.6
 */
export const hypergeometric: MethodDefinition<'hypergeometric', Figures, 'counted'> = {
  name: 'hypergeometric',
  parameters: ['proportion'],
  needs: ['lot-size'],
  options: [],
  restsOn: 'none',
  isExact: () => true,
  allowsForLot: () => true,
  dependsOn: 'values',
  work: { looks: 1 },
  interval: 'own-or-chosen',
  turnedRound: [],
  statistic: 'count',
  symbol: 'x',
  formula: 'x of n against hypergeometric(N, D, n)',
  source: 'ISO 2859 family; Cochran (1977), Sampling Techniques',
  figures,
  make({ sample: { counted, lotSize } }) {
    const { successes, sampleSize } = counted
    if (lotSize === undefined) return failure(problems.lotSizeNeeded())
    const share = successes / sampleSize
    const interval = lotInterval({ ...counted, lotSize })
    const finitePopulationFactor = (lotSize - sampleSize) / Math.max(1, lotSize - 1)
    return success({
      estimate: share,
      standardError: Math.sqrt(((share * (1 - share)) / sampleSize) * finitePopulationFactor),
      differenceFrom: (value) => share - value,
      test: (question) => testAt({ ...counted, lotSize }, question),
      mirror: interval,
      interval,
    })
  },
  working: ({ part }) => countSteps('units-counted', part),
  picture: { estimateAt: shareOfUnits },
  planning: {
    leastSize: 1,
    power: (question) => powerOfLot({ ...question, ...boundaries(question) }),
    sizes: (question) => lotSizes({ ...question, ...boundaries(question) }),
    maxUnits: MAX_LOT_UNITS,
    plansRange: false,
    isBothWays: true,
    seek: 'units-of-lot',
  },
}

function boundaries(asked: Omit<PlannedQuestion, 'n'>) {
  const { value, truth, lotSize } = asked
  return {
    fewest: boundaryLot(value, lotSize, 'less'),
    most: boundaryLot(value, lotSize, 'greater'),
    marked: Math.round(possibleShare(truth, asked) * lotSize),
  }
}

function testAt(
  { successes, sampleSize: n, lotSize }: LotSample,
  question: PointQuestion,
): PointTest<Figures> {
  const { value, alternative } = question
  const [fewest, max] = [boundaryLot(value, lotSize, 'less'), boundaryLot(value, lotSize, 'greater')]
  const tailsAt = (marked: number) => hypergeometricDistribution({ lotSize, marked, sampleSize: n }).tails
  const [below, above] = [tailsAt(fewest), tailsAt(max)]
  const atMost = (count: number) => lowerTail(below(count))
  const atLeast = (count: number) => upperTail(above(count - 1))
  const isLower =
    alternative === 'less' ||
    (alternative === 'two-sided' && atMost(successes).logPValue <= atLeast(successes).logPValue)
  return countTest({
    count: successes,
    rule: tailRule({ alternative, min: 0, max: n, atMost, atLeast }),
    question,
    distribution: { name: 'hypergeometric', lotSize, marked: isLower ? fewest : max, n },
    estimateLimits: (limits) => mapEnds(limits, (count) => count / n),
    figures: {},
  })
}

/** The ends are lots that the test does not reject, so they belong to the interval. */
function holdsShare({ lower, upper }: Ends, value: number, lotSize: number): boolean {
  const units = (end: number) => Math.round(end * lotSize)
  return (
    (lower === undefined || boundaryLot(value, lotSize, 'greater') >= units(lower)) &&
    (upper === undefined || boundaryLot(value, lotSize, 'less') <= units(upper))
  )
}

function lotInterval({ successes: x, sampleSize: n, lotSize }: LotSample): Interval {
  const tailsAt = (marked: number) => hypergeometricDistribution({ lotSize, marked, sampleSize: n })
  const [fewest, max] = [x, lotSize - (n - x)]
  const endsAt = intervalFrom({
    lower: (tail) =>
      firstWhole((marked) => !isWithin(tailsAt(marked).tails(x - 1).upper, tail), fewest, max) / lotSize,
    upper: (tail) =>
      lastWhole((marked) => !isWithin(tailsAt(marked).tails(x).lower, tail), fewest, max) / lotSize,
  })
  return { method: 'hypergeometric', endsAt, holds: (ends, value) => holdsShare(ends, value, lotSize) }
}
