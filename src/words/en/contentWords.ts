import type { ComputedContent } from '@/claims/content/content'
import type { ContentFigures } from '@/claims/terms/contentResult'
import type { ControlPlan } from '@/claims/terms/controlPlan'
import { openConditions } from './conditionWords'
import {
  decimalsFor,
  formatApart,
  formatCount,
  formatFull,
  formatNumber,
  formatPercent,
  withoutMadeUpDigits,
  withUnit,
} from '../figures'

/** How a pack is called, by its index; on paper by its row. */
export type PackNames = (index: number) => string
const byNumber: PackNames = (index) => `no. ${formatCount(index + 1)}`

/** More than these are counted, and stand by name with the figures. */
const MAX_NAMED = 12

type Judged = ContentFigures | ComputedContent

const decimalsIn = ({ average, n, nominal }: Judged) =>
  decimalsFor(average.standardDeviation ? average.standardDeviation / Math.sqrt(n) : nominal / 10_000)

/** A quantity in the unit of the label, to as many decimals as the mean is worth. */
export const contentQuantity = (figures: Judged, value: number): string =>
  withUnit(formatNumber(value, decimalsIn(figures)), figures.unit)

const mostOf = (allowed: number) => (allowed === 0 ? 'none' : `at most ${formatCount(allowed)}`)
const whole = ({ unit }: Judged, value: number) => withUnit(formatFull(withoutMadeUpDigits(value)), unit)

const packs = (count: number) => (count === 1 ? '1 pack' : `${formatCount(count)} packs`)
const are = (count: number) => (count === 1 ? 'is' : 'are')

export const CRITERION_STATES = { met: 'met', 'not-met': 'not met', 'not-judged': 'not judged' } as const
export type CriterionState = keyof typeof CRITERION_STATES

/** One of the three criteria: what it asks, what was seen, and what that is held against. */
export type CriterionLine = Readonly<{ asks: string; seen: string; limit: string; state: CriterionState }>

export const CRITERIA_HEADS = ['Criterion', 'Seen', 'Limit', 'Met'] as const

const stateOf = (met: boolean | undefined): CriterionState =>
  met === undefined ? 'not-judged' : met ? 'met' : 'not-met'

/** The three criteria side by side, each with its own mark. */
export function criterionLines(figures: Judged, nameOf: PackNames = byNumber): readonly CriterionLine[] {
  const { nominal, tolerableDeficiency: deficiency, average, beyondT, beyondTwiceT, n } = figures
  const count = (rows: readonly number[]) => {
    const named = rows.slice(0, MAX_NAMED).map(nameOf)
    const more = rows.length > MAX_NAMED ? ` and ${formatCount(rows.length - MAX_NAMED)} more` : ''
    return rows.length === 0
      ? `none of ${packs(n)}`
      : `${formatCount(rows.length)} of ${formatCount(n)}: ${named.join(', ')}${more}`
  }
  const p = beyondT.pValue === undefined ? '' : `, p = ${formatNumber(beyondT.pValue, 3)}`
  return [
    {
      asks: `The packs hold ${whole(figures, nominal)} on average`,
      seen: averageWords(figures),
      limit: 'at least 0',
      state: stateOf(average.met),
    },
    {
      asks: `Few are short by more than T, ${whole(figures, deficiency)}`,
      seen: `${count(beyondT.rows)}${p}`,
      limit: mostOf(beyondT.allowed),
      state: stateOf(beyondT.met),
    },
    {
      asks: `None is short by more than 2T, ${whole(figures, 2 * deficiency)}`,
      seen: count(beyondTwiceT.rows),
      limit: 'none',
      state: stateOf(beyondTwiceT.met),
    },
  ]
}

function averageWords(figures: Judged): string {
  const { meanError, standardDeviation, factor, sum } = figures.average
  const error = `mean error ${contentQuantity(figures, meanError)}`
  if (sum === undefined) return `${error}; one pack has no scatter to judge it by`
  // On which side of 0 it lies has to be seen.
  const [shown] = formatApart(sum, 0, decimalsIn(figures))
  return `${error}, allowance f·s ${contentQuantity(figures, factor! * standardDeviation!)}, together ${withUnit(shown, figures.unit)}`
}

