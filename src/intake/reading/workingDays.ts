/** Thursday, 1970-01-01. */
const FIRST_WEEKDAY = 4
const isWorked = (day: number, holidays: ReadonlySet<number>): boolean => {
  const weekday = (((day + FIRST_WEEKDAY) % 7) + 7) % 7
  return weekday !== 0 && weekday !== 6 && !holidays.has(day)
}

/**
 * The working days after the first day up to the second, and fewer than none where that comes before.
 *
 * @param holidays - days on which nobody works beside Saturdays and Sundays; all are days since 1970-01-01
 */
export function workingDays(from: number, to: number, holidays: ReadonlySet<number>): number {
  const [start, end] = [Math.floor(from), Math.floor(to)]
  const [low, high] = start <= end ? [start, end] : [end, start]
  const weeks = Math.floor((high - low) / 7)
  let count = 5 * weeks
  for (let day = low + 7 * weeks + 1; day <= high; day += 1) if (isWorked(day, NONE)) count += 1
  for (const day of holidays) if (day > low && day <= high && isWorked(day, NONE)) count -= 1
  return start <= end ? count : 0 - count
}

const NONE: ReadonlySet<number> = new Set()
