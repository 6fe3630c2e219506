import { calibratedLate, readDay } from './day'
import { dateText } from './date'

const days = (text: string) => {
  const reading = readDay(text)
  return reading?.ok ? [dateText(reading.first), dateText(reading.last)] : undefined
}

test.each([
  ['2026-01-14', '2026-01-14', '2026-01-14'],
  ['14.01.2026', '2026-01-14', '2026-01-14'],
  ['3.4.2026', '2026-04-03', '2026-04-03'],
  ['14/01/2026', '2026-01-14', '2026-01-14'],
  ['1/14/2026', '2026-01-14', '2026-01-14'],
  ['4/4/2026', '2026-04-04', '2026-04-04'],
  ['2026-01-14 09:30', '2026-01-14', '2026-01-14'],
  ['2026-01-14 to 2026-01-16', '2026-01-14', '2026-01-16'],
  ['14.01.2026 – 16.01.2026', '2026-01-14', '2026-01-16'],
])('“%s” is a day', (text, first, last) => expect(days(text)).toEqual([first, last]))

test.each([
  ['31.02.2026', 'is no day. Write it such as 2026-01-14.'],
  ['yesterday', 'is no day'],
  ['2026', 'is no day'],
  ['2026-01-16 to 2026-01-14', 'ends before it begins'],
  ['3/4/2026', 'may be 2026-04-03 or 2026-03-04'],
])('“%s” is asked about', (text, message) => {
  expect(readDay(text)).toMatchObject({ ok: false, message: expect.stringContaining(message) })
})

test('of a day that may be of two months both are offered', () => {
  expect(readDay('3/4/2026')).toMatchObject({ wouldDo: ['2026-04-03', '2026-03-04'] })
  expect(readDay('')).toBeUndefined()
})

test('a calibration after the measurement is pointed out, and nothing where a day is not known', () => {
  expect(calibratedLate('2026-02-01', '2026-01-14 to 2026-01-16')).toContain(
    'after the sample was measured on 2026-01-16',
  )
  expect(calibratedLate('2026-01-16', '2026-01-14 to 2026-01-16')).toBeUndefined()
  expect(calibratedLate('2026-02-01', 'in winter')).toBeUndefined()
  expect(calibratedLate('', '2026-01-14')).toBeUndefined()
})
