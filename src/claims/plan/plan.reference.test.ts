import { figuresOf } from '@tests/reference/answers'
import { Comparison, readReference, TOLERANCE } from '@tests/reference/reference'
import type { PlanFigures } from './planRequest'

type Row = Readonly<Record<string, string>>
const reference = readReference<Readonly<Record<string, readonly Row[]>>>('power.json')
const comparison = new Comparison()
afterAll(() => comparison.report())

const RELATION = { less: 'at-least', greater: 'at-most', 'two-sided': 'equal-to' } as const
const METHOD: Readonly<Record<string, string>> = { t: 't', z: 'z', chi2_variance: 'chi-square' }
const planned = (plan: object) => figuresOf<PlanFigures>({ plan })

/** A plan for the row; the reference gives effects in units of σ, and spreads as ratios. */
function planFor(row: Row, truth: string | undefined) {
  const isSpread = row.test === 'chi2_variance'
  const alternative = row.alternative as keyof typeof RELATION
  return {
    claim: {
      parameter: isSpread ? 'standard-deviation' : 'mean',
      relation: RELATION[alternative],
      value: isSpread ? 1 : 0,
    },
    test: { method: METHOD[row.test!], significanceLevel: Number(row.alpha) },
    assume: isSpread
      ? { ...(truth === undefined ? {} : { standardDeviation: Number(truth) }) }
      : { standardDeviation: 1, ...(truth === undefined ? {} : { value: Number(truth) }) },
  }
}

const isPlanned = (row: Row) => row.test! in METHOD
const named = (rows: readonly Row[]) => rows.map((row) => [row.id!, row] as const)

test.each(named(reference.power!.filter(isPlanned)))('power, %s', (id, row) => {
  const { power } = planned({
    ...planFor(row, row.effect ?? row.sigma_ratio),
    find: 'power',
    n: Number(row.n),
  })
  comparison.close(`power of ${row.test}`, id, { actual: power, expected: row.power }, TOLERANCE.power)
})

test.each(named(reference.required_n!.filter(isPlanned)))('sample size, %s', (id, row) => {
  const figures = planned({
    ...planFor(row, row.effect ?? row.sigma_ratio),
    find: 'n',
    power: Number(row.target),
  })
  expect(figures.n).toBe(Number(row.n))
  comparison.close(
    `power at the size for ${row.test}`,
    id,
    { actual: figures.power, expected: row.power_at_n },
    TOLERANCE.power,
  )
})

test.each(named(reference.minimal_detectable!.filter(isPlanned)))('difference, %s', (id, row) => {
  const { difference } = planned({
    ...planFor(row, undefined),
    find: 'difference',
    n: Number(row.n),
    power: Number(row.target),
  })
  const expected =
    row.effect === undefined ? Math.abs(Number(row.sigma_ratio) - 1) : Math.abs(Number(row.effect))
  comparison.close(`difference for ${row.test}`, id, { actual: difference, expected }, TOLERANCE.power)
})

function shareFor(row: Row, method: 'score-z' | 'exact-binomial') {
  return {
    claim: {
      parameter: 'proportion',
      relation: RELATION[row.alternative as keyof typeof RELATION],
      value: Number(row.p0),
    },
    test: { method, significanceLevel: Number(row.alpha) },
    assume: { value: Number(row.p1) },
  }
}

test.each(named(reference.proportion_power!))('power for a share, %s', (id, row) => {
  const find = { find: 'power', n: Number(row.n) }
  comparison.close(
    'power of score z',
    id,
    { actual: planned({ ...shareFor(row, 'score-z'), ...find }).power, expected: row.normal_formula_power },
    TOLERANCE.power,
  )
  comparison.close(
    'power of exact binomial',
    id,
    { actual: planned({ ...shareFor(row, 'exact-binomial'), ...find }).power, expected: row.exact_power },
    TOLERANCE.power,
  )
})

test.each(named(reference.proportion_n!))('sample size for a share, %s', (id, row) => {
  const find = { find: 'n', power: Number(row.target) }
  const score = planned({ ...shareFor(row, 'score-z'), ...find })
  expect(score.n).toBe(Number(row.n_normal_formula))
  comparison.close(
    'power of score z',
    id,
    { actual: score.power, expected: row.normal_formula_power_at_n },
    TOLERANCE.power,
  )
  const exact = planned({ ...shareFor(row, 'exact-binomial'), ...find })
  expect([exact.firstN, exact.n]).toEqual([Number(row.n_exact_first), Number(row.n_exact_stays)])
  comparison.close(
    'power of exact binomial',
    id,
    { actual: exact.power, expected: row.exact_power_at_stays },
    TOLERANCE.power,
  )
})