export type ContentWords = Readonly<{ quantity?: string | undefined }>

const claimed = (figures: Judged, { quantity }: ContentWords) =>
  `the net content${quantity?.trim() ? ` of ${quantity.trim()}` : ''} is ${whole(figures, figures.nominal)}`

/** The finding of a control: which criteria decide it, with their figures. */
export function contentSentence(figures: ComputedContent, words: ContentWords): string {
  const { average, beyondT, beyondTwiceT, tolerableDeficiency: deficiency, n, controlPlan } = figures
  const count = beyondT.rows.length
  const isThere = (rows: number) => (rows === 0 ? 'none' : `${formatCount(rows)} of ${packs(n)}`)
  const said = [
    average.met === false
      ? `on average the packs are short, by more than their scatter explains (${averageWords(figures)}, below 0)`
      : average.met
        ? `the average meets it (${averageWords(figures)}, not below 0)`
        : `the average of one pack is not judged (${averageWords(figures)})`,
    `${isThere(count)} ${are(Math.max(1, count))} short by more than ${whole(figures, deficiency)}, where ${mostOf(beyondT.allowed)} may be`,
    `${isThere(beyondTwiceT.rows.length)} ${are(Math.max(1, beyondTwiceT.rows.length))} short by more than ${whole(figures, 2 * deficiency)}, where none may be`,
  ]
  const states = [average.met, beyondT.met, beyondTwiceT.met]
  const failed = said.filter((_, at) => states[at] === false)
  const other = said.filter((_, at) => states[at] !== false)
  const verb = figures.outcome === 'contradicted' ? 'contradicts' : 'does not contradict'
  const decisive = failed.length > 0 ? failed : other
  const rest = failed.length > 0 && other.length > 0 ? ` The other criteria: ${other.join('; ')}.` : ''
  return `By the control plan “${controlPlan.name}” the sample of ${packs(n)} ${verb} that ${claimed(figures, words)}: ${decisive.join('; ')}.${rest}`
}

/** What a control does not show, and how often its first criterion goes wrong as far as that can be stated. */
export function contentLimits(figures: ComputedContent): string {
  const { outcome, average, conditions, controlPlan } = figures
  if (outcome === 'not-contradicted')
    return 'This does not show that the lot holds what its label says on average, or that no other pack of it is short by more: a lot that is short by a little passes too.'
  if (average.met !== false)
    return 'It is what these packs hold that decides, not an average: how often a lot as it should be fails so depends on how its contents scatter, and can’t be stated.'
  const open = openConditions(conditions)
  const level = formatPercent(controlPlan.averageLevel)
  return open
    ? `How often the first criterion goes wrong can’t be stated, since conditions that it rests on are open: ${open}.`
    : `How often the first criterion goes wrong: a lot that holds on average just what its label says fails it in about ${level} of samples drawn like this one.`
}

/** By how much a lot would have to hold more for this sample to pass; empty where it passes. */
export function toPassWords(figures: ContentFigures): string {
  const { toPass, unit } = figures
  if (toPass.raise === 0) return ''
  // Rounded up: so much would do.
  const decimals = decimalsIn(figures)
  const raise = Math.ceil(Number((toPass.raise * 10 ** decimals).toPrecision(12))) / 10 ** decimals
  return `With the scatter as it is, this sample would have passed had every pack held ${withUnit(formatNumber(raise, decimals), unit)} more.`
}

