import { answer } from '@/answers/answer'
import { figuresOf } from '@tests/reference/answers'
import { Comparison, readReference, TOLERANCE } from '@tests/reference/reference'
import type { PlanFigures } from './planRequest'

// The F test, the sign test and the exact test of a share of a lot, against sums and integrals by mpmath (planning.py).

type Size = Readonly<{ firstN: number; n: number; power: string }> | null
type Row = Readonly<{
  id: string
  alternative: 'less' | 'greater' | 'two-sided'
  value: string
  truth?: string
  standardDeviation?: string
  lotSize?: number
  marked?: number
  n: number
  alpha: string
  power: string
  target?: string
  size?: Size
}>

const reference = readReference<Readonly<Record<'ratio' | 'sign' | 'lot', readonly Row[]>>>('planning.json')
const comparison = new Comparison()
afterAll(() => comparison.report())

const RELATION = { less: 'at-least', greater: 'at-most', 'two-sided': 'equal-to' } as const
const PARAMETER = { ratio: 'variance-ratio', sign: 'median', lot: 'proportion' } as const
const METHOD = { ratio: 'f', sign: 'sign', lot: 'hypergeometric' } as const
const rows = (['ratio', 'sign', 'lot'] as const).flatMap((kind) =>
  reference[kind].map((row) => [row.id, kind, row] as const),
)

function planFor(kind: keyof typeof METHOD, row: Row) {
  const { alternative, value, lotSize, marked, standardDeviation, alpha } = row
  return {
    claim: { parameter: PARAMETER[kind], relation: RELATION[alternative], value: Number(value) },
    test: { significanceLevel: Number(alpha) },
    assume: {
      value: marked === undefined ? Number(row.truth) : marked / lotSize!,
      ...(standardDeviation === undefined ? {} : { standardDeviation: Number(standardDeviation) }),
      ...(lotSize === undefined ? {} : { lotSize }),
    },
  }
}
const planned = (plan: object) => figuresOf<PlanFigures>({ plan })

test.each(rows)('power, %s', (id, kind, row) => {
  const { power, method } = planned({ ...planFor(kind, row), find: 'power', n: row.n })
  expect(method).toBe(METHOD[kind])
  comparison.close(`power of ${method}`, id, { actual: power, expected: row.power }, TOLERANCE.power)
})

test.each(rows.filter(([, , { size }]) => size !== undefined))('sample size, %s', (id, kind, row) => {
  const plan = { ...planFor(kind, row), find: 'n', power: Number(row.target) }
  const { size } = row
  if (size === null) {
    // Within what the reference looked at: the lot, or 420 units.
    const found = answer({ plan })
    const n = found.ok && 'plan' in found ? found.plan.n : Infinity
    expect(n).toBeGreaterThan(row.lotSize ?? 420)
    return
  }
  const figures = planned(plan)
  expect([figures.firstN, figures.n]).toEqual([size!.firstN, size!.n])
  comparison.close(
    `power at the size for ${kind}`,
    id,
    { actual: figures.power, expected: size!.power },
    TOLERANCE.power,
  )
})

test.each(rows)(
  'the difference that is found reaches the power, and no smaller one does, %s',
  (_, kind, row) => {
    const { assume, ...plan } = planFor(kind, row)
    const power = 0.8
    const found = answer({
      plan: { ...plan, assume: { ...assume, value: undefined }, find: 'difference', n: row.n, power },
    })
    if (!found.ok) {
      expect(found.error.code).toBe('not-reached')
      return
    }
    const { difference } = (found as unknown as { plan: PlanFigures }).plan
    const value = Number(row.value)
    const powerAt = (distance: number) => {
      const at = (truth: number) =>
        truth < 0 || (kind === 'lot' && truth > 1) || (kind === 'ratio' && truth <= 0)
          ? 0
          : planned({ ...plan, assume: { ...assume, value: truth }, find: 'power', n: row.n }).power
      const up = row.alternative === 'less' ? 0 : at(value + distance)
      // Of a ratio or a median that is looked for both ways, the way up.
      return row.alternative === 'greater' || (row.alternative === 'two-sided' && kind !== 'lot')
        ? up
        : Math.max(up, at(value - distance))
    }
    expect(powerAt(difference)).toBeGreaterThanOrEqual(power - 1e-9)
    const less = kind === 'lot' ? difference - 1 / row.lotSize! : difference * (1 - 1e-9)
    if (less > 1e-9) expect(powerAt(less)).toBeLessThan(power)
  },
)

test('a share of a lot is planned exactly where its size is stated, and no unit beyond it', () => {
  const plan = (more: object) => ({
    plan: {
      claim: { parameter: 'proportion', relation: 'at-least', value: 0.95 },
      assume: { value: 0.85, lotSize: 101 },
      find: 'power',
      ...more,
    },
  })
  // 85.85 units: the lot of 86 is the nearer to what is claimed.
  const { difference, power } = planned(plan({ n: 40 }).plan)
  expect(difference).toBeCloseTo(0.95 - 86 / 101, 14)
  expect(power).toBe(planned(plan({ n: 40, assume: { value: 86 / 101, lotSize: 101 } }).plan).power)
  expect(planned(plan({ n: 101 }).plan).power).toBe(1)
  expect(answer(plan({ n: 102 }))).toMatchObject({ ok: false, error: { path: 'plan.n' } })
  expect(answer(plan({ n: 40, test: { method: 'hypergeometric' }, assume: { value: 0.85 } }))).toMatchObject({
    ok: false,
    error: { code: 'missing', path: 'plan.assume.lotSize' },
  })
})

test('no more units are planned than the lot has', () => {
  const plan = (lotSize: number) => ({
    plan: {
      claim: { parameter: 'mean', relation: 'at-least', value: 15 },
      assume: { value: 14.9, standardDeviation: 0.18, lotSize },
      ...{ find: 'n', power: 0.9 },
    },
  })
  const { n } = planned(plan(1000).plan)
  expect(planned(plan(n).plan).n).toBe(n)
  expect(answer(plan(n - 1))).toMatchObject({ ok: false, error: { code: 'not-reached' } })
})
