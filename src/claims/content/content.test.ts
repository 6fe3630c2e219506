import { content } from '@/answers/content'
import type { ContentResult } from '@/claims/checkAnswer'
import { binomial } from '@/statistics/distributions/binomial'
import { normal } from '@/statistics/distributions/normal'
import { type ControlPlan, faultIn, R87, samplingFor, tolerableDeficiency } from '../terms/controlPlan'
import type { ContentDocument } from '../terms/contentRequest'

type Asked = ContentDocument['content']

function controlled(asked: Asked): ContentResult {
  const answered = content({ content: asked })
  if (!answered.ok) throw new Error(answered.error.message)
  return answered
}
function refusal(asked: Readonly<Record<string, unknown>>) {
  const answered = content({ content: asked })
  return answered.ok ? answered.finding.sentence : [answered.error.code, answered.error.path]
}
const packs = (count: number, value = 15) => new Array<number>(count).fill(value)

test('quantities are compared as the decimals written, in whichever unit', () => {
  // 15 kg: T is 150 g. A double puts 15 − 14.85 above 0.15.
  expect(15 - 14.85 > 0.15).toBe(true)
  const atT = controlled({ nominal: 15, unit: 'kg', values: [14.85, 14.8499, 14.7, 14.6999, 15.2, 15.3] })
  expect(atT.content).toMatchObject({
    tolerableDeficiency: 0.15,
    beyondT: { rows: [1, 2, 3] },
    beyondTwiceT: { rows: [3] },
  })
  const inGrams = controlled({
    nominal: 15_000,
    unit: 'g',
    values: [14_850, 14_849.9, 14_700, 14_699.9, 15_200, 15_300],
  })
  expect(inGrams.content.beyondT.rows).toEqual(atT.content.beyondT.rows)
  expect(inGrams.content.beyondTwiceT.rows).toEqual(atT.content.beyondTwiceT.rows)
  // Gross less tare: 15.032 − 0.182 is 14.85 exactly, which doubles miss.
  const net = controlled({ nominal: 15, unit: 'kg', gross: [15.032, 15.0319, 15.4], tare: 0.182 })
  expect(net.content.beyondT.rows).toEqual([1])
})

test('a volume is the net mass over its density', () => {
  // 750 mL of oil at 0.915 g/mL weigh 686.25 g; T is 15 mL.
  const asked: Asked = {
    nominal: 750,
    unit: 'mL',
    gross: [936.25, 922.525, 922.5],
    tare: 250,
    density: 0.915,
  }
  const { content: found } = controlled(asked)
  expect(found.beyondT.rows).toEqual([2])
  expect(found.average.meanError).toBeCloseTo((0 - 15 - 15.02732240437158) / 3, 10)
  // The same in litres, weighed in kg.
  const litres = controlled({
    nominal: 0.75,
    unit: 'L',
    gross: [0.93625, 0.922525, 0.9225],
    tare: 0.25,
    density: 0.915,
  })
  expect(litres.content.beyondT.rows).toEqual([2])
  expect(litres.content.tolerableDeficiency).toBe(0.015)
})

test('a mean that falls exactly on the label meets the first criterion, and one short by the least does not', () => {
  expect(
    controlled({ nominal: 15, unit: 'kg', gross: packs(12, 15.1), tare: packs(12, 0.1) }).content.average,
  ).toMatchObject({
    meanError: 0,
    standardDeviation: 0,
    met: true,
  })
  expect(
    controlled({ nominal: 15, unit: 'kg', gross: packs(12, 15.0999), tare: packs(12, 0.1) }).content.average
      .met,
  ).toBe(false)
})

test('what is set aside is not judged, and is told of', () => {
  const values = [...packs(49, 15.01), 14.2, 14.99]
  const whole = controlled({ nominal: 15, unit: 'kg', lotSize: 300, values })
  expect(whole.finding.outcome).toBe('contradicted')
  const without = controlled({ nominal: 15, unit: 'kg', lotSize: 300, values, setAside: [49] })
  expect(without.content).toMatchObject({ n: 50, plan: { n: 50, allowed: 3, isThePlans: true } })
  expect(without.finding).toMatchObject({ outcome: 'not-contradicted', basis: '1 reading is set aside.' })
})

