import { parameterOf } from '@/claims/all'
import { PARAMETER_WORDS } from '@/words/en/parameters'
import { RELATION_SENTENCES } from '@/words/en/relations'
import { type Parameter, PARAMETERS } from '@/claims/terms/names'
import type { Relation } from '@/claims/terms/relations'
import type { ClaimDraft } from '@/desk/claimDraft'
import type { DecimalMark } from '@/desk/typed'
import { formatNumber } from '@/words/figures'
import { readNumber } from './reading/number'

/** What a wording seems to claim: a first guess, never more. */
export type Guess = Readonly<{
  words: Partial<
    Pick<ClaimDraft, 'parameter' | 'relation' | 'claimedValue' | 'toleranceBelow' | 'toleranceAbove' | 'unit'>
  >
  /** The words that it was guessed from. */
  seen: readonly string[]
}>

type Phrase<T> = readonly [RegExp, T]

/** Longer phrases first: "no less than" holds "less than", and "not more than" holds "more than". */
const RELATION_PHRASES: readonly Phrase<Relation>[] = (Object.keys(RELATION_SENTENCES) as Relation[]).flatMap(
  (name) => RELATION_SENTENCES[name].phrases.map((phrase) => [phrase, name] as const),
)
const PARAMETER_PHRASES: readonly Phrase<Parameter>[] = (Object.keys(PARAMETER_WORDS) as Parameter[]).map(
  (name) => [PARAMETER_WORDS[name].phrases, name],
)
/** A share in words is one of what is counted. */
const COUNTED_PARAMETER = PARAMETERS.find((name) => parameterOf(name).sample === 'counted')!
const NUMBER = '[+-]?\\d+(?:[.,]\\d+)?'
const UNIT = '(?:%|°[CF]|[µ°]?[A-Za-z]+(?:/[A-Za-z]+)?[²³]?)'
/** Words that follow a number without being its unit. */
const NO_UNITS = new Set([
  'of',
  'out',
  'in',
  'to',
  'and',
  'or',
  'net',
  'per',
  'on',
  'than',
  'times',
  'percent',
  'from',
])
const COUNTED = new RegExp(
  `(${NUMBER}) (?:out of|in every|of every|of|in) (?:every )?(${NUMBER})(?![\\d.,]*\\s*%)`,
)
const PERCENT_OF = new RegExp(`(${NUMBER}) ?(?:%|per ?cent) of\\b`)
const PLUS_MINUS = new RegExp(
  `(${NUMBER}) ?(${UNIT})? ?(?:±|\\+/-|\\+-|plus or minus) ?(${NUMBER}) ?(${UNIT})?`,
)
const RANGE = new RegExp(
  `(?:between |from )?(${NUMBER}) ?(${UNIT})? ?(?:to|and|–|-) ?(${NUMBER}) ?(${UNIT})?`,
)
const VALUE = new RegExp(`(${NUMBER}) ?(${UNIT})?`)

/**
 * Guesses what a claim's own wording says, from phrases such as "no less than", "on average", "95 out of 100" or "± 0.5".
 *
 * A share in words becomes a percentage. Whoever checks the claim decides whether the guess is right.
 *
 * @param mark - how numbers in it are written
 * @returns the guess; undefined where nothing of the kind is said
 */
export function readWording(wording: string, mark: DecimalMark): Guess | undefined {
  const text = plainWords(wording)
  const number = (found: string | undefined) => readIn(found, mark)
  const relation = firstOf(RELATION_PHRASES, text)
  const parameter = firstOf(PARAMETER_PHRASES, text)
  const share = shareIn(text, number)
  if (share) {
    return {
      words: {
        parameter: COUNTED_PARAMETER,
        relation: relation?.meaning ?? 'at-least',
        claimedValue: share.value,
      },
      seen: [share.seen, ...(relation ? [relation.seen] : [])],
    }
  }
  // What is as even as another is claimed without a number.
  if (parameter && parameterOf(parameter.meaning).sample === 'two') {
    return {
      words: { parameter: parameter.meaning, relation: 'equal-to', claimedValue: '1' },
      seen: [parameter.seen],
    }
  }
  const value = toleranceIn(text, number) ?? valueIn(text, number, relation?.meaning)
  if (!value && !relation && !parameter) return undefined
  return {
    words: {
      parameter: parameter?.meaning ?? PARAMETERS[0],
      ...value?.words,
      ...(relation && !value?.isRange ? { relation: relation.meaning } : {}),
    },
    seen: [value?.seen, relation && !value?.isRange ? relation.seen : undefined, parameter?.seen].filter(
      (one) => one !== undefined,
    ),
  }
}

