import { readExposureUnit } from './exposure'

test.each([
  ['hour', 'point', 1, 'hour'],
  ['1,000 deliveries', 'point', 1000, 'deliveries'],
  ['1.000 Lieferungen', 'comma', 1000, 'Lieferungen'],
  ['1 000 deliveries', 'point', 1000, 'deliveries'],
  ['10,000 km of pipe', 'point', 10_000, 'km of pipe'],
  ['100 m', 'point', 100, 'm'],
  ['0.5 h', 'point', 0.5, 'h'],
  ['0,5 h', 'comma', 0.5, 'h'],
  ['  12   sacks ', 'point', 12, 'sacks'],
] as const)('%j is %s', (text, mark, amount, of) => {
  expect(readExposureUnit(text, mark)).toEqual({ amount, of })
})

test.each(['', '   ', '1,000', '0 hours', '12..5 h'])('%j is nothing that a rate can be per', (text) => {
  expect(readExposureUnit(text, 'point')).toBeUndefined()
})
