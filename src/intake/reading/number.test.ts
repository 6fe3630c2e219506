import fc from 'fast-check'
import { plainSpellings, readNumber, readTypedNumber } from './number'

test('reads every finite double exactly as the language itself does', () => {
  fc.assert(
    fc.property(fc.double({ noNaN: true, noDefaultInfinity: true }), (any) => {
      const value = any + 0 // JavaScript writes −0 as 0
      expect(readNumber(String(value), 'point')).toEqual({ ok: true, value })
      expect(readNumber(String(value).replace('.', ','), 'comma')).toEqual({ ok: true, value })
    }),
    { numRuns: 2000 },
  )
})

test.each([
  ['15', 15],
  ['+15.', 15],
  ['.5', 0.5],
  [' 1.2e3 ', 1200],
  ['\u22121.5', -1.5],
])('reads %p', (text, value) => {
  expect(readNumber(text, 'point')).toEqual({ ok: true, value })
})

test.each([
  ['14,93', 'point', 'other-decimal-mark'],
  ['14.93', 'comma', 'other-decimal-mark'],
  ['1.234,5', 'point', 'not-a-number'],
  ['1.234,5', 'comma', 'not-a-number'],
  ['1e999', 'point', 'too-large'],
  ['0x1F', 'point', 'not-a-number'],
  ['Infinity', 'point', 'not-a-number'],
  ['NaN', 'point', 'not-a-number'],
  ['15kg', 'point', 'not-a-number'],
  ['', 'point', 'not-a-number'],
  ['-', 'point', 'not-a-number'],
] as const)('refuses %p with the decimal %s: %s', (text, mark, reason) => {
  expect(readNumber(text, mark)).toEqual({ ok: false, reason })
})

test('a number typed by itself may have either mark, unless it might be thousands', () => {
  expect(readTypedNumber('0,05', 'point')).toEqual({ ok: true, value: 0.05 })
  expect(readTypedNumber('0.05', 'comma')).toEqual({ ok: true, value: 0.05 })
  expect(readTypedNumber('1,234', 'point')).toEqual({ ok: false, reason: 'other-decimal-mark' })
})

test.each([
  ['40,000', ['40000', '40.000']],
  ['40.000', ['40000', '40.000']],
  ['-40,000', ['-40000', '-40.000']],
  ['\u22121,234', ['-1234', '-1.234']],
  ['1,234.5', ['1234.5']],
  ['1.234,5', ['1234.5']],
  ['1 234,5', ['1234.5']],
  ['1\u00a0234', ['1234']],
  ['1\u202f234.25', ['1234.25']],
  ["1'234", ['1234']],
  ['1,234,567', ['1234567']],
  ['1.234.567,8', ['1234567.8']],
  ['1,234,5', []],
  ['1,2345', []],
  ['0,125', []],
  ['1,23', []],
  ['1234', []],
  ['1 234 5', []],
  ['1,234 567', []],
  ['kg', []],
])('%j with its thousands set apart is written %j', (text, spellings) => {
  expect(plainSpellings(text, 'point')).toEqual(spellings)
  expect(plainSpellings(text, 'comma')).toEqual(spellings.map((one) => one.replace('.', ',')))
  for (const one of spellings) expect(readNumber(one, 'point').ok).toBe(true)
})
