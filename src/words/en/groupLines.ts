import type { Parameter } from '@/claims/terms/names'
import { type Display, displayOf, shownNumber, shownValue } from '../display'
import { decimalsFor, formatCount, formatPercent, formatPValue } from '../figures'
import { OUTCOME_WORDS } from './findingWords'
import type { Line } from './groupsWords'

/** What the lines of groups or lots are of, and how they are to be written. */
export type GroupSubject = Readonly<{
  parameter: Parameter
  unit: string
  exposureUnit: string
  /** Decimals chosen for the claim. */
  decimals: number | undefined
  isControl: boolean
  level: number
  /** What the codes of the column mean. */
  meanings?: Readonly<Record<string, string>>
}>

/** Decimals that fit the scatter of most of the lines. */
function decimalsOfLines(lines: readonly Line[]): number {
  const halves = lines
    .flatMap(({ interval, estimate }) => {
      const ends = [interval?.lower, interval?.upper].filter((end) => end !== undefined)
      return ends.length === 0 || estimate === undefined
        ? []
        : [Math.max(...ends.map((end) => Math.abs(end - estimate))) / 2]
    })
    .filter((half) => half > 0)
    .toSorted((a, b) => a - b)
  return decimalsFor(halves[Math.floor(halves.length / 2)] ?? 0)
}

export const displayOfLines = (lines: readonly Line[], subject: GroupSubject): Display =>
  displayOf(subject, decimalsOfLines(lines), subject.decimals)

/** One line of groups or lots as it is written. */
export type ShownLine = Readonly<{
  label: string
  n: string
  estimate: string
  interval: string
  pValue: string
  adjusted: string
  /** By itself, and taken together with the others; or why it was not tested. */
  finding: string
  together: string
  why: string
}>

/** The lines as they stand in a table, all to the same decimals. */
export function shownLines(
  lines: readonly Line[],
  subject: GroupSubject,
  display: Display,
): readonly ShownLine[] {
  const { level } = subject
  const setAside = (count: number | undefined) => (count ? `, ${formatCount(count)} set aside` : '')
  return lines.map((line) => {
    const { label, n, events, outcome, together, estimate, interval, beyondT, beyondTwiceT } = line
    const size = events === undefined ? formatCount(n) : `${formatCount(events)} events`
    const isTested = line.method !== undefined
    return {
      label: nameIn(subject, label),
      n: `${size}${setAside(line.setAside)}`,
      estimate: estimate === undefined ? '' : shownValue(estimate, display),
      interval: interval
        ? endsOf(interval, display)
        : beyondT === undefined
          ? ''
          : `${formatCount(beyondT)} beyond T, ${formatCount(beyondTwiceT!)} beyond 2T`,
      pValue: isTested ? formatPValue(line.pValue, level) : '',
      adjusted: isTested ? formatPValue(line.adjusted, level) : '',
      finding: outcome ? OUTCOME_WORDS[outcome] : 'Not tested',
      together: together ? OUTCOME_WORDS[together] : '',
      why: line.why ?? '',
    }
  })
}

export const groupName = (label: string): string => (label === '' ? 'no entry' : label)

/** A group by what its code means, with the code. */
const nameIn = ({ meanings = {} }: GroupSubject, label: string): string =>
  Object.hasOwn(meanings, label) ? `${meanings[label]} (${label})` : groupName(label)

/** The level of the intervals, where all have one. */
function levelOf(lines: readonly Line[]): string {
  const levels = new Set(lines.flatMap(({ interval }) => (interval ? [interval.level] : [])))
  return levels.size === 1 ? `${formatPercent([...levels][0]!)} interval` : 'Interval'
}

/** The ends of an interval, the level of which stands over the column. */
function endsOf({ lower, upper }: NonNullable<Line['interval']>, display: Display): string {
  const ends = [lower, upper].map((end) => (end === undefined ? undefined : shownNumber(end, display)))
  if (ends[0] === undefined) return ends[1] === undefined ? 'no end' : `up to ${ends[1]}`
  return ends[1] === undefined ? `from ${ends[0]}` : `${ends[0]} to ${ends[1]}`
}

/** The heads of such a table. */
export const lineHeads = (
  name: string,
  { isControl }: GroupSubject,
  lines: readonly Line[],
): readonly string[] =>
  isControl
    ? [name, 'n', 'Mean content', 'Packs short', 'Finding']
    : [name, 'n', 'Estimate', levelOf(lines), 'p-value', 'Adjusted', 'By itself', 'Taken together']

/** The cells of a line, under these heads. */
export const lineCells = (line: ShownLine, isControl: boolean): readonly string[] => {
  const { label, n, estimate, interval, pValue, adjusted, finding, together, why } = line
  const found = why === '' ? finding : `Not tested. ${why}`
  return isControl
    ? [label, n, estimate, interval, found]
    : [label, n, estimate, interval, pValue, adjusted, found, together === finding ? 'the same' : together]
}

/** In which order lines are shown. */
export const LINE_ORDERS = ['estimate', 'p-value', 'name', 'size', 'day'] as const
export type LineOrder = (typeof LINE_ORDERS)[number]
export const LINE_ORDER_WORDS: Readonly<Record<LineOrder, string>> = {
  estimate: 'estimate, largest first',
  'p-value': 'p-value, smallest first',
  name: 'name',
  size: 'size, largest first',
  day: 'day',
}

/** The lines in an order; those that were not judged last, as they are named. */
export function orderedLines<L extends Line & Readonly<{ day?: string }>>(
  lines: readonly L[],
  order: LineOrder,
): readonly L[] {
  const byName = (a: L, b: L) => a.label.localeCompare(b.label, 'en', { numeric: true })
  const key = ({ estimate = -Infinity, pValue = 0, n }: L): number =>
    order === 'estimate' ? -estimate : order === 'p-value' ? pValue : -n
  const isLast = ({ outcome }: L) => (outcome === undefined ? 1 : 0)
  return lines.toSorted((a, b) => {
    if (order === 'day')
      return (a.day ?? '~') < (b.day ?? '~') ? -1 : (a.day ?? '~') > (b.day ?? '~') ? 1 : byName(a, b)
    const last = isLast(a) - isLast(b)
    if (last !== 0 || order === 'name' || a.outcome === undefined) return last || byName(a, b)
    return key(a) - key(b) || byName(a, b)
  })
}
