import { parameterOf } from '@/claims/all'
import { PARAMETER_WORDS } from '@/words/en/parameters'
import { type Parameter, PARAMETERS } from '@/claims/terms/names'
import type { ClaimWords } from '@/desk/claimDraft'
import { type DecimalMark, LONGEST_PHRASE } from '@/desk/typed'
import { formatNumber } from '@/words/figures'
import { stated } from './reading/fieldReader'
import { readExposureUnit } from './reading/exposure'
import { readItemWording } from './readItemWording'
import { readNumber } from './reading/number'
import {
  clauseAround,
  type Found,
  NEGATION,
  NUMBER,
  relationIn,
  type RelationSeen,
  UNIT,
} from './wordingRelation'

/** What a wording seems to claim: a first guess, of nothing that its words do not carry. */
export type Guess = Readonly<{
  words: Partial<Omit<ClaimWords, 'wording'>>
  /** The words that it was guessed from. */
  seen: readonly string[]
  /** What a claim needs and these words do not say, or say in a way that can be read differently. */
  unseen: readonly Unseen[]
}>

export type Unseen = 'parameter' | 'relation' | 'value'

/** Words that follow a number without being its unit. */
const NO_UNITS = new Set(
  (
    'a above after all always an and are as at before below better but by can do does during each either equal every exactly ' +
    'fewer for from has have if in is it its less longer may minimum maximum more most must net no not of on only or ' +
    'out over per percent plus should since so than that the then these they this those times to under up was were when where ' +
    'while will with within without'
  ).split(' '),
)
const OF = `(?<!within )(${NUMBER}) (?:out of|in every|of every|of|in) (?:every )?(${NUMBER})(?! ?%)`
/** Events per so many of something; "per hour" may be a unit of anything. */
const PER = `(${NUMBER}) ([A-Za-z][A-Za-z-]*) (?:per|for every|in each) (${NUMBER}) ?([A-Za-z][A-Za-z-]*)`
const PERCENT_OF = `(${NUMBER}) ?(?:%|per ?cent) of\\b(?! [\\d+-])`
const PLUS_MINUS = `(${NUMBER}) ?(${UNIT})?,? ?(?:±|\\+/-|\\+-|plus or minus) ?(${NUMBER}) ?(${UNIT})?`
const WITHIN_OF = `within (${NUMBER}) ?(${UNIT})? of (${NUMBER}) ?(${UNIT})?`
const RANGE = `(?:between (${NUMBER}) ?(${UNIT})? and|(?:from |within )?(${NUMBER}) ?(${UNIT})? ?(?:to|–|-)) ?(${NUMBER}) ?(${UNIT})?`

/**
 * Guesses what a claim's own wording says, from phrases such as "no less than", "on average", "95 out of 100" or "± 0.5".
 *
 * Nothing is guessed that is not said: two relations, a relation that is denied in a roundabout way, or several numbers of
 * which none stands beside the relation, are left to whoever checks the claim. A share in words becomes a percentage.
 *
 * @param mark - how numbers in it are written
 * @param assumed - the parameter on whose scale the value is written, where the words name none
 * @returns the guess; undefined where nothing of the kind is said
 * @example
 * readWording('no less than 500 ml on average', 'point')
 * // { words: { parameter: 'mean', relation: 'at-least', claimedValue: '500', unit: 'ml' }, seen: […], unseen: [] }
 */
