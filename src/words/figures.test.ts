import { isWithin } from '@/statistics/inference/tailProbability'
import fc from 'fast-check'
import {
  decimalsFor,
  formatApart,
  formatFull,
  formatFullPValue,
  formatReading,
  formatSure,
  formatNumber,
  formatPercent,
  formatPValue,
  surelyDifferent,
  withUnit,
} from './figures'

test.each([
  [41.275, 2, '41.28'],
  [-41.275, 2, '−41.28'],
  [1.005, 2, '1.01'],
  [0.5, 0, '1'],
  [14.929166666666667, 3, '14.929'],
  [-0.0004, 3, '0.000'],
  [0, 2, '0.00'],
  [1e-20, 3, '0.000'],
  [123456789012345, 2, '123456789012345.00'],
  [1e15, 0, '1.00000e+15'],
  [1.5e308, 3, '1.50000e+308'],
])('%p to %i decimals is %s, as it is rounded by hand', (value, decimals, text) => {
  expect(formatNumber(value, decimals)).toBe(text)
})

test('a rounded figure is never farther from the figure than half a unit of its last digit', () => {
  fc.assert(
    fc.property(
      fc.double({ min: -1e6, max: 1e6, noNaN: true }),
      fc.integer({ min: 0, max: 8 }),
      (value, decimals) => {
        const shown = Number(formatNumber(value, decimals).replace('−', '-'))
        expect(Math.abs(shown - value)).toBeLessThanOrEqual(0.5 * 10 ** -decimals * (1 + 1e-6) + 1e-9)
      },
    ),
  )
})

test.each([
  [15.0155, 15, 0.0155],
  [15, 15.0155, -0.0155],
  [0.825, 0.95, -0.125],
  [-3.3, -3, -0.3],
  [0.3, 0, 0.3],
  [1 + Number.EPSILON, 1, Number.EPSILON],
  [7, 7, 0],
  [5e-324, 0, 5e-324],
  [1e14 + 1.25, 1e14, 1],
  [1e20 + 32_768, 1e20, 32_768],
])('between %p and %p lies %p, as it is subtracted by hand', (value, claimed, difference) => {
  expect(surelyDifferent(value - claimed, value, claimed)).toBe(difference)
})

test.each([
  [0.0018, 0.05, '0.0018'],
  [0.00009, 0.05, '< 0.001'],
  [0.00009, 0.0001, '0.00009'],
  [0.04999, 0.05, '0.04999'],
  [0.05, 0.05, '0.050'],
  [0.050001, 0.05, '0.050001'],
  [0.9994, 0.05, '0.999'],
  [0.9996, 0.05, '> 0.999'],
  [0.999999997, 0.05, '> 0.999'],
  [1, 0.05, '1.000'],
  [undefined, 0.05, '< 1e-300'],
])('a p-value of %p beside %p is written %s', (pValue, level, text) => {
  expect(formatPValue(pValue, level)).toBe(text)
})

test('a p-value is never written as nought, nor on the other side of its level', () => {
  const share = fc.double({ min: 1e-12, max: 1, noNaN: true })
  fc.assert(
    fc.property(share, share, (pValue, level) => {
      const text = formatPValue(pValue, level)
      if (text.startsWith('<')) return expect(pValue).toBeLessThan(0.001)
      if (text.startsWith('>')) return expect(pValue > 0.999 && level <= 0.999).toBe(true)
      const shown = Number(text.replace('−', '-'))
      expect(shown).toBeGreaterThan(0)
      expect(shown <= level).toBe(isWithin(pValue, level))
    }),
  )
})

test('a p-value with no room in a double is given by its power of ten', () => {
  expect(formatFullPValue({ logPValue: -1000 * Math.LN10 + Math.log(2.5) })).toMatch(/^2\.50000\de−1000$/)
  expect(formatFullPValue({ pValue: 1.3e-27, logPValue: Math.log(1.3e-27) })).toBe('1.3e−27')
})

test.each([
  [14.9996, 15, 3, ['14.9996', '15.0000']],
  [14.2, 15, 3, ['14.200', '15.000']],
  [15, 15, 2, ['15.00', '15.00']],
] as const)('%p beside %p is told apart', (value, limit, decimals, pair) => {
  expect(formatApart(value, limit, decimals)).toEqual(pair)
})

// JCGM 100:2008, 7.2.6: uncertainties to two significant digits at most.
test.each([
  [0.0218, 3],
  [0.26, 2],
  [1.4, 1],
  [37, 0],
  [0, 3],
])('a standard error of %p asks for %i decimals', (standardError, decimals) => {
  expect(decimalsFor(standardError)).toBe(decimals)
})

test('a unit stands behind a thin space, and a level is a percentage', () => {
  expect(withUnit('15', 'kg')).toBe('15\u202fkg')
  expect(withUnit('15', undefined)).toBe('15')
  expect(formatPercent(1 - 0.05)).toBe('95\u202f%')
  expect(formatPercent(0.001)).toBe('0.1\u202f%')
  expect(formatFull(-0.1)).toBe('−0.1')
})

test.each([
  ['0.0017852935204119005', '0.00178529352'],
  ['−1.713871527747048', '−1.713871528'],
  ['9.99999999999e−7', '10e−7'],
  ['2.5000000000123e−1000', '2.5e−1000'],
  ['24', '24'],
  ['< 1e-300', '< 1e-300'],
])('%s to ten digits is %s', (full, sure) => expect(formatSure(full)).toBe(sure))

test.each([
  [14.52, '14.52'],
  [0.1 + 0.2, '0.3'],
  [-12.3456789, '−12.3456789'],
  [34.1 / 24, '1.420833'],
  [79.8 / 24, '3.325'],
])('the reading %d is shown as %s', (value, shown) => expect(formatReading(value)).toBe(shown))

test('a converted reading is rounded to the decimals asked for, one that was measured is not', () => {
  expect(formatReading(34.1 / 24, 2)).toBe('1.42')
  expect(formatReading(14.9255, 2)).toBe('14.9255')
})
