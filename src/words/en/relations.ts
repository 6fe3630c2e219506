import type { Hypotheses } from '@/claims/terms/hypotheses'
import type { Relation } from '@/claims/terms/relations'

/** By which words a claim compares, for a choice among them. */
export const RELATION_WORDS: { readonly [Name in Relation]: string } = {
  'at-least': 'at least',
  'at-most': 'at most',
  'more-than': 'more than',
  'less-than': 'less than',
  'equal-to': 'equal to',
  'different-from': 'different from',
  within: 'within',
}

export const BURDEN_WORDS = {
  challenge: 'stands unless contradicted',
  substantiate: 'must be shown',
} as const

type Sentences = Readonly<{
  /** Why the claim is the null or the alternative hypothesis; `word` quotes the relation, `value` is the claimed one. */
  reason: (
    hypotheses: Pick<Hypotheses, 'claimIs' | 'burden'>,
    told: Readonly<{ word: string; value: string }>,
  ) => string
  /** What is wrong where a tolerance is asked for and not stated. */
  toleranceNeeded: string
  /** Phrases in a claim's own wording that say it. */
  phrases: readonly RegExp[]
}>

const NO_TOLERANCE =
  'That a value is exactly equal cannot be shown by a sample. State a tolerance below and above it, or let the claim stand unless contradicted.'

const includes =
  (gap: string): Sentences['reason'] =>
  ({ claimIs }, { word, value }) =>
    claimIs === 'null'
      ? `${word} includes ${value} itself, so the claim is the null hypothesis and only a ${gap} can contradict it.`
      : `${word} must be shown here, so the claim is the alternative hypothesis; equality stays in the null hypothesis.`

const leavesOut: Sentences['reason'] = ({ claimIs }, { word, value }) =>
  claimIs === 'alternative'
    ? `${word} leaves out ${value} itself, so the claim is the alternative hypothesis and has to be shown.`
    : `${word} stands here unless contradicted; equality stays in the null hypothesis, on the claim’s side.`

/** What is said of each relation: a missing one is refused by the compiler. */
export const RELATION_SENTENCES: { readonly [Name in Relation]: Sentences } = {
  'at-least': {
    reason: includes('shortfall'),
    toleranceNeeded: NO_TOLERANCE,
    phrases: [
      /\b(?:no|not) (?:less|fewer|lower|under) than\b|\bnot (?:under|below)\b|\bnever (?:less than|under|below)\b/,
      /\bat least\b|\bor more\b|\bmin(?:imum|\.)?(?= |$)|\band up\b/,
    ],
  },
  'at-most': {
    reason: includes('surplus'),
    toleranceNeeded: NO_TOLERANCE,
    phrases: [
      /\b(?:no|not) (?:more|greater|higher|longer|over) than\b|\bnot (?:over|above|exceed(?:ing)?)\b/,
      /\bnever (?:more than|over|above|exceeds?)\b|\bdoes not exceed\b|\bnot to exceed\b/,
      /\bat most\b|\bup to\b|\bor less\b|\bmax(?:imum|\.)?(?= |$)/,
    ],
  },
  'less-than': {
    reason: leavesOut,
    toleranceNeeded: NO_TOLERANCE,
    phrases: [
      /\b(?:less|fewer|lower|quieter|lighter|shorter|faster|smaller|cooler) than\b|\b(?:under|below)\b/,
    ],
  },
  'more-than': {
    reason: leavesOut,
    toleranceNeeded: NO_TOLERANCE,
    phrases: [
      /\b(?:more|greater|higher|longer|louder|heavier|larger|better|warmer) than\b|\b(?:over|above|exceeds)\b/,
    ],
  },
  'equal-to': {
    reason: ({ burden }, { word }) =>
      burden === 'challenge'
        ? `${word} is equality itself, so the claim is the null hypothesis and a gap either way can contradict it.`
        : 'Equality within a tolerance must be shown, so the claim is the alternative hypothesis.',
    toleranceNeeded: NO_TOLERANCE,
    phrases: [/\bexactly\b|\bequal to\b|\bequals\b/],
  },
  'different-from': {
    reason: (_, { word, value }) =>
      `${word} leaves out ${value} itself, so the claim is the alternative hypothesis and has to be shown.`,
    toleranceNeeded: NO_TOLERANCE,
    phrases: [],
  },
  within: {
    reason: ({ burden }) =>
      burden === 'challenge'
        ? 'The claim stands unless contradicted, so being inside the tolerance is the null hypothesis.'
        : 'Being inside the tolerance must be shown, so the claim is the alternative hypothesis.',
    toleranceNeeded: 'The claim says “within”, so it needs a tolerance below and above the claimed value.',
    phrases: [],
  },
}
