import fc from 'fast-check'
import { readReadings } from './readings'

test('reads a column, and values apart by tabs, spaces and semicolons', () => {
  expect(readReadings('14.93\r\n15.02\t14.88; 15.01 15\n', 'point').values).toEqual([
    14.93, 15.02, 14.88, 15.01, 15,
  ])
})

test('points at what is no number by its line, and reads the rest', () => {
  const { values, places, entries, unread } = readReadings('Net mass\n14.93\n\n14,88\n15.0x 15.01', 'point')
  expect(values).toEqual([14.93, 15.01])
  expect(places).toEqual([1, 4])
  expect(entries).toEqual(['Net mass', '14.93', '14,88', '15.0x', '15.01'])
  expect(unread).toEqual([
    { line: 1, start: 0, text: 'Net mass', reason: 'not-a-number' },
    { line: 4, start: 16, text: '14,88', reason: 'other-decimal-mark' },
    { line: 5, start: 22, text: '15.0x', reason: 'not-a-number' },
  ])
})

test('nothing typed is no readings', () => {
  expect(readReadings('', 'point')).toEqual({
    values: [],
    places: [],
    entries: [],
    unread: [],
    lineCount: 1,
  })
})

test('what is written with any separator is read back', () => {
  const separator = fc.constantFrom('\n', '\r\n', '\t', ' ', ';', '; ', '\u00a0')
  // JavaScript writes −0 as 0.
  const value = fc.double({ noNaN: true, noDefaultInfinity: true }).map((any) => any + 0)
  fc.assert(
    fc.property(fc.array(value), separator, (values, between) => {
      expect(readReadings(values.map(String).join(between), 'point')).toMatchObject({ values, unread: [] })
    }),
  )
})
