import { cellNumber } from './cellNumber'

const read = (text: string, mark = '.') =>
  cellNumber(new TextEncoder().encode(`7${text}7`), 1, text.length + 1, mark.charCodeAt(0))

test.each([
  ['0', 0],
  ['-0', -0],
  ['+12', 12],
  ['-12.', -12],
  ['.5', 0.5],
  ['-.25', -0.25],
  ['0.000000000000001', 1e-15],
  ['.000000000000001', 1e-15],
  ['999999999999999', 999_999_999_999_999],
  ['9007199254740993', 9_007_199_254_740_992],
  ['0.1234567890123456789', 0.123_456_789_012_345_68],
  ['00000000000000000000001.5', 1.5],
  ['1e3', 1000],
  ['2.5E-3', 0.0025],
  ['1e999', Infinity],
  ['-1e999', -Infinity],
])('%s is a number', (text, value) => {
  expect(read(text)).toBe(value)
})

test.each([
  '',
  '-',
  '+',
  '.',
  '-.',
  '1.2.3',
  '..1',
  'e5',
  '.e5',
  '1e',
  '1e5e5',
  '--1',
  '1-',
  '1,5',
  '1 2',
  '/',
  ':',
  'é',
])('“%s” is no number', (text) => {
  expect(read(text)).toBeNaN()
})

test('the decimal mark may be a comma, and is the only one then', () => {
  expect(read('1,25', ',')).toBe(1.25)
  expect(read('1,25e2', ',')).toBe(125)
  expect(read('1.25', ',')).toBeNaN()
})

test('an empty cell is no number, whatever stands behind it', () => {
  expect(cellNumber(new TextEncoder().encode('-5'), 0, 0, '.'.charCodeAt(0))).toBeNaN()
})
