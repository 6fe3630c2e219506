import { testedBy } from '@tests/reference/answers'
import type { CheckDocument } from '@/claims/terms/request'
import { partsOf } from '@/claims/testParts'
import { distributionByName } from '@/statistics/distributions/byName'
import type { NamedDistribution } from '@/statistics/distributions/named'
import { distributionShape } from './distributionShape'
import { samplingPicture } from './samplingPicture'
import { outlineOf } from './samplingShape'

function pictureOf(document: CheckDocument, place: 0 | 1 = 0) {
  const result = testedBy(document)
  return { result, picture: samplingPicture(result, place) }
}

/** What lies under the points, by trapezia or by adding up bars. */
function area(
  { shape, points }: NonNullable<ReturnType<typeof samplingPicture>>,
  isIn: (x: number) => boolean,
) {
  if (shape === 'bars') return points.filter(({ x }) => isIn(x)).reduce((sum, { y }) => sum + y, 0)
  return points.slice(1).reduce((sum, { x, y }, i) => {
    const before = points[i]!
    return isIn((x + before.x) / 2) ? sum + ((x - before.x) * (y + before.y)) / 2 : sum
  }, 0)
}

const readings = [14.93, 15.02, 14.88, 14.91, 14.97, 14.86, 15.04, 14.9, 14.95, 14.99]
const mean = (relation: 'at-least' | 'equal-to' | 'at-most'): CheckDocument => ({
  claim: { parameter: 'mean', relation, value: 15 },
  evidence: { kind: 'readings', values: readings },
})
const share = (relation: 'at-least' | 'equal-to', successes: number): CheckDocument => ({
  claim: { parameter: 'proportion', relation, value: 0.9 },
  evidence: { kind: 'count', n: 40, successes },
})
const spread: CheckDocument = {
  claim: { parameter: 'standard-deviation', relation: 'at-most', value: 0.05 },
  evidence: { kind: 'readings', values: readings },
}

test.each([
  ['t, left', mean('at-least')],
  ['t, right', mean('at-most')],
  ['t, both', mean('equal-to')],
  ['chi-square', spread],
  ['exact binomial', share('at-least', 33)],
  [
    'exact binomial, both by likelihood',
    { ...share('equal-to', 33), test: { twoSidedRule: 'minimum-likelihood' } },
  ],
  ['exact binomial, both doubled', { ...share('equal-to', 40), test: { twoSidedRule: 'doubled' } }],
  ['score z', { ...share('at-least', 33), test: { method: 'score-z' } }],
  [
    'signed-rank, exact',
    {
      claim: { parameter: 'median', relation: 'at-least', value: 14.985 },
      evidence: { kind: 'readings', values: readings },
      test: { method: 'signed-rank' },
    },
  ],
  [
    'signed-rank with ties',
    {
      claim: { parameter: 'median', relation: 'at-least', value: 14.96 },
      evidence: { kind: 'readings', values: readings },
      test: { method: 'signed-rank' },
    },
  ],
] as const satisfies readonly (readonly [string, CheckDocument])[])(
  'the whole picture is 1, and what is counted is the p-value: %s',
  (name, document) => {
    const { result, picture } = pictureOf(document)
    expect(area(picture!, () => true)).toBeCloseTo(1, 2)
    const { lower = -Infinity, upper = Infinity } = picture!.counted
    const counted = area(picture!, (x) => x <= lower || x >= upper)
    // Doubling the smaller tail is not the sum of outcomes on both sides.
    if (name.endsWith('doubled')) expect(counted).toBeLessThanOrEqual(result.test.pValue! + 1e-9)
    else expect(Math.abs(counted - result.test.pValue!)).toBeLessThan(0.03)
  },
)

test('bars of tied ranks stand a half apart, and do not overlap', () => {
  const tied: CheckDocument = {
    claim: { parameter: 'median', relation: 'at-least', value: 14.95 },
    evidence: { kind: 'readings', values: [14.9, 15, 14.9, 15.1, 14.8, 15.05] },
    test: { method: 'signed-rank' },
  }
  const { result, picture } = pictureOf(tied)
  expect('distribution' in result.test && result.test.distribution).toMatchObject({
    name: 'signed-rank',
    ranks: [2, 2, 2, 4, 5.5, 5.5],
  })
  const { points, barWidth } = picture!
  expect(barWidth).toBe(0.5)
  expect(points[1]!.x - points[0]!.x).toBe(0.5)
  const outline = outlineOf(picture!)
  for (const [at, { x }] of outline.slice(1).entries()) expect(x).toBeGreaterThanOrEqual(outline[at]!.x)
  // None of six signs is positive in one of 2⁶ choices.
  expect(points[0]!.y).toBeCloseTo(1 / 64, 12)
})

