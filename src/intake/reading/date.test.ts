import fc from 'fast-check'
import { calendarDay, dateText, readDate } from './date'

test.each([
  ['2026-01-14', 'day-first', '2026-01-14'],
  ['14.01.2026', 'day-first', '2026-01-14'],
  ['3/4/2026', 'day-first', '2026-04-03'],
  ['3/4/2026', 'month-first', '2026-03-04'],
  ['2026-01-14T09:30', 'year-first', '2026-01-14 09:30'],
  ['2026/01/14 09:30:05.25', 'year-first', '2026-01-14 09:30:05.250'],
  ['29-02-2028', 'day-first', '2028-02-29'],
  ['31-12-1969', 'day-first', '1969-12-31'],
] as const)('%s, %s, is %s', (text, order, iso) => {
  expect(dateText(readDate(text, order)!)).toBe(iso)
})

test.each([
  '',
  '14',
  '2026-02-30',
  '2026-13-01',
  '14/01-2026',
  '1.1.26',
  '2026-01-14 25:00',
  '14 January 2026',
])('“%s” is no date', (text) => expect(readDate(text, 'day-first')).toBeUndefined())

test('what is written is read back', () => {
  const dates = fc.date({ min: new Date('0101-01-01'), max: new Date('9999-12-31'), noInvalidDate: true })
  fc.assert(
    fc.property(dates, (date) => {
      const days = date.getTime() / 86_400_000
      expect(readDate(dateText(days), 'month-first')).toBe(days)
    }),
  )
})

test('the day of an instant is that of the calendar on the wall, just after midnight and just before', () => {
  expect(calendarDay(new Date(2026, 0, 4, 0, 1))).toBe('2026-01-04')
  expect(calendarDay(new Date(2026, 11, 31, 23, 59))).toBe('2026-12-31')
})
