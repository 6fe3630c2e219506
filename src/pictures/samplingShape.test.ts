import { testedBy } from '@tests/reference/answers'
import type { CheckDocument } from '@/claims/terms/request'
import { samplingPicture } from './samplingPicture'
import { areaUnder, outlineOf, samplingShape, withArrow } from './samplingShape'

function pictureOf(document: CheckDocument) {
  const result = testedBy(document)
  return samplingPicture(result, 0)!
}

const share = (relation: 'at-least' | 'at-most' | 'equal-to'): CheckDocument => ({
  claim: { parameter: 'proportion', relation, value: 0.5 },
  evidence: { kind: 'count', n: 20, successes: 4 },
  test: { method: 'exact-binomial', twoSidedRule: 'doubled' },
})
const mean = (value: number): CheckDocument => ({
  claim: { parameter: 'mean', relation: 'at-least', value },
  evidence: { kind: 'readings', values: [14.93, 15.02, 14.88, 14.91, 14.97] },
})

// Twenty tosses at one half: P(X ≤ 5) = 0.0207 and P(X ≤ 6) = 0.0577, summed from 2⁻²⁰ times the binomial coefficients.
test('a bar reaches half a unit to each side of its count', () => {
  const picture = pictureOf(share('at-least'))
  const { min, max } = picture
  expect(samplingShape(picture)).toMatchObject({
    x: { min: min - 0.5, max: max + 0.5 },
    rejected: [[min - 0.5, 5.5]],
    counted: [[min - 0.5, 4.5]],
    statistic: { at: 4, beyond: undefined, isLeft: true },
    limits: [{ x: 5, end: 'lower', row: 1 }],
  })
  expect(samplingShape(pictureOf(share('at-most')))).toMatchObject({
    rejected: [[14.5, max + 0.5]],
    limits: [{ x: 15, end: 'upper', row: 1 }],
  })
  expect(samplingShape(pictureOf(share('equal-to')))).toMatchObject({
    rejected: [
      [min - 0.5, 5.5],
      [14.5, max + 0.5],
    ],
    limits: [
      { x: 5, end: 'lower', row: 1 },
      { x: 15, end: 'upper', row: 2 },
    ],
  })
  expect(outlineOf(picture, [3.5, 4.5]).map(({ x }) => x)).toEqual([3.5, 3.5, 4.5, 4.5])
  expect(samplingShape(picture).top).toBe(picture.heightAt(10))
})

// At one half the outcomes as far out at the other end are the mirror image: 16 of 20 for 4 of 20.
test.each([4, 16])('a doubled test counts both ends: %d of 20', (successes) => {
  const document = share('equal-to')
  const picture = pictureOf({ ...document, evidence: { kind: 'count', n: 20, successes } })
  expect(picture.counted).toEqual({ lower: 4, upper: 16 })
})

// At three tenths of 20: P(X ≤ 1) = 0.0076, P(X ≤ 2) = 0.0355, P(X ≥ 10) = 0.0480, P(X ≥ 11) = 0.0171, by Python's math.comb.
test.each([
  [1, { lower: 1, upper: 12 }],
  [2, { lower: 2, upper: 11 }],
  [10, { lower: 2, upper: 10 }],
  [11, { lower: 1, upper: 11 }],
])('what is counted at the other end is no more probable: %d of 20', (successes, counted) => {
  const { claim, test: options } = share('equal-to')
  const evidence = { kind: 'count', n: 20, successes } as const
  expect(pictureOf({ claim: { ...claim, value: 0.3 }, evidence, test: options }).counted).toEqual(counted)
})

test('a curve ends where it is cut, and a statistic beyond it stands at its end', () => {
  const picture = pictureOf(mean(15))
  const { rejected, x, statistic } = samplingShape(picture)
  expect(x).toEqual({ min: picture.min, max: picture.max })
  expect(rejected).toEqual([[picture.min, picture.rejected.lower]])
  expect(statistic).toEqual({ at: picture.statistic, beyond: undefined, isLeft: true })
  const under = areaUnder(picture, rejected[0]!)
  expect([under[0], under.at(-1)]).toEqual([
    { x: picture.min, y: 0 },
    { x: picture.rejected.lower, y: 0 },
  ])
  expect(under.at(-2)).toEqual({ x: picture.rejected.lower, y: picture.heightAt(picture.rejected.lower!) })
  const far = pictureOf(mean(99))
  expect(samplingShape(far).statistic).toEqual({ at: far.min, beyond: 'left', isLeft: true })
  expect(samplingShape(pictureOf(mean(-99))).statistic).toMatchObject({ beyond: 'right', isLeft: false })
})

test('an arrow points to where the statistic lies', () => {
  expect(withArrow('t', undefined)).toBe('t')
  expect(withArrow('t', 'left')).toBe('← t')
  expect(withArrow('t', 'right')).toBe('t →')
})
