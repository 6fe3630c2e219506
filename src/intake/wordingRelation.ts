import { RELATION_SENTENCES } from '@/words/en/relations'
import { type Relation, RELATIONS } from '@/claims/terms/relations'

/** Digits and marks as they stand, also where they are grouped, so that no part of a number is taken for the whole. */
export const NUMBER = "(?<![\\w.,:/])[+-]?\\d+(?: \\d{3}(?!\\d))*(?:[.,’']\\d+)*(?![\\d:/’']|[.,]\\d|-[a-z])"
export const UNIT = '(?:%|°[CF]|[µ°]?[A-Za-z]+(?:/[A-Za-z]+)?[²³]?)'
/** What may stand between a relation and its number. */
const FILLERS =
  '(?: ?(?:an?|the|its|their|our|of|is|are|as|to|be|by|about|stated|claimed|declared|nominal|average|mean|median|total|value|level)(?![a-z]))*[ :]*'
export const NEGATION = /\b(?:not|never|no|nor|neither|hardly|without)\b/
const DIRECT_NEGATION = /\b(?:not|never)(?: (?:be|ever|been|have been|to be))?\s*$/

export type Found = Readonly<{ is: Relation; seen: string; at: number; end: number; side: Side }>
type Side = 'before' | 'after' | 'anywhere'

/** The relation that is said, undefined where there is none, or it is not sure; `isBlurred` where something was said. */
export type RelationSeen = Readonly<{ is?: Relation; seen?: string; found?: Found; isBlurred: boolean }>

const word = (pattern: string) => `(?<![a-z])(?:${pattern})(?![a-z])`
const SHAPES: { readonly [Name in Side]: (pattern: string) => string } = {
  before: (pattern) => `${word(pattern)}${FILLERS}(?=[£$€]?${NUMBER})`,
  after: (pattern) => `(?<=\\d ?(?:${UNIT})?,? ?)${word(pattern)}`,
  anywhere: word,
}
const PHRASES = RELATIONS.flatMap((is) =>
  (Object.entries(RELATION_SENTENCES[is].phrases) as [Side, string][]).map(
    ([side, pattern]) => [new RegExp(SHAPES[side](pattern), 'gi'), is, side] as const,
  ),
)

/** The relation that a wording says of a number beside it. */
export function relationIn(text: string): RelationSeen {
  const all = PHRASES.flatMap(([pattern, is, side]) =>
    [...text.matchAll(pattern)].map(({ 0: seen, index: at }): Found => {
      return { is, seen: seen.trim(), at, end: at + seen.length, side }
    }),
  )
  const isWithin = (one: Found, other: Found) =>
    one !== other && one.at >= other.at && one.end <= other.end && one.end - one.at < other.end - other.at
  // "Less than" is a part of "no less than".
  const whole = all.filter((one) => !all.some((other) => isWithin(one, other)))
  const [found] = whole
  if (!found) return { isBlurred: false }
  if (whole.some(({ is }) => is !== found.is)) return { isBlurred: true }
  const [before, after] = clauseAround(text, found)
  const isDenied = DIRECT_NEGATION.test(before)
  const isElsewhere = NEGATION.test(before.replace(DIRECT_NEGATION, '')) || NEGATION.test(after)
  const is = isDenied ? RELATION_SENTENCES[found.is].denied : found.is
  if (isElsewhere || !is) return { isBlurred: true }
  const seen = isDenied ? `${DIRECT_NEGATION.exec(before)![0].trim()} ${found.seen}` : found.seen
  return { is, seen, found, isBlurred: false }
}

/** What stands before and behind a phrase, up to the next comma or full stop. */
export function clauseAround(
  text: string,
  { at, end }: Pick<Found, 'at' | 'end'>,
): readonly [string, string] {
  const ends = /[,;.:!?](?= |$)/
  return [text.slice(0, at).split(ends).at(-1)!.toLowerCase(), text.slice(end).split(ends)[0]!.toLowerCase()]
}
