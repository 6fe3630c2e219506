import fc from 'fast-check'
import { latexIn, writerFor } from './language'

const [point, comma] = [writerFor('point', []), writerFor('comma', [])]

test.each([
  ['14.926 kg', '14.926 kg', '14,926 kg'],
  ['200,000 rows', '200,000 rows', '200\u202f000 rows'],
  ['1234.5', '1,234.5', '1\u202f234,5'],
  ['−0.071 to 0.02', '−0.071 to 0.02', '−0,071 to 0,02'],
  ['p < 0.001, full 1.3e−27', 'p < 0.001, full 1.3e−27', 'p < 0,001, full 1,3e−27'],
  ['p = 1.5e−1234', 'p = 1.5e−1234', 'p = 1,5e−1234'],
  ['(14.9 − 15) / √24', '(14.9 − 15) / √24', '(14,9 − 15) / √24'],
  ['2026-11-03 10:42', '2026-11-03 10:42', '2026-11-03 10:42'],
  ['core 0.2.0', 'core 0.2.0', 'core 0.2.0'],
  ['sack A7.5 and code 007', 'sack A7.5 and code 007', 'sack A7.5 and code 007'],
  ['It is 15.5.', 'It is 15.5.', 'It is 15,5.'],
  [
    '12345 units, 1,234,567 in all',
    '12,345 units, 1,234,567 in all',
    '12\u202f345 units, 1\u202f234\u202f567 in all',
  ],
])('writes %p as %p, and as %p', (text, withPoint, withComma) => {
  expect(point(text)).toBe(withPoint)
  expect(comma(text)).toBe(withComma)
})

test('what people wrote stays as they wrote it, wherever it stands', () => {
  const write = writerFor('comma', ['1.5 kg sacks, 12345 of them', 'kg', '5'])
  expect(write('mean mass of 1.5 kg sacks, 12345 of them is 1.5 kg')).toBe(
    'mean mass of 1.5 kg sacks, 12345 of them is 1,5 kg',
  )
})

test('a wording that is nothing but a number stays as it was written, in its quotes', () => {
  const write = writerFor('comma', ['“1500.5”'])
  expect(write('at least 1500.5 kg (“1500.5”)')).toBe('at least 1\u202f500,5 kg (“1500.5”)')
})

test('no digit is lost or gained by either language', () => {
  fc.assert(
    fc.property(fc.double({ noNaN: true, noDefaultInfinity: true }), (value) => {
      const text = `value ${String(value)} kg`
      const digits = (written: string) => written.replace(/[\u202f,.]/g, '')
      for (const write of [point, comma]) expect(digits(write(text))).toBe(digits(text))
    }),
  )
})

test('formulas keep their commands', () => {
  expect(latexIn('comma', '\\frac{14.9 - 15}{0.02} = -5')).toBe('\\frac{14{,}9 - 15}{0{,}02} = -5')
  expect(latexIn('point', 'x_{1} = 12345.6')).toBe('x_{1} = 12{,}345.6')
})