export function readWording(wording: string, mark: DecimalMark, assumed?: Parameter): Guess | undefined {
  if (wording.length > LONGEST_PHRASE) return undefined
  const text = plainWords(wording)
  const number: ReadNumber = (found) => readIn(found, mark)
  const items = readItemWording(text)
  if (
    items &&
    number(items.words.limitValue) !== undefined &&
    !NEGATION.test(text.replace(/\bno (?:less|more|fewer) than\b|\bnot (?:less|more) than\b/gi, ''))
  )
    return { words: items.words, seen: [items.seen], unseen: items.words.relation ? [] : ['relation'] }
  const parameter = parameterIn(text)
  const relation = relationIn(text)
  const isEven = parameter && parameterOf(parameter.is).sample === 'two'
  const value = isEven
    ? // What is as even as another is claimed without a number.
      NEGATION.test(text)
      ? undefined
      : { words: { relation: 'equal-to', claimedValue: '1' } as const, seen: parameter.seen }
    : (rateIn(text, number, mark) ??
      shareIn(text, number, relation) ??
      toleranceIn(text, number, relation) ??
      valueIn(text, number, relation))
  const said = {
    ...(parameter ? { parameter: parameter.is } : {}),
    ...(relation.is ? { relation: relation.is } : {}),
    ...value?.words,
  }
  const words = onScale(said, said.parameter ?? assumed)
  const seen = [...new Set([value?.seen, relation.is && relation.seen, parameter?.seen])]
  if (Object.keys(words).length === 0) return undefined
  const unseen = (['parameter', 'relation', 'value'] as const).filter(
    (one) => words[one === 'value' ? 'claimedValue' : one] === undefined,
  )
  return { words, seen: seen.filter((one) => one !== undefined), unseen }
}

