export const DATE_ORDERS = ['year-first', 'day-first', 'month-first'] as const
export type DateOrder = (typeof DATE_ORDERS)[number]

const DAY_MS = 86_400_000
const SHAPES: Readonly<Record<DateOrder, RegExp>> = {
  'year-first': /^(?<y>\d{4})([-/.])(?<m>\d{1,2})\2(?<d>\d{1,2})(?:[T ]+(?<time>.+))?$/,
  'day-first': /^(?<d>\d{1,2})([-/.])(?<m>\d{1,2})\2(?<y>\d{4})(?:[T ]+(?<time>.+))?$/,
  'month-first': /^(?<m>\d{1,2})([-/.])(?<d>\d{1,2})\2(?<y>\d{4})(?:[T ]+(?<time>.+))?$/,
}
const TIME = /^(\d{1,2}):(\d{2})(?::(\d{2}(?:\.\d{1,3})?))?Z?$/

/**
 * Reads a date, with a time of day or without, by the clock on the wall where it was written: no time zone is applied.
 *
 * A date that begins with the year is read whatever the order of the others.
 *
 * @returns days since 1970-01-01, with the time as a fraction; undefined for a text that is no date of the calendar
 */
export function readDate(text: string, order: DateOrder): number | undefined {
  const parts = (SHAPES['year-first'].exec(text) ?? SHAPES[order].exec(text))?.groups
  if (!parts) return undefined
  const [year, month, day] = [Number(parts.y), Number(parts.m), Number(parts.d)]
  const noon = new Date(Date.UTC(year, month - 1, day))
  // The years 0 to 99 are taken for 1900 to 1999.
  if (year < 100 || noon.getUTCMonth() !== month - 1 || noon.getUTCDate() !== day) return undefined
  const time = parts.time === undefined ? 0 : readTime(parts.time)
  return time === undefined ? undefined : (noon.getTime() + time) / DAY_MS
}

/**
 * The days that a text may be: two where day and month can change places, which only those with slashes do.
 *
 * @example
 * daysMeant('3/4/2026').length // 2
 */
export function daysMeant(text: string): readonly number[] {
  const days = (['day-first', 'month-first'] as const)
    .map((order) => readDate(text, order))
    .filter((day) => day !== undefined)
  return text.includes('/') ? [...new Set(days)] : days.slice(0, 1)
}

/** The one order in which all texts that are dates are one; undefined where both will do, or neither. */
export function orderOfDates(texts: readonly string[]): DateOrder | undefined {
  const dates = texts.filter((text) => text.includes('/') && daysMeant(text).length > 0)
  const [order, ...more] = (['day-first', 'month-first'] as const).filter((one) =>
    dates.every((date) => readDate(date, one) !== undefined),
  )
  return more.length === 0 ? order : undefined
}

function readTime(text: string): number | undefined {
  const [, hours, minutes, seconds = '0'] = TIME.exec(text) ?? []
  if (hours === undefined || Number(hours) > 23 || Number(minutes) > 59 || Number(seconds) >= 60)
    return undefined
  return Math.round((Number(hours) * 3600 + Number(minutes) * 60 + Number(seconds)) * 1000)
}

/** The day of an instant by the calendar on the wall, not by that of Greenwich: "2026-01-14". */
export function calendarDay(instant: Date): string {
  const two = (part: number) => String(part).padStart(2, '0')
  return `${instant.getFullYear()}-${two(instant.getMonth() + 1)}-${two(instant.getDate())}`
}

/** Writes a date as ISO 8601 has it, with the time of day only where there is one: "2026-01-14", "2026-01-14 09:30". */
export function dateText(days: number): string {
  const [date, time] = new Date(Math.round(days * DAY_MS)).toISOString().split('T') as [string, string]
  if (time === '00:00:00.000Z') return date
  return `${date} ${time.replace(/(:00)?(\.000)?Z$/, '')}`
}
