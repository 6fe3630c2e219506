import { methodOf, parameterOf } from '@/claims/all'
import type { Claim } from '@/claims/terms/claim'
import type { Hypotheses } from '@/claims/terms/hypotheses'
import type { Method } from '@/claims/terms/names'
import type { DecimalMark } from '@/desk/typed'
import { formatCount, formatFull, formatNumber, formatPercent, withoutMadeUpDigits } from '../figures'
import { displayOf, shownGap, shownInFull } from '../display'
import { PARAMETER_WORDS } from './parameters'

/** What a plan looks for, by the side that its test looks at. */
export function gapWords({
  alternativeSide,
  claimIs,
}: Pick<Hypotheses, 'alternativeSide' | 'claimIs'>): string {
  if (alternativeSide === 'inside') return 'distance from the middle'
  if (claimIs === 'alternative') return alternativeSide === 'two-sided' ? 'difference' : 'margin'
  return { less: 'shortfall', greater: 'excess', 'two-sided': 'gap', outside: 'gap beyond a limit' }[
    alternativeSide
  ]
}

/** What a sample comes to that finds what is looked for. */
const findsWords = ({ claimIs }: Pick<Hypotheses, 'claimIs'>): string =>
  claimIs === 'null' ? 'contradicts the claim' : 'shows the claim'

/** What is counted when units are: readings of either source, an exposure, or units. */
export function unitsWords(method: Method, claim: Pick<Claim, 'exposureUnit'>, n: number): string {
  const { parameters } = methodOf(method)
  const count = Number.isInteger(n) ? formatCount(n) : formatFull(n)
  if (parameters.includes('rate')) return `${count} × ${claim.exposureUnit ?? 'the exposure'}`
  if (parameters.includes('variance-ratio')) return `${count} from either source`
  return n === 1 ? '1 unit' : `${count} units`
}

/** How far from the claimed value, in the claim's unit with every digit that was stated. */
export function statedGap(claim: Claim, gap: number): string {
  const display = displayOf(claim, 0)
  if (display.unit === '%') return `${formatFull(withoutMadeUpDigits(gap * 100))}\u202fpercentage points`
  return shownInFull(withoutMadeUpDigits(gap), display)
}

const GLANCE_DIGITS = 4

/** A gap that was computed, rounded for a glance. */
export const foundGap = (claim: Claim, gap: number): string => {
  const digits = Math.max(0, GLANCE_DIGITS - 1 - Math.floor(Math.log10(Math.abs(gap) || 1)))
  return shownGap(gap, displayOf(claim, digits))
}

/** A number as a person would type it, with so many digits. */
export function typedNumber(value: number, digits: number, decimalMark: DecimalMark): string {
  const text = String(Number(value.toPrecision(digits)))
  return decimalMark === 'comma' ? text.replace('.', ',') : text
}

/** A gap as a person would type it: of a share in percent. */
export function typedGap(
  { parameter }: Pick<Claim, 'parameter'>,
  gap: number,
  digits: number,
  decimalMark: DecimalMark,
): string {
  const { scale } = parameterOf(parameter)
  return `${typedNumber(gap * scale, digits, decimalMark)}${scale === 100 ? ' %' : ''}`
}

export const LOCKING =
  'Signed by name or key, and put on the trail of a case with a sample that has no reading yet and a claim that is held against it. It can’t be changed then; the finding will say what of it was kept and what was not.'
export const NO_SUCH_GAP = 'No true value lies so far from the claimed one. State a smaller gap.'

/** A power in percent, never rounded to all or nothing. */
export function powerWords(power: number): string {
  const shown = formatNumber(power * 100, 1)
  if (power < 1 && shown === '100.0') return '> 99.9\u202f%'
  if (power > 0 && shown === '0.0') return '< 0.1\u202f%'
  return `${shown}\u202f%`
}

/** The same behind an article: “an excess”. */
export const aGap = (hypotheses: Pick<Hypotheses, 'alternativeSide' | 'claimIs'>): string => {
  const words = gapWords(hypotheses)
  return `${/^[aeiou]/.test(words) ? 'an' : 'a'} ${words}`
}

/** What a sample of a size does where the truth is a gap away, and what it does where nothing is wrong. */
export function planSentence(
  claim: Claim,
  hypotheses: Hypotheses,
  found: Readonly<{ method: Method; truths: readonly number[]; power: number; level: number }>,
): string {
  const display = displayOf(claim, 0)
  const noun = PARAMETER_WORDS[claim.parameter].noun
  const truth = found.truths.map((value) => shownInFull(withoutMadeUpDigits(value), display)).join(' or ')
  const finds = findsWords(hypotheses)
  const often = `${methodOf(found.method).needsExpectedCounts ? 'about' : 'at most'} ${formatPercent(found.level)}`
  const wrongly = `If the claim only just ${hypotheses.claimIs === 'null' ? 'holds' : 'fails'}, it does so with ${often}.`
  return `If the ${noun} is truly ${truth}, a sample of this size ${finds} with a probability of ${powerWords(found.power).replace('> ', 'more than ').replace('< ', 'less than ')}${found.truths.length > 1 ? ' or more' : ''}. ${wrongly}`
}

/** What a plan takes for granted of the population, beside what was stated. */
export function takenForGranted(method: Method): string {
  if (method === 'sign')
    return 'The plan takes the readings to be normal, with the scatter stated; the sign test itself does not.'
  switch (methodOf(method).restsOn) {
    case 'mean':
      return 'It takes the readings to be normal, or the sample to be large.'
    case 'readings':
      return 'It takes the readings to be normal; a large sample does not mend readings that are not.'
    default:
      return ''
  }
}
