import { readReference, relativeError } from '@tests/reference/reference'
import fc from 'fast-check'
import { moments } from './moments'

type DataSet = Readonly<{
  id: string
  data: string | readonly string[]
  double_mean: string
  double_sd: string
  certified_mean?: string
  certified_sd?: string
}>

// NIST Statistical Reference Datasets, univariate summary statistics: see tests/reference/SOURCES.md.
const { datasets } = readReference<{ datasets: DataSet[] }>('nist_strd_univariate.json')
const FOURTEEN_DIGITS = 1e-14

test.each(datasets.map((set) => [set.id, set] as const))('NIST %s agrees to 14 digits', (_, set) => {
  const { mean, standardDeviation } = moments([...set.data].map(Number))
  expect(relativeError(mean, Number(set.double_mean))).toBeLessThanOrEqual(FOURTEEN_DIGITS)
  expect(relativeError(standardDeviation!, Number(set.double_sd))).toBeLessThanOrEqual(FOURTEEN_DIGITS)
})

test('keeps the part of the mean that a double has no room for', () => {
  const { mean, meanRemainder } = moments([1e16, 1e16 + 2, 1e16 + 2])
  expect(mean - 1e16 + meanRemainder).toBeCloseTo(4 / 3, 14)
})

test('one reading has a mean and no spread', () => {
  expect(moments([3.5])).toEqual({ sampleSize: 1, mean: 3.5, meanRemainder: 0 })
})

test('equal readings have no spread at all', () => {
  expect(moments([0.1, 0.1, 0.1]).standardDeviation).toBe(0)
})

test.each([1e308, 1e-308, 5e-324])(
  'readings near %p keep their spread, and no figure is infinite',
  (size) => {
    const { mean, standardDeviation, variance } = moments([size, -size, size, -size])
    expect(mean).toBe(0)
    expect(relativeError(standardDeviation!, size * Math.sqrt(4 / 3))).toBeLessThan(
      size < 1e-300 ? 0.2 : 1e-14,
    )
    expect(variance).toBeUndefined()
  },
)

test('a power of two as a change of unit changes nothing but the unit', () => {
  fc.assert(
    fc.property(
      // A subnormal number loses digits where its unit changes.
      fc.array(
        fc.double({ min: -1e6, max: 1e6, noNaN: true }).map((any) => (Math.abs(any) < 1e-250 ? 0 : any)),
        { minLength: 2, maxLength: 40 },
      ),
      fc.integer({ min: -20, max: 20 }),
      (values, power) => {
        const factor = 2 ** power
        const [plain, scaled] = [moments(values), moments(values.map((value) => value * factor))]
        expect(scaled.mean).toBeCloseTo(plain.mean * factor, 9)
        expect(relativeError(scaled.standardDeviation!, plain.standardDeviation! * factor)).toBeLessThan(
          1e-14,
        )
      },
    ),
  )
})
