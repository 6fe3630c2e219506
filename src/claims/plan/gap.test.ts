import type { Claim } from '../terms/claim'
import { planForGap, truthsAt } from './gap'

const claim = (change: Partial<Claim>): Claim => ({
  ...{ parameter: 'mean', relation: 'at-least', value: 15 },
  ...change,
})

test.each<readonly [string, Partial<Claim>, number, readonly number[]]>([
  ['a shortfall', {}, 0.1, [14.9]],
  ['an excess', { relation: 'at-most' }, 0.1, [15.1]],
  ['a claim that must be shown', { burden: 'substantiate' }, 0.1, [15.1]],
  ['a mean either way, which is the same', { relation: 'equal-to' }, 0.1, [15.1]],
  [
    'beyond a tolerance',
    { relation: 'within', tolerance: { below: 0.2, above: 0.3 }, burden: 'challenge' },
    0.1,
    [15.4],
  ],
  ['inside a tolerance', { relation: 'within', tolerance: { below: 0.2, above: 0.3 } }, 0.1, [15.1]],
  ['a share either way', { parameter: 'proportion', relation: 'equal-to', value: 0.3 }, 0.1, [0.2, 0.4]],
  ['a share near its end', { parameter: 'proportion', relation: 'equal-to', value: 0.95 }, 0.1, [0.85]],
  [
    'a ratio either way',
    { parameter: 'variance-ratio', relation: 'different-from', value: 1 },
    0.5,
    [0.5, 1.5],
  ],
  [
    'a ratio that can not be so small',
    { parameter: 'variance-ratio', relation: 'equal-to', value: 1 },
    1,
    [2],
  ],
  ['no hypotheses', { relation: 'different-from', burden: 'challenge' }, 0.1, []],
])('the truth that lies a gap away: %s', (_, change, gap, expected) => {
  expect(truthsAt(claim(change), gap)).toEqual(expected)
})

test('no power is above one', () => {
  const asked = {
    claim: claim({ relation: 'within', tolerance: { below: 1, above: 1 } }),
    ...{ test: {}, assume: { standardDeviation: 1 } },
  }
  for (const n of [1000, 100_000, 5_000_000])
    expect(planForGap(asked, 0.5, n)).toMatchObject({ ok: true, value: { power: 1 } })
})

test('the power for a gap is that on the harder side', () => {
  const asked = {
    claim: claim({ parameter: 'proportion', relation: 'equal-to', value: 0.3 }),
    ...{ test: { method: 'exact-binomial' as const }, assume: {} },
  }
  const power = (gap: number) => {
    const found = planForGap(asked, gap, 60)
    if (!found?.ok) throw new Error(found?.problem.code)
    return found.value
  }
  // Power of the exact test at 0.2 and at 0.4, by sums of SciPy's binom.pmf over the counts whose smaller tail, doubled, is at most 0.05.
  expect(power(0.1)).toMatchObject({ method: 'exact-binomial', n: 60 })
  expect(power(0.1).power).toBeCloseTo(0.3234375633596379, 12)
  expect(planForGap(asked, 0.8, 60)).toBeUndefined()
  // A spread below nothing is no assumption: told, and not thrown.
  const spread = claim({ parameter: 'standard-deviation', value: 0.3 })
  expect(planForGap({ claim: spread, test: {}, assume: {} }, 0.4, 60)).toMatchObject({ ok: false })
  expect(planForGap(asked, 0.1, 2.5)).toMatchObject({ ok: false, problem: { code: 'out-of-range' } })
})
