/**
 * The days from 1970-01-01 to a day of the Gregorian calendar, without a clock or a time zone.
 *
 * @param day - as 2026-11-28
 * @see E. G. Richards (2013), Calendars, in Explanatory Supplement to the Astronomical Almanac, ch. 15
 * @example
 * dayNumber('2026-11-28') // 20785
 */
export function dayNumber(day: string): number {
  const [year = 0, month = 0, date = 0] = day.split('-').map(Number)
  // A year that begins in March ends with the leap day.
  const years = month > 2 ? year : year - 1
  const months = (month + 9) % 12
  const leapDays = Math.floor(years / 4) - Math.floor(years / 100) + Math.floor(years / 400)
  return 365 * years + leapDays + Math.floor((153 * months + 2) / 5) + date - 719_469
}
