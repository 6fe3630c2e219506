import { figuresOf } from '@tests/reference/answers'
import { Comparison, readReference } from '@tests/reference/reference'
import type { Description } from '@/statistics/describe/describe'

type Figures = Readonly<Record<string, string | null>>
type Row = Readonly<{
  id: string
  data: readonly string[]
  shapiro_wilk: Figures
  anderson_darling: Figures | null
  grubbs: Figures
  generalized_esd?: Readonly<{ outliers: string; steps: readonly Figures[] }>
  runs?: Figures
  lag1: string
}>
const { datasets } = readReference<Readonly<{ datasets: readonly Row[] }>>('conditions.json')
const comparison = new Comparison()
afterAll(() => comparison.report())

test.each(datasets.map((row) => [row.id, row] as const))('%s', (id, row) => {
  const values = row.data.map(Number)
  const { conditions, lag1Autocorrelation } = figuresOf<Description>({ describe: { values } })
  const compare = (
    group: string,
    actual: number | undefined,
    expected: string | null | undefined,
    tolerance: number,
  ) => comparison.close(group, id, { actual, expected }, tolerance, 1e-13)
  const { shapiroWilk, andersonDarling, grubbs, generalizedEsd, runs } = conditions
  compare('Shapiro-Wilk: W', shapiroWilk?.w, row.shapiro_wilk.W, 1e-12)
  compare('Shapiro-Wilk: p', shapiroWilk?.pValue, row.shapiro_wilk.p, 1e-9)
  if (row.anderson_darling) {
    compare('Anderson-Darling: A²', andersonDarling?.a2, row.anderson_darling.A2, 1e-11)
    compare('Anderson-Darling: A*²', andersonDarling?.a2Star, row.anderson_darling.A2_star, 1e-11)
    if (row.anderson_darling.p !== null)
      compare('Anderson-Darling: p', andersonDarling?.pValue, row.anderson_darling.p, 1e-9)
  } else {
    expect(andersonDarling).toBeUndefined()
  }
  compare('Grubbs: G', grubbs?.g, row.grubbs.G_two_sided, 1e-13)
  compare('Grubbs: p', grubbs?.pValue, row.grubbs.p_two_sided, 1e-10)
  expect(values[grubbs!.index]).toBe(Number(row.grubbs.suspect))
  if (row.generalized_esd) {
    const { outliers, steps } = row.generalized_esd
    const removed = steps.slice(0, Number(outliers)).map((step) => Number(step.removed))
    expect(generalizedEsd?.outliers.map((index) => values[index])).toEqual(removed)
  }
  if (row.runs) {
    expect(runs?.runs).toBe(Number(row.runs.runs))
    compare('runs: z', runs?.z, row.runs.z, 1e-12)
    compare('runs: p', runs?.pValue, row.runs.p_two_sided, 1e-11)
  }
  compare('lag-1 autocorrelation', lag1Autocorrelation, row.lag1, 1e-12)
})

type Nist = Readonly<{ id?: string; name?: string; data: Iterable<string>; double_lag1: string }>
const { datasets: nist } = readReference<Readonly<{ datasets: readonly Nist[] }>>('nist_strd_univariate.json')

// NIST Statistical Reference Datasets, univariate; computed exactly from the data rounded to doubles.
test.each(nist.map((row) => [String(row.id ?? row.name), row] as const))(
  'lag-1 autocorrelation of %s',
  (id, row) => {
    const { lag1Autocorrelation } = figuresOf<Description>({
      describe: { values: Array.from(row.data, Number) },
    })
    comparison.close(
      'NIST: lag-1 autocorrelation',
      id,
      { actual: lag1Autocorrelation, expected: row.double_lag1 },
      1e-13,
      1e-14,
    )
  },
)