function plainWords(wording: string): string {
  return wording
    .replace(/[\u00a0\u2009\u202f\s]+/g, ' ')
    .replace(/\u2212/g, '-')
    .replace(/\bcan(?:not|['’]t)\b/gi, 'can not')
    .replace(/n['’]t\b/gi, ' not')
    .trim()
    .replace(/^[A-Z](?=[a-z])/, (letter) => letter.toLowerCase())
}

type Part<T> = Readonly<{ is: T; seen: string }>

/** The parameter that is named; none where two are. */
function parameterIn(text: string): Part<Parameter> | undefined {
  const lower = text.toLowerCase()
  const found = PARAMETERS.flatMap((is) => {
    const seen = PARAMETER_WORDS[is].phrases.exec(lower)?.[0]
    return seen === undefined ? [] : [{ is, seen }]
  })
  return found.length === 1 ? found[0] : undefined
}

type ReadNumber = (found: string | undefined) => number | undefined

function readIn(found: string | undefined, mark: DecimalMark): number | undefined {
  if (found === undefined) return undefined
  // A mark that is not the one in use may stand for thousands: nothing is guessed from it.
  const reading = readNumber(found, mark)
  return reading.ok ? reading.value : undefined
}

type Value = Readonly<{ words: Guess['words']; seen: string }>

/** A share in words is one of what is counted. */
const RATE = PARAMETERS.find((name) => parameterOf(name).sample === 'events')!
const COUNTED_PARAMETER = PARAMETERS.find((name) => parameterOf(name).sample === 'counted')!

/** A rate of events, per an amount of what they come over. */
function rateIn(text: string, number: ReadNumber, mark: DecimalMark): Value | undefined {
  const [found, ...others] = [...text.matchAll(new RegExp(PER, 'g'))]
  if (!found || others.length > 0 || number(found[1]) === undefined) return undefined
  const exposureUnit = `${found[3]!} ${found[4]!}`
  if (NO_UNITS.has(found[2]!.toLowerCase()) || !readExposureUnit(exposureUnit, mark)) return undefined
  const words = { parameter: RATE, quantity: found[2]!, claimedValue: found[1]!, exposureUnit }
  return { words, seen: found[0] }
}

/** A share; without its value where it is not sure which one is claimed. */
function shareIn(text: string, number: ReadNumber, { isBlurred }: RelationSeen): Value | undefined {
  const [percent, ...percents] = [...text.matchAll(new RegExp(PERCENT_OF, 'g'))]
  const isOpen = isBlurred || percents.length > 0
  if (percent && isOpen) return { words: { parameter: COUNTED_PARAMETER }, seen: percent[0] }
  if (percent && number(percent[1]) !== undefined)
    return { words: { parameter: COUNTED_PARAMETER, claimedValue: `${percent[1]!} %` }, seen: percent[0] }
  const [counted, ...others] = [...text.matchAll(new RegExp(OF, 'g'))]
  const [part, whole] = [number(counted?.[1]), number(counted?.[2])]
  if (!counted || part === undefined || whole === undefined || part < 0 || part > whole || whole < 2)
    return undefined
  const share = Number(((100 * part) / whole).toPrecision(15))
  // Two thirds are no exact number of percent.
  if (isBlurred || others.length > 0 || Number(share.toFixed(4)) !== share)
    return { words: { parameter: COUNTED_PARAMETER }, seen: counted[0] }
  return { words: { parameter: COUNTED_PARAMETER, claimedValue: `${share} %` }, seen: counted[0] }
}

/** Two limits, or a value with how far off it may be: said of no other relation, and denied by none. */
function toleranceIn(text: string, number: ReadNumber, relation: RelationSeen): Value | undefined {
  if (relation.is || relation.isBlurred) return undefined
  const match = (pattern: string) => {
    const found = new RegExp(pattern, 'i').exec(text)
    if (!found) return undefined
    const around = clauseAround(text, { at: found.index, end: found.index + found[0].length })
    return around.some((one) => NEGATION.test(one)) ? undefined : found
  }
  const about = match(PLUS_MINUS)
  if (about) return within(about[0], [about[1], about[2]], [about[3], about[4]], number)
  const off = match(WITHIN_OF)
  if (off) return within(off[0], [off[3], off[4]], [off[1], off[2]], number)
  const range = match(RANGE)
  if (!range) return undefined
  const [first, unit] = range[1] === undefined ? [range[3], range[4]] : [range[1], range[2]]
  const [from, to] = [number(first), number(range[5])]
  if (from === undefined || to === undefined || !(from < to)) return undefined
  const decimals =
    Math.max(...[first!, range[5]!].map((one) => (/[.,](\d+)/.exec(one)?.[1] ?? '').length)) + 1
  const written = (value: number) => String(Number(formatNumber(value, decimals).replace('\u2212', '-')))
  const half = written((to - from) / 2)
  return {
    words: {
      relation: 'within',
      claimedValue: written((from + to) / 2),
      toleranceBelow: half,
      toleranceAbove: half,
      ...unitIn(range[6] ?? unit),
    },
    seen: range[0].trim(),
  }
}

type Written = readonly [number: string | undefined, unit: string | undefined]

/** A value with how far off it may be, which is a part of it only where it is in the same unit. */
function within(seen: string, [value, unit]: Written, [tolerance, other]: Written, number: ReadNumber) {
  const isRelative = unit !== undefined && other !== undefined && unit !== other
  if (isRelative || number(value) === undefined || number(tolerance) === undefined) return undefined
  const limits = { toleranceBelow: tolerance!, toleranceAbove: tolerance! }
  return {
    words: { relation: 'within', claimedValue: value!, ...limits, ...unitIn(other ?? unit) } as const,
    seen: seen.trim(),
  }
}

/** The number beside the relation; where there is no relation, the only one. */
function valueIn(text: string, number: ReadNumber, { found, isBlurred }: RelationSeen): Value | undefined {
  if (isBlurred) return undefined
  const pattern = new RegExp(`(${NUMBER})(?: ?(${UNIT}))?`, 'g')
  const all = [...text.matchAll(pattern)]
  const beside = found && all.filter(({ index, 0: seen }) => isBeside(found, index, index + seen.length))
  const [one, ...more] = beside?.length ? beside : all
  if (!one || more.length > 0 || number(one[1]) === undefined) return undefined
  const { unit } = unitIn(one[2])
  return { words: { claimedValue: one[1]!, ...stated({ unit }) }, seen: unit ? one[0] : one[1]! }
}

function isBeside({ side, at, end: till }: Found, start: number, end: number): boolean {
  if (side === 'before') return start >= till - 1 && start <= till + 1
  return side === 'after' && end <= at && end >= at - 2
}

function unitIn(unit: string | undefined): Readonly<{ unit?: string }> {
  return unit === undefined || NO_UNITS.has(unit.toLowerCase()) ? {} : { unit }
}

/** A share has no unit: its percent sign stands with its value. */
function onScale(words: Guess['words'], parameter: Parameter | undefined): Guess['words'] {
  const { unit, ...rest } = words
  if (parameter !== COUNTED_PARAMETER || unit !== '%' || rest.claimedValue === undefined) return words
  const percent = (value: string | undefined) => (value === undefined ? undefined : `${value} %`)
  return {
    ...rest,
    ...stated({
      claimedValue: percent(rest.claimedValue),
      toleranceBelow: percent(rest.toleranceBelow),
      toleranceAbove: percent(rest.toleranceAbove),
    }),
  }
}
