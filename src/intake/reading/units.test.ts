import fc from 'fast-check'
import { conversionBetween } from './units'

function converted(value: number, from: string, to: string): number {
  const conversion = conversionBetween(from, to)
  if (!conversion.ok) throw new Error(conversion.problem.message)
  return conversion.value ? conversion.value.reading(value) : value
}

// NIST Special Publication 811 (2008), appendix B.8, where exact factors stand in bold type; from memory.
test.each([
  [14930, 'g', 'kg', 14.93],
  [14.93, 'kg', 'g', 14930],
  [1, 'lb', 'kg', 0.45359237],
  [1, 'oz', 'g', 28.349523125],
  [1, 'ft', 'm', 0.3048],
  [1, 'in', 'mm', 25.4],
  [1, 'l', 'm3', 0.001],
  [750, 'ml', 'l', 0.75],
  [90, 'min', 'h', 1.5],
  [1, 'd', 's', 86400],
  [20, '°C', '°F', 68],
  [68, '°F', '°C', 20],
  [-40, '°F', '°C', -40],
  [21.5, '°C', 'K', 294.65],
  [1, 'kWh', 'MJ', 3.6],
  [1.5, 'kW', 'W', 1500],
  [36, 'km/h', 'm/s', 10],
  [1, 'mph', 'm/s', 0.44704],
  [1, 'knot', 'km/h', 1.852],
  [3, 'dozen', 'pieces', 36],
  [1, 'µm', 'mm', 0.001],
])('%d %s in %s', (value, from, to, expected) => {
  expect(converted(value, from, to)).toBeCloseTo(expected, 12)
})

test('a decimal step leaves no digits behind', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 10_000_000 }), (grams) => {
      expect(converted(grams, 'g', 'kg')).toBe(Number(`${grams}e-3`))
    }),
  )
})

test('the conversion is said exactly where it can be', () => {
  const words = (from: string, to: string) => {
    const conversion = conversionBetween(from, to)
    return conversion.ok && conversion.value?.words
  }
  expect(words('h', 'd')).toBe('24 h = 1 d')
  expect(words('kg', 'g')).toBe('1 kg = 1000 g')
  expect(words('°C', '°F')).toBe('1 °C = 33.8 °F')
})

test('a distance is not shifted', () => {
  const conversion = conversionBetween('°F', '°C')
  expect(conversion.ok && conversion.value?.distance(0.9)).toBe(0.5)
})

test.each([
  ['g', 'l', 'units-differ', /in g, mass, and the claim in l, volume/],
  ['°C', 'kg', 'units-differ', /temperature.*mass/],
  ['dB(A)', 'dB(C)', 'units-differ', /sound level in dB\(A\)/],
  ['firkins', 'l', 'unit-unknown', /“firkins” is no unit/],
])('%s cannot be held against %s', (from, to, code, message) => {
  const conversion = conversionBetween(from, to)
  expect(conversion).toMatchObject({ ok: false, problem: { code } })
  expect(!conversion.ok && conversion.problem.message).toMatch(message)
})

test.each([
  ['kg', 'kg'],
  ['', 'kg'],
  ['sacks', ''],
  ['dB', 'db'],
])('%p and %p need no conversion', (from, to) => {
  expect(conversionBetween(from, to)).toEqual({ ok: true, value: undefined })
})