test('what it would take to pass is enough, and no more than enough', () => {
  const values = [14.6, 14.7, 14.8, 14.82, 14.84, 14.9, 14.95, 15, 15.05, 15.1, 15.2, 15.3]
  const { toPass } = controlled({ nominal: 15, unit: 'kg', values }).content
  const raised = (by: number) =>
    controlled({ nominal: 15, unit: 'kg', values: values.map((value) => Number((value + by).toFixed(9))) })
      .finding.outcome
  expect(toPass.raise).toBeGreaterThan(0)
  expect(raised(toPass.raise + 1e-8)).toBe('not-contradicted')
  expect(raised(toPass.raise - 1e-6)).toBe('contradicted')
})

describe('how often a lot that is short passes', () => {
  const values = Array.from({ length: 80 }, (_, at) => 500 + normal.quantile((at + 0.5) / 80, 'lower') * 6)
  const operating = (plan: ControlPlan) =>
    controlled({ nominal: 500, unit: 'g', lotSize: 1200, values, plan, operating: { samples: 20_000 } })
      .content

  test('by the first criterion it begins with 1 less its level', () => {
    const { points } = operating(R87).operating!
    expect(points[0]!.short).toBe(0)
    expect(points[0]!.average).toBeCloseTo(0.995, 9)
    for (const [at, { average, all }] of points.entries()) {
      if (at === 0) continue
      expect(average).toBeLessThan(points[at - 1]!.average)
      expect(all).toBeLessThanOrEqual(points[at - 1]!.all)
    }
    expect(points.at(-1)!.all).toBeLessThan(0.02)
  })

  test('where only the average can fail, what is drawn agrees with what is worked out', () => {
    const wide = { ...R87, deficiencies: [{ upTo: 50_000, percent: 50 }] }
    for (const { average, all, standardError } of operating(wide).operating!.points)
      expect(Math.abs(all - average)).toBeLessThan(4.5 * standardError)
  })

  test('where only the count can fail, what is drawn is binomial', () => {
    // A test of the average that never fails, and 2T out of reach.
    const lax = { ...R87, averageLevel: 1e-12, deficiencies: [{ upTo: 50_000, quantity: 12 }] }
    const found = operating(lax)
    const sigma = found.average.standardDeviation!
    for (const { short, all, standardError } of found.operating!.points.slice(0, 5)) {
      const probability = normal.tails((-12 + short) / sigma).lower
      const two = (1 - normal.tails((-24 + short) / sigma).lower) ** 80
      const expected = binomial({ trials: 80, probability }).tails(5).lower
      expect(two).toBeGreaterThan(0.97)
      expect(Math.abs(all - expected)).toBeLessThan(4.5 * standardError + (1 - two))
    }
  })

  test('the same seed gives the same figures, and packs without scatter none', () => {
    expect(operating(R87).operating).toEqual(operating(R87).operating)
    expect(
      controlled({ nominal: 500, unit: 'g', values: packs(50, 500), operating: {} }).content.operating,
    ).toBeUndefined()
  })
})