test('what is rejected begins at the critical values, and has no more than the level', () => {
  const { result, picture } = pictureOf(mean('equal-to'))
  expect([picture!.rejected.lower, picture!.rejected.upper]).toEqual(result.test.criticalValues)
  const { lower, upper } = picture!.rejected
  expect(area(picture!, (x) => x <= lower! || x >= upper!)).toBeCloseTo(0.05, 2)
})

test('the axis reads in the claim’s unit: the critical values are the critical estimates', () => {
  for (const document of [
    mean('at-least'),
    spread,
    { ...spread, claim: { parameter: 'variance', relation: 'at-most', value: 0.0025 } } as const,
    share('at-least', 33),
    { ...share('at-least', 33), test: { method: 'score-z' } } as const,
  ]) {
    const { result, picture } = pictureOf(document)
    result.test.criticalValues.forEach((value, i) =>
      expect(picture!.estimateAt!(value)).toBeCloseTo(result.test.criticalEstimates[i]!, 10),
    )
  }
})

test('a tolerance has a picture for each of its limits', () => {
  const document: CheckDocument = {
    claim: { parameter: 'mean', relation: 'within', value: 15, tolerance: { below: 0.2, above: 0.2 } },
    evidence: { kind: 'readings', values: readings },
  }
  const [lower, upper] = [pictureOf(document, 0), pictureOf(document, 1)]
  expect(lower.picture!.statistic).toBe(partsOf(lower.result.test)[0]!.statistic)
  expect(lower.picture!.rejected.upper).toBeDefined()
  expect(upper.picture!.rejected.lower).toBeDefined()
})

test('a statistic that is very far out does not flatten the curve', () => {
  const { picture } = pictureOf({
    ...mean('at-least'),
    claim: { parameter: 'mean', relation: 'at-least', value: 99 },
  })
  expect(picture!.statistic).toBeLessThan(picture!.min)
})

const SKEWED = [0.2, 0.3, 0.5, 0.7, 0.9, 1.3, 1.8, 2.6, 3.9, 6.1, 0.4, 1.1]

test.each([
  ['mean', 'less'],
  ['mean', 'two-sided'],
  ['median', 'greater'],
] as const)(
  'the resamples of a %s are drawn, with what is rejected and what counts %s',
  (parameter, alternative) => {
    const result = testedBy({
      claim: { parameter, relation: 'equal-to', value: 2 },
      evidence: { kind: 'readings', values: SKEWED },
      test: { method: 'bootstrap', alternative, resamples: 1999 },
    })
    const picture = samplingPicture(result)!
    const [part] = partsOf(result.test)
    const { drawn } = part!.figures as Readonly<{
      drawn: Readonly<{ width: number; counts: readonly number[] }>
    }>
    const total = drawn.counts.reduce((sum, count) => sum + count, 0)
    expect(total).toBe(1999)
    expect(picture.statistic).toBe(result.estimate.value)
    expect([picture.rejected.lower, picture.rejected.upper].filter((end) => end !== undefined)).toEqual(
      part!.criticalValues,
    )
    /** How many resamples lie in a stretch, by the picture. */
    const inside = (from: number, to: number) =>
      drawn.counts.reduce((sum, count, at) => {
        const left = picture.points[1]!.x + at * drawn.width
        const share = (Math.min(to, left + drawn.width) - Math.max(from, left)) / drawn.width
        return sum + count * Math.max(0, Math.min(1, share))
      }, 0) / total
    const { lower = -Infinity, upper = Infinity } = picture.counted
    const shaded = inside(-Infinity, lower) + inside(upper, Infinity)
    // Of a mean the p-value is that share, but for the sample itself and what a stretch holds.
    if (parameter === 'mean') expect(Math.abs(shaded - part!.pValue!)).toBeLessThan(0.01)
    expect(picture.counted.lower === undefined).toBe(alternative === 'greater')
  },
)

test('a curve that rises without end, or has a long tail, leaves room for the rest', () => {
  const shapeOf = (named: NamedDistribution) =>
    distributionShape(distributionByName(named), { step: undefined, statistic: 1, ends: {} })
  const steep = shapeOf({ name: 'chi-square', df: 1 })
  const heights = steep.points.map(({ y }) => y)
  expect(Math.max(...heights)).toBeCloseTo(1.25 * Math.max(...heights.slice(1, -1)), 10)
  expect(steep.heightAt(1e-9)).toBe(heights[0])
  const long = shapeOf({ name: 't', df: 1 })
  // The quartiles of t with one degree of freedom are −1 and 1.
  expect([long.min, long.max]).toEqual([expect.closeTo(-16, 9), expect.closeTo(16, 9)])
})
