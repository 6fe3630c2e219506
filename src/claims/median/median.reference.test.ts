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

describe.each(cases.map((row) => [row.id, row] as const))('%s', (id, row) => {
  const resultWith = (test: NonNullable<CheckDocument['test']>) =>
    resultOf({
      claim: { parameter: 'median', relation: 'equal-to', value: Number(row.mu0) },
      evidence: { kind: 'readings', values: row.data.map(Number) },
      test,
    })

  test.each(ALTERNATIVES)('signed-rank test, %s', (alternative, key) => {
    const { test: figures } = resultWith({ alternative })
    expect(figures.statistic).toBe(Number(row.w_plus))
    const isExact = row.exact !== undefined && Number(row.n_nonzero) <= 50
    expect(figures.distribution).toEqual(
      isExact ? { name: 'signed-rank', n: Number(row.n_nonzero) } : { name: 'normal' },
    )
    const expected = isExact ? row.exact![key] : row.normal[key]
    const group = isExact ? 'signed-rank, exact: p' : 'signed-rank, normal: p'
    comparison.close(group, id, { actual: figures.pValue, expected }, TOLERANCE.probability)
    expect(new Set(figures.ways.map(({ rejects }) => rejects)).size).toBe(1)
    if (isExact) return
    const { test: corrected } = resultWith({ alternative, continuityCorrection: true })
    comparison.close(
      'signed-rank, corrected: p',
      id,
      { actual: corrected.pValue, expected: row.normal[`${key}_cc`] },
      TOLERANCE.probability,
    )
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