function plainWords(wording: string): string {
  return wording
    .replace(/[\u00a0\u2009\u202f\s]+/g, ' ')
    .replace(/\u2212/g, '-')
    .trim()
    .replace(/^[A-Z](?=[a-z])/, (letter) => letter.toLowerCase())
}

function firstOf<T>(phrases: readonly Phrase<T>[], text: string) {
  const lower = text.toLowerCase()
  for (const [pattern, meaning] of phrases) {
    const found = pattern.exec(lower)
    if (found) return { meaning, seen: found[0] }
  }
  return undefined
}

type ReadNumber = (found: string | undefined) => number | undefined

function readIn(found: string | undefined, mark: DecimalMark): number | undefined {
  if (found === undefined) return undefined
  // A mark that is not the one in use may stand for thousands: nothing is guessed from it.
  const reading = readNumber(found, mark)
  return reading.ok ? reading.value : undefined
}

function shareIn(text: string, number: ReadNumber) {
  const percent = PERCENT_OF.exec(text)
  if (percent && number(percent[1]) !== undefined) return { value: `${percent[1]!} %`, seen: percent[0] }
  const counted = COUNTED.exec(text)
  const [part, whole] = [number(counted?.[1]), number(counted?.[2])]
  if (!counted || part === undefined || whole === undefined || part < 0 || part > whole || whole < 2)
    return undefined
  const share = Number(((100 * part) / whole).toPrecision(15))
  // Two thirds are no exact number of percent.
  if (Number(share.toFixed(4)) !== share) return undefined
  return { value: `${share} %`, seen: counted[0] }
}

type Value = Readonly<{ words: Guess['words']; seen: string; isRange: boolean }>

function toleranceIn(text: string, number: ReadNumber): Value | undefined {
  const about = PLUS_MINUS.exec(text)
  if (about && number(about[1]) !== undefined && number(about[3]) !== undefined) {
    const tolerance = { toleranceBelow: about[3]!, toleranceAbove: about[3]! }
    const words = {
      relation: 'within',
      claimedValue: about[1]!,
      ...tolerance,
      ...unitIn(about[4] ?? about[2]),
    } as const
    return { words, seen: about[0].trim(), isRange: true }
  }
  const range = RANGE.exec(text)
  const [from, to] = [number(range?.[1]), number(range?.[3])]
  if (!range || from === undefined || to === undefined || !(from < to)) return undefined
  const decimals =
    Math.max(...[range[1]!, range[3]!].map((one) => (/[.,](\d+)/.exec(one)?.[1] ?? '').length)) + 1
  const written = (value: number) => String(Number(formatNumber(value, decimals).replace('\u2212', '-')))
  const half = written((to - from) / 2)
  const words = {
    relation: 'within',
    claimedValue: written((from + to) / 2),
    toleranceBelow: half,
    toleranceAbove: half,
    ...unitIn(range[4] ?? range[2]),
  } as const
  return { words, seen: range[0].trim(), isRange: true }
}

function valueIn(text: string, number: ReadNumber, relation: Relation | undefined): Value | undefined {
  const found = VALUE.exec(text)
  if (!found || number(found[1]) === undefined) return undefined
  const words = { relation: relation ?? 'at-least', claimedValue: found[1]!, ...unitIn(found[2]) } as const
  return { words, seen: found[0].trim(), isRange: false }
}

function unitIn(unit: string | undefined): Readonly<{ unit?: string }> {
  return unit === undefined || NO_UNITS.has(unit.toLowerCase()) ? {} : { unit }
}
