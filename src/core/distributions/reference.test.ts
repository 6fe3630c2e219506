import { readReference, relativeError, WorstError } from '@tests/reference/reference'
import { normal } from './normal'
import { studentT } from './studentT'
import type { Continuous, Tail } from './tails'

type Point = Readonly<{
  dist: string
  params: Readonly<Record<string, string>>
  x: string
  lower: string
  upper: string
  log_lower: string
  log_upper: string
  pdf: string
}>
type Quantile = Readonly<{
  dist: string
  params: Readonly<Record<string, string>>
  tail: Tail
  p: string
  x: string
}>

// mpmath 1.2.1 at 55 digits: see tests/reference/SOURCES.md.
const reference = readReference<{ points: Point[]; quantiles: Quantile[] }>('distributions.json')
const SMALLEST_COMPARED = 1e-300

function distribution({ dist, params }: Pick<Point, 'dist' | 'params'>): Continuous | undefined {
  if (dist === 'normal') return normal
  if (dist === 't') return studentT(Number(params.df))
  return undefined
}

function tolerance(params: Point['params']): number {
  return Object.values(params).some((value) => Math.abs(Number(value)) >= 1e4) ? 1e-10 : 1e-12
}

const label = (row: Pick<Point, 'dist' | 'params'>, at: string) =>
  `${row.dist}(${Object.values(row.params).join(', ')}) at ${at}`

const worst = new WorstError()
afterAll(() => process.stdout.write(`${worst.report()}\n`))

const points = reference.points.flatMap((row) => {
  const known = distribution(row)
  return known ? [{ name: label(row, row.x), row, known }] : []
})

describe('tails, their logs and densities agree with mpmath', () => {
  test.each(points)('$name', ({ row, known, name }) => {
    const limit = tolerance(row.params)
    const tails = known.tails(Number(row.x))
    const compare = (group: string, actual: number, printed: string) => {
      const expected = Number(printed)
      const isLog = group.startsWith('log')
      if (!isLog && Math.abs(expected) < SMALLEST_COMPARED) return
      const error =
        isLog && Math.abs(expected) < 1 ? Math.abs(actual - expected) : relativeError(actual, expected)
      worst.add(`${row.dist} ${group}`, name, error)
      expect({ group, error: error <= limit ? 'within' : error }).toEqual({ group, error: 'within' })
    }
    compare('lower', tails.lower, row.lower)
    compare('upper', tails.upper, row.upper)
    compare('logLower', tails.logLower, row.log_lower)
    compare('logUpper', tails.logUpper, row.log_upper)
    compare('density', known.density(Number(row.x)), row.pdf)
  })
})

const quantiles = reference.quantiles.flatMap((row) => {
  const known = distribution(row)
  return known ? [{ name: label(row, `${row.tail} ${row.p}`), row, known }] : []
})

describe('quantiles from either tail agree with mpmath', () => {
  test.each(quantiles)('$name', ({ row, known, name }) => {
    const error = relativeError(known.quantile(Number(row.p), row.tail), Number(row.x))
    worst.add(`${row.dist} quantile`, name, error)
    expect(error).toBeLessThanOrEqual(tolerance(row.params))
  })
})