test.each([
  [{ nominal: 15, unit: 'kg' }, 'missing', 'content.values'],
  [{ nominal: 15, unit: 'kg', values: [15], gross: [15], tare: 1 }, 'one-of-two', 'content.values'],
  [{ nominal: 15, unit: 'kg', values: [15], tare: 1 }, 'evidence-does-not-fit', 'content.tare'],
  [{ nominal: 15, unit: 'kg', gross: [15] }, 'missing', 'content.tare'],
  [{ nominal: 15, unit: 'kg', gross: [15, 15], tare: [1] }, 'of-other-length', 'content.tare'],
  [{ nominal: 15, unit: 'kg', gross: [15, 0.9], tare: [1, 1] }, 'tare-above-gross', 'content.gross[1]'],
  [
    { nominal: 15, unit: 'kg', gross: [15], tare: { emptyPacks: packs(9, 0.1) } },
    'too-few-readings',
    'content.tare.emptyPacks',
  ],
  [{ nominal: 15, unit: 'kg', values: [15], density: 1 }, 'units-differ', 'content.density'],
  [{ nominal: 15, unit: 'kg', values: [15], massUnit: 'g' }, 'units-differ', 'content.massUnit'],
  [{ nominal: 750, unit: 'mL', values: [750], massUnit: 'g' }, 'missing', 'content.density'],
  [{ nominal: 51, unit: 'kg', values: [51] }, 'nominal-beyond-plan', 'content.nominal'],
  [{ nominal: 15, unit: 'pint', values: [15] }, 'not-in-list', 'content.unit'],
  [{ nominal: 0, unit: 'kg', values: [15] }, 'out-of-range', 'content.nominal'],
  [{ nominal: 15, unit: 'kg', values: [15, 15], lotSize: 1 }, 'lot-too-small', 'content.lotSize'],
  [{ nominal: 15, unit: 'kg', values: [15], setAside: [1] }, 'out-of-range', 'content.setAside[0]'],
  [{ nominal: 15, unit: 'kg', values: [] }, 'too-few-readings', 'content.values'],
  [{ nominal: 15, unit: 'kg', values: [15], plan: 'mine' }, 'not-in-list', 'content.plan'],
  [
    { nominal: 15, unit: 'kg', values: [15], plan: { ...R87, sampling: [{ from: 10, n: 20, allowed: 1 }] } },
    'control-plan',
    'content.plan.sampling[0].n',
  ],
])('%j is refused as %s at %s', (asked, code, path) => {
  expect(refusal(asked)).toEqual([code, path])
})

test('a lot falls into the row that it is of, at both ends', () => {
  const rows = [99, 100, 500, 501, 3200, 3201, 1e9].map((size) => samplingFor(R87, size)?.n)
  expect(rows).toEqual([undefined, 50, 50, 80, 80, 125, 125])
})

test.each([
  [
    {
      sampling: [
        { from: 1, to: 50, n: 1, allowed: 0 },
        { from: 50, n: 2, allowed: 0 },
      ],
    },
    'lots-overlap',
  ],
  [{ sampling: [{ from: 100, to: 50, n: 10, allowed: 0 }] }, 'not-rising'],
  [
    {
      sampling: [
        { from: 1, n: 1, allowed: 0 },
        { from: 50, n: 2, allowed: 0 },
      ],
    },
    'after-last',
  ],
  [{ sampling: [{ from: 10, n: 10, allowed: 10 }] }, 'allowed-beyond-n'],
  [{ sampling: [{ from: 10, n: 11, allowed: 1 }] }, 'n-beyond-lot'],
  [{ deficiencies: [{ upTo: 50 }] }, 'one-of-two'],
  [{ deficiencies: [{ upTo: 50, quantity: 1, percent: 1 }] }, 'one-of-two'],
  [
    {
      deficiencies: [
        { upTo: 50, quantity: 1 },
        { upTo: 50, quantity: 2 },
      ],
    },
    'not-rising',
  ],
  [{ rounding: [{ step: 1 }, { upTo: 5, step: 1 }] }, 'not-rising'],
] as const)('a plan with %j can’t be followed: %s', (change, name) => {
  expect(faultIn({ ...R87, ...change })?.name).toBe(name)
  expect(faultIn(R87)).toBeUndefined()
})

test('a plan that does not round leaves the deficiency as it is', () => {
  expect(tolerableDeficiency({ ...R87, rounding: [] }, 175)).toBe(7.875)
  expect(tolerableDeficiency({ ...R87, rounding: [{ upTo: 100, step: 1 }] }, 175)).toBe(7.875)
})

test('one pack has no scatter to test its average by: only how far it is short is judged', () => {
  const one = (value: number) => controlled({ nominal: 15, unit: 'kg', values: [value] })
  expect(one(14.9).content.average).not.toHaveProperty('met')
  expect(one(14.9).finding.outcome).toBe('not-contradicted')
  expect(one(14.6).finding.outcome).toBe('contradicted')
  expect(one(14.9).finding.sentence).toContain('none is short by more than 0.15\u202fkg, where none may be;')
  expect(
    one(14.9)
      .warnings.map(({ message }) => message)
      .join(' '),
  ).toContain('even one of 1 pack would be')
  const none = content({ content: { nominal: 15, unit: 'kg', values: [15], setAside: [0] } })
  expect(none).toMatchObject({ error: { path: 'content.values' } })
  expect(none.ok || none.error.message).toContain('at least 1')
})
