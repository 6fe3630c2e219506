import { resultOf } from '@tests/reference/answers'
import { Comparison, readReference, TOLERANCE } from '@tests/reference/reference'
import type { CheckDocument } from '../terms/request'

type Figures = Readonly<Record<string, string>>
type Case = Readonly<{
  id: string
  data: readonly string[]
  mu0: string
  n_nonzero: string
  has_ties: boolean
  w_plus: string
  exact?: Figures
  normal: Figures
  sign_test: Figures
}>

const { rank_tests: cases } = readReference<Readonly<{ rank_tests: readonly Case[] }>>('mean_tests.json')
const comparison = new Comparison()
afterAll(() => comparison.report())

const ALTERNATIVES = [
  ['less', 'p_less'],
  ['greater', 'p_greater'],
  ['two-sided', 'p_two_sided'],
] as const

type Tied = Readonly<{ id: string; values: readonly string[]; claimed: string; expected: Figures }>
const { cases: tied } = readReference<Readonly<{ cases: readonly Tied[] }>>('signed_rank_ties.json')

describe.each(tied.map((row) => [row.id, row] as const))('given its ties, %s', (id, row) => {
  test.each(ALTERNATIVES)('signed-rank test, %s', (alternative, key) => {
    const { test: figures } = resultOf({
      claim: { parameter: 'median', relation: 'equal-to', value: Number(row.claimed) },
      evidence: { kind: 'readings', values: row.values.map(Number) },
      test: { alternative, method: 'signed-rank' },
    })
    expect(figures.statistic).toBe(Number(row.expected.w_plus))
    expect(figures.distribution).toMatchObject({ name: 'signed-rank', n: Number(row.expected.n_nonzero) })
    const compared = { actual: figures.pValue, expected: row.expected[key] }
    comparison.close('signed-rank, with ties: p', id, compared, 1e-12)
    expect(new Set(figures.ways.map(({ rejects }) => rejects)).size).toBe(1)
  })
})

describe.each(cases.map((row) => [row.id, row] as const))('%s', (id, row) => {
  const resultWith = (test: NonNullable<CheckDocument['test']>) =>
    resultOf({
      claim: { parameter: 'median', relation: 'equal-to', value: Number(row.mu0) },
      evidence: { kind: 'readings', values: row.data.map(Number) },
      test,
    })
  const isFew = Number(row.n_nonzero) <= 50

  test.each(ALTERNATIVES)('signed-rank test, %s', (alternative, key) => {
    const { test: figures } = resultWith({ alternative, method: 'signed-rank' })
    expect(figures.statistic).toBe(Number(row.w_plus))
    expect(figures.distribution).toMatchObject(
      isFew ? { name: 'signed-rank', n: Number(row.n_nonzero) } : { name: 'normal' },
    )
    // Of few readings with ties the exact figures stand in the other file.
    const expected = isFew ? row.exact?.[key] : row.normal[`${key}_cc`]
    const group = isFew ? 'signed-rank, exact: p' : 'signed-rank, normal: p'
    if (expected !== undefined)
      comparison.close(group, id, { actual: figures.pValue, expected }, TOLERANCE.probability)
    expect(new Set(figures.ways.map(({ rejects }) => rejects)).size).toBe(1)
  })

  test.each(ALTERNATIVES)('sign test, %s', (alternative, key) => {
    const { test: figures } = resultWith({ alternative, method: 'sign' })
    expect(figures.statistic).toBe(Number(row.sign_test.above))
    comparison.close(
      'sign: p',
      id,
      { actual: figures.pValue, expected: row.sign_test[key] },
      TOLERANCE.probability,
    )
    expect(new Set(figures.ways.map(({ rejects }) => rejects)).size).toBe(1)
  })
})
