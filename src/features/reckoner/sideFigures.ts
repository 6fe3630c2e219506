import { reckon } from '@/answers/reckon'
import { ANY, FieldReader, type FieldProblem, NOT_NEGATIVE, wholeFrom } from '@/intake/reading/fieldReader'
import { type Share, shareOf, shownFigure, shownShare } from '@/words/en/reckonWords'
import { formatFull, formatFullPValue, withoutMadeUpDigits } from '@/words/figures'

/** What people reckon on the side, by the names of what they type. */
export const SIDE_FIELDS = {
  spread: 'standard deviation',
  variance: 'variance',
  sampleSize: 'sample size',
  sampleMean: 'mean',
  claimed: 'claimed value',
  count: 'number that counts',
  of: 'number of units',
  share: 'share',
  z: 'z',
} as const
export type SideField = keyof typeof SIDE_FIELDS
export type SideTexts = Readonly<Partial<Record<SideField, string>>>

export type SideFigure = Readonly<{ shown: string; full: string }>
type SideFigures = Readonly<{
  variance?: SideFigure | undefined
  spread?: SideFigure | undefined
  /** The standard error of a mean, and how many of it the mean lies from the claimed value. */
  error?: SideFigure | undefined
  gap?: SideFigure | undefined
  /** Of a count, and of a share that is typed: in percent, and as a part of 1. */
  counted?: readonly SideFigure[] | undefined
  share?: readonly SideFigure[] | undefined
  /** Beyond z on one side, and on both. */
  tail?: SideFigure | undefined
  tails?: SideFigure | undefined
}>

/** The figures that follow from what is typed, each where all that it takes is there. */
export function onTheSide(
  texts: SideTexts,
): Readonly<{ figures: SideFigures; problems: readonly FieldProblem<SideField>[] }> {
  const reader = new FieldReader<SideField>(texts, 'point')
  const number = (field: SideField, range = ANY) => reader.number(field, SIDE_FIELDS[field], range)
  const [spread, variance] = [number('spread', NOT_NEGATIVE), number('variance', NOT_NEGATIVE)]
  const n = number('sampleSize', wholeFrom(1))
  const [mean, claimed] = [number('sampleMean'), number('claimed')]
  const of = number('of', wholeFrom(1))
  const count = number('count', wholeFrom(0, of))
  const share = reader.share('share', SIDE_FIELDS.share)
  const z = number('z')
  const error = spread === undefined || n === undefined ? undefined : spread / Math.sqrt(n)
  const gap = mean === undefined || claimed === undefined ? undefined : mean - claimed
  return {
    figures: {
      variance: figure(spread && spread * spread),
      spread: figure(variance && Math.sqrt(variance)),
      error: figure(error),
      // No gap is so many times nothing.
      gap: figure(error && gap !== undefined ? gap / error : undefined),
      counted: shares(count === undefined || of === undefined ? undefined : count / of),
      share: shares(share),
      ...(z === undefined ? {} : beyond(Math.abs(z))),
    },
    problems: reader.problems,
  }
}

function figure(value: number | undefined): SideFigure | undefined {
  return value === undefined
    ? undefined
    : { shown: shownFigure(value), full: formatFull(withoutMadeUpDigits(value)) }
}

function shares(value: number | undefined): readonly SideFigure[] | undefined {
  if (value === undefined) return undefined
  const percent = withoutMadeUpDigits(value * 100)
  return [{ shown: shownShare({ pValue: value }), full: formatFull(percent) }, figure(value)!]
}

/** What a normal distribution has beyond z. */
function beyond(z: number): Pick<SideFigures, 'tail' | 'tails'> {
  const answer = reckon({ reckon: { distribution: { name: 'normal' }, x: z } })
  if (!answer.ok) return {}
  const { upper, logUpper, both } = answer.reckon
  const shown = (one: Share): SideFigure => ({ shown: shownShare(one), full: formatFullPValue(one) })
  return {
    tail: shown(shareOf(upper, logUpper)),
    tails: shown(shareOf(both, logUpper === undefined ? undefined : logUpper + Math.LN2)),
  }
}