/** What a reader has to know of the plan and of how it was followed. */
export function contentWarnings(
  figures: ContentFigures,
  { lotSize }: Readonly<{ lotSize?: number | undefined }>,
): readonly Readonly<{ code: string; message: string }>[] {
  const { controlPlan, plan, average, n, beyondT } = figures
  const { share, level } = controlPlan.otherwise
  const rule = `So the packs short by more than T are held against a binomial distribution: ${beyondT.allowed === 0 ? 'even one' : `more than ${formatCount(beyondT.allowed)}`} of ${packs(n)} would be too many, were ${formatPercent(share)} of the lot short by more, at a level of ${formatPercent(level)}.`
  const own = controlPlan.sampling.find((row) => row.n === n && row.allowed !== beyondT.allowed)
  const stricter =
    own && !plan.isThePlans
      ? ` For ${packs(n)} of the lots that it takes so many of the plan allows ${formatCount(own.allowed)}.`
      : ''
  const why =
    lotSize === undefined
      ? 'The size of the lot is not stated, so that it is not known how many packs the plan asks for.'
      : plan.n === undefined
        ? `The plan knows no lot of ${packs(lotSize)}.`
        : `The plan asks for ${packs(plan.n)} of a lot of ${formatCount(lotSize)}, and ${formatCount(n)} ${n === 1 ? 'was' : 'were'} judged.`
  return [
    ...(controlPlan.isFromMemory
      ? [
          {
            code: 'plan-from-memory',
            message: `The control plan was written down from memory of ${controlPlan.source}. Check it against the document before relying on it.`,
          },
        ]
      : []),
    ...(plan.isThePlans ? [] : [{ code: 'not-the-plans-n', message: `${why} ${rule}${stricter}` }]),
    ...(average.met === undefined
      ? [
          {
            code: 'average-not-judged',
            message: 'One pack tells nothing of the scatter, so the average is not judged. Take more.',
          },
        ]
      : []),
  ]
}

/** Where a plan is published, and whether it was written down from memory. */
export const planSource = ({ source, isFromMemory }: ControlPlan): string =>
  `${source.trim() || 'not stated'}${isFromMemory ? '; written down from memory, to be checked against the document' : ''}`

/** The rules of a plan in a few sentences. */
export function planWords({ name, source, averageLevel, sampling }: ControlPlan): string {
  const rows = sampling.map(
    ({ from, to, n, allowed }) =>
      `of a lot of ${to === undefined ? `${formatCount(from)} or more` : `${formatCount(from)} to ${formatCount(to)}`}, ${packs(n)}, of which ${formatCount(allowed)} may be short by more than T`,
  )
  return `By the plan “${name}”${source.trim() === '' ? '' : ` (${source.trim()})`}: ${rows.join('; ')}. None may be short by more than 2T, and the average is tested at ${formatPercent(averageLevel)}, one-sided.`
}

/** The figures of a control that are looked for first. */
export function controlFigures(figures: ContentFigures): readonly (readonly [string, string])[] {
  const { n, nominal, average, tolerableDeficiency: deficiency, meanTare, toPass } = figures
  const { meanError, standardDeviation } = average
  return [
    ['Packs judged', formatCount(n)],
    ['Mean content', contentQuantity(figures, nominal + meanError)],
    ...(standardDeviation === undefined
      ? []
      : [['Standard deviation', contentQuantity(figures, standardDeviation)] as const]),
    ...(meanTare === undefined
      ? []
      : [['Mean tare', withUnit(formatFull(Number(meanTare.value.toPrecision(7))), meanTare.unit)] as const]),
    ['Tolerable deficiency T', whole(figures, deficiency)],
    ...(toPass.meanError === undefined
      ? []
      : [
          [
            'Least mean that meets the average',
            contentQuantity(figures, nominal + toPass.meanError),
          ] as const,
        ]),
  ]
}

/** Why no questions are asked of a control. */
export const NOT_CROSS_EXAMINED =
  'A control is not cross-examined: each criterion stands with the packs that decide it, and how often a lot that is short passes stands with the test.'

export const OPERATING_HEADS = [
  'Short on average by',
  'Passes the first criterion',
  'Passes all three',
  'Its standard error',
] as const

/** How often lots pass that are short on average by more and more. */
export function operatingRows(figures: ContentFigures): readonly (readonly string[])[] {
  return (figures.operating?.points ?? []).map(({ short, average, all, standardError }) => [
    contentQuantity(figures, short),
    `${formatNumber(average * 100, 1)}\u202f%`,
    `${formatNumber(all * 100, 1)}\u202f%`,
    `${formatNumber(standardError * 100, 1)}\u202f%`,
  ])
}

/** How often a lot that is short passes: what the figures rest on. */
export function operatingWords(figures: ContentFigures): string {
  const { operating, average } = figures
  if (!operating) return ''
  return `Of lots of near-normal contents with a standard deviation of ${contentQuantity(figures, average.standardDeviation!)}: on average worked out exactly, by all three criteria from ${formatCount(operating.samples)} samples that were drawn (seed ${operating.seed}).`
}
