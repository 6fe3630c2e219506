import { readReference, relativeError, WorstError } from '@tests/reference/reference'
import { beta } from './beta'
import { binomial } from './binomial'
import { chiSquare } from './chiSquare'
import type { Discrete } from './discrete'
import { fDistribution } from './fDistribution'
import { hypergeometric } from './hypergeometric'
import { noncentralT } from './noncentralT'
import { normal } from './normal'
import { studentT } from './studentT'
import type { Continuous, Tail } from './tails'

type Point = Readonly<{
  dist: string
  params: Readonly<Record<string, string>>
  x: string
  lower: string
  upper: string
  log_lower: string | null
  log_upper: string | null
  pdf?: string
  pmf?: string
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

type Known = Readonly<{
  tails: Continuous['tails']
  quantile: Continuous['quantile']
  density: (x: number) => number
}>

function distribution({ dist, params }: Pick<Point, 'dist' | 'params'>): Known {
  const of = (name: string) => Number(params[name])
  const discrete = ({ mass, ...rest }: Discrete): Known => ({ ...rest, density: mass })
  switch (dist) {
    case 'normal':
      return normal
    case 't':
      return studentT(of('df'))
    case 'chi2':
      return chiSquare(of('df'))
    case 'f':
      return fDistribution({ numerator: of('df1'), denominator: of('df2') })
    case 'beta':
      return beta({ a: of('a'), b: of('b') })
    case 'binomial':
      return discrete(binomial({ trials: of('n'), probability: of('p') }))
    case 'hypergeometric':
      return discrete(hypergeometric({ lotSize: of('N'), marked: of('K'), sampleSize: of('n') }))
    case 'nct':
      return noncentralT({ degreesOfFreedom: of('df'), noncentrality: of('ncp') })
    default:
      throw new Error(`no distribution ${dist}`)
  }
}

function tolerance({ dist, params }: Pick<Point, 'dist' | 'params'>): number {
  if (dist === 'nct') return 1e-9
  if (dist === 'hypergeometric') return 1e-10
  return Object.values(params).some((value) => Math.abs(Number(value)) >= 1e4) ? 1e-10 : 1e-12
}

const label = (row: Pick<Point, 'dist' | 'params'>, at: string) =>
  `${row.dist}(${Object.values(row.params).join(', ')}) at ${at}`

const worst = new WorstError()
afterAll(() => process.stdout.write(`${worst.report()}\n`))

const points = reference.points.map((row) => ({ name: label(row, row.x), row, known: distribution(row) }))

describe('tails, their logs and densities agree with mpmath', () => {
  test.each(points)('$name', ({ row, known, name }) => {
    const limit = tolerance(row)
    const tails = known.tails(Number(row.x))
    const compare = (group: string, actual: number, printed: string | null) => {
      // A tail that is exactly 0 has no log.
      if (printed === null) return expect(actual).toBe(-Infinity)
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
    compare('density', known.density(Number(row.x)), (row.pdf ?? row.pmf)!)
  })
})

const quantiles = reference.quantiles.map((row) => ({
  name: label(row, `${row.tail} ${row.p}`),
  row,
  known: distribution(row),
}))

describe('quantiles from either tail agree with mpmath', () => {
  test.each(quantiles)('$name', ({ row, known, name }) => {
    const error = relativeError(known.quantile(Number(row.p), row.tail), Number(row.x))
    worst.add(`${row.dist} quantile`, name, error)
    expect(error).toBeLessThanOrEqual(tolerance(row))
  })
})
