import { Lines, readScaleLine } from './line'

const reading = (text: string, unit: string, isStable?: boolean) => ({
  ...{ is: 'reading', text, value: Number(text), unit },
  ...(isStable === undefined ? {} : { isStable }),
})

test.each<readonly [string, object]>([
  ['stable 14.932 kg', reading('14.932', 'kg', true)],
  ['moving 14.9 kg', reading('14.9', 'kg', false)],
  ['stable -0.016 kg', reading('-0.016', 'kg', true)],
  ['stable 14,90 kg', reading('14.90', 'kg', true)],
  ['tare 0.125 kg', { is: 'tare', text: '0.125', value: 0.125, unit: 'kg' }],
  ['instrument Platform scale 3, 0.001 kg', { is: 'instrument', name: 'Platform scale 3, 0.001 kg' }],
  // Of instruments that speak otherwise.
  ['  +  500.10 g  ', reading('500.10', 'g')],
  ['- 12', reading('-12', '')],
  ['N 12.5 mm', reading('12.5', 'mm')],
])('%s', (line, read) => {
  expect(readScaleLine(line)).toEqual(read)
})

test.each([
  '',
  'stable',
  'stable kg',
  'error',
  '14.9 kg 15.1 kg',
  '1,234.5 g',
  '14.932kg3',
  'x14.9 kg',
  '14.9.1 kg',
  'unit 3 14.9 kg',
  '2026-11-29',
  'tare moving 3',
  '1e3 kg',
  'stable 14.9 kilogrammes',
])('is not understood, and no reading: “%s”', (line) => {
  expect(readScaleLine(line).is).toBe('unknown')
})

test('lines come in pieces, however they end, and one that is too long is no reading', () => {
  const lines = new Lines()
  expect(lines.add('stable 14.9')).toEqual([])
  expect(lines.add('32 kg\r')).toEqual(['stable 14.932 kg'])
  expect(lines.add('\nmoving 3 kg\n\nsta')).toEqual(['moving 3 kg'])
  expect(lines.add('ble 4 kg\r')).toEqual(['stable 4 kg'])
  // Of a line without an end no more is kept than tells that it is too long: its last digits are no reading.
  const long = new Lines()
  for (let piece = 0; piece < 50; piece += 1) expect(long.add('9'.repeat(100))).toEqual([])
  const [told, next] = long.add(' stable 14.9 kg\nstable 15 kg\n')
  expect(told!.length).toBeLessThan(300)
  expect(readScaleLine(told!).is).toBe('unknown')
  expect(readScaleLine(next!)).toMatchObject({ is: 'reading', value: 15 })
  expect(readScaleLine(`stable 14.9 kg${' '.repeat(200)}`).is).toBe('unknown')
})
