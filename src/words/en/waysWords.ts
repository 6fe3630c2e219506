import type { Hypotheses } from '@/claims/terms/hypotheses'
import type { WayToDecide } from '@/claims/result'
import { type Display, scaled, shownInFull } from '../display'
import { formatApart, formatFull, formatLimit, formatPercent, formatPValue, withUnit } from '../figures'

type Formats = Readonly<{
  /** The statistic's letter. */
  statistic: string
  /** Of the parameter's values. */
  display: Display
  /** Of the statistic. */
  plainDecimals: number
}>

/** One way to decide as a comparison that can be checked: "t −3.245 ≤ −1.714". */
export function wayWords(way: WayToDecide, hypotheses: Hypotheses, formats: Formats): string {
  switch (way.way) {
    case 'p-value':
      return `p-value ${formatPValue(way.pValue, way.limit)} ${way.rejects ? '≤' : '>'} ${formatFull(way.limit)}`
    case 'statistic':
      return statisticWords(way, hypotheses, formats)
    case 'interval':
      return way.against.length === 1 ? boundWords(way, formats) : toleranceWords(way, hypotheses, formats)
    default:
      return way satisfies never
  }
}

type StatisticWay = Extract<WayToDecide, { way: 'statistic' }>
type IntervalWay = Extract<WayToDecide, { way: 'interval' }>

const OPPOSITE = { '≤': '>', '≥': '<' } as const

function statisticWords(way: StatisticWay, { alternativeSide }: Hypotheses, formats: Formats): string {
  const { statistic: t, plainDecimals } = formats
  const compare = (value: number, wanted: '≤' | '≥', limit: number | undefined, name = t) => {
    if (limit === undefined) return `no ${t} is far enough out`
    const [shown, against] = formatApart(value, limit, decimalsOf(value, limit, plainDecimals))
    const holds = wanted === '≤' ? value <= limit : value >= limit
    return `${name} ${shown} ${holds ? wanted : OPPOSITE[wanted]} ${against}`
  }
  const [first, last] = [way.statistics[0]!, way.statistics.at(-1)!]
  const [atFirst, atLast] = [way.limits[0]!, way.limits.at(-1)!]
  const { lower, upper } = atFirst
  switch (alternativeSide) {
    case 'less':
      return compare(first, '≤', lower)
    case 'greater':
      return compare(first, '≥', upper)
    case 'two-sided':
      if (lower !== undefined && lower === -upper!) return compare(Math.abs(first), '≥', upper, `|${t}|`)
      if (lower === undefined) return compare(first, '≥', upper)
      return first <= lower || upper === undefined
        ? compare(first, '≤', lower)
        : first >= upper
          ? compare(first, '≥', upper)
          : `${compare(first, '≤', lower)} and ${compare(first, '≥', upper)}`
    case 'outside':
      return `${compare(first, '≤', lower)} or ${compare(last, '≥', atLast.upper)}`
    case 'inside':
      return `${compare(first, '≥', upper)} and ${compare(last, '≤', atLast.lower)}`
    default:
      return alternativeSide satisfies never
  }
}

/** Counts are shown as they are. */
function decimalsOf(value: number, limit: number, decimals: number): number {
  return Number.isInteger(value) && Number.isInteger(limit) ? 0 : decimals
}

function boundWords(way: IntervalWay, { display }: Formats): string {
  const value = way.against[0]!
  const level = formatPercent(way.level)
  const claimed = shownInFull(value, display)
  const apart = (end: number | undefined) => endWords(end, value, display)
  // An end may belong to what is not rejected.
  const atEnd = way.lower === value || way.upper === value
  if (way.sides === 'upper')
    return `${level} upper bound ${apart(way.upper)} ${way.rejects ? '≤' : atEnd ? '≥' : '>'} ${claimed}`
  if (way.sides === 'lower')
    return `${level} lower bound ${apart(way.lower)} ${way.rejects ? '≥' : atEnd ? '≤' : '<'} ${claimed}`
  const ends = `${apart(way.lower)} to ${apart(way.upper)}`
  return `${level} interval ${ends} ${way.rejects ? 'leaves out' : 'holds'} ${claimed}`
}

function toleranceWords(way: IntervalWay, { alternativeSide }: Hypotheses, { display }: Formats): string {
  const [lowest, highest] = [way.against[0]!, way.against[1]!]
  const ends = `${endWords(way.lower, lowest, display)} to ${endWords(way.upper, highest, display)}`
  const limits = `${formatLimit(scaled(lowest, display))} to ${withUnit(formatLimit(scaled(highest, display)), display.unit)}`
  const lies = alternativeSide === 'inside' ? 'inside' : 'outside'
  return `${formatPercent(way.level)} interval ${ends} ${way.rejects ? 'lies' : 'does not lie wholly'} ${lies} ${limits}`
}

/** An end of an interval, with as many decimals as it takes not to look like the value that it is compared with. */
function endWords(end: number | undefined, value: number, display: Display): string {
  if (end === undefined) return 'without an end'
  const shown = formatApart(scaled(end, display), scaled(value, display), display.decimals)[0]
  return display.scale === 1 ? shown : withUnit(shown, display.unit)
}
