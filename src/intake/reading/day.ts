import { LONGEST_PHRASE } from '@/desk/typed'
import { dateText, daysMeant } from './date'

/** A day, or the first and the last of several, as days since 1970-01-01; or what was seen that is none, and what would do. */
export type DayReading =
  | Readonly<{ ok: true; first: number; last: number }>
  | Readonly<{ ok: false; message: string; wouldDo: readonly string[] }>

const UNTIL = /^(.+?)\s+(?:to|until|and|[-–])\s+(.+)$/i

/**
 * Reads a day that somebody typed, or the first and the last of several: "2026-01-14", "14.01.2026 to 16.01.2026". One that may
 * be of another month, "3/4/2026", is asked about.
 *
 * @returns undefined for an empty text
 */
export function readDay(text: string): DayReading | undefined {
  const trimmed = text.trim()
  if (trimmed === '') return undefined
  const [, from = trimmed, to = trimmed] = (trimmed.length <= LONGEST_PHRASE && UNTIL.exec(trimmed)) || []
  const [first, last] = [daysMeant(from), daysMeant(to)]
  const doubtful = [first, last].find((days) => days.length > 1)
  if (doubtful && from === to) {
    const wouldDo = doubtful.map(dateText)
    return {
      ok: false,
      message: `“${text}” may be ${wouldDo.join(' or ')}. Write the one that is meant.`,
      wouldDo,
    }
  }
  if (first.length !== 1 || last.length !== 1)
    return { ok: false, message: `“${text}” is no day. Write it such as 2026-01-14.`, wouldDo: [] }
  if (last[0]! < first[0]!)
    return { ok: false, message: `“${text}” ends before it begins. Check both days.`, wouldDo: [] }
  return { ok: true, first: Math.floor(first[0]!), last: Math.floor(last[0]!) }
}

/** That an instrument was calibrated only after it was measured with; undefined where it was not, or no day is known. */
export function calibratedLate(calibratedOn: string, measuredWhen: string): string | undefined {
  const [calibrated, measured] = [readDay(calibratedOn), readDay(measuredWhen)]
  if (!calibrated?.ok || !measured?.ok || calibrated.first <= measured.last) return undefined
  return `The instrument was last calibrated on ${dateText(calibrated.first)}, after the sample was measured on ${dateText(measured.last)}: say which calibration the readings rest on.`
}
