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
  /** Phrases in a claim's own wording that say it, as patterns: before a number, after a number with its unit, or anywhere. */
  phrases: Readonly<{ before?: string; after?: string; anywhere?: string }>
  /** What it says with “not” before it; absent where that leaves open what is claimed. */
  denied?: Relation
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
    phrases: {
      before:
        '(?:no|not|never) (?:less|fewer|lower|lighter|shorter|smaller|thinner) than|(?:not|never) (?:to )?(?:be )?(?:under|below)|(?:not|never) (?:fall|falls|falling|drop|drops|go|goes) (?:below|under)|at (?:the )?least|min(?:imum|\\.)?(?: of)?|≥|>=',
      after:
        'or (?:more|over|above|longer|greater|higher|heavier)|and (?:up|upwards?|above|over|more)|at (?:the )?least|min(?:imum|\\.)',
    },
    denied: 'less-than',
  },
  'at-most': {
    reason: includes('surplus'),
    toleranceNeeded: NO_TOLERANCE,
    phrases: {
      before:
        '(?:no|not|never) (?:more|greater|higher|longer|heavier|larger|bigger|louder|thicker|warmer) than|(?:not|never) (?:to )?(?:be )?(?:over|above)|(?:not|never) (?:to )?(?:exceed|exceeds|exceeding)|at (?:the )?most|up to|max(?:imum|\\.)?(?: of)?|≤|<=',
      after:
        'or (?:less|fewer|under|below|lower|shorter|lighter|smaller)|and (?:under|below|less)|at (?:the )?most|max(?:imum|\\.)',
    },
    denied: 'more-than',
  },
  'less-than': {
    reason: leavesOut,
    toleranceNeeded: NO_TOLERANCE,
    phrases: {
      before:
        '(?:less|fewer|lower|quieter|lighter|shorter|smaller|thinner|cooler|cheaper) than|under|below|<(?![=>])',
    },
    denied: 'at-least',
  },
  'more-than': {
    reason: leavesOut,
    toleranceNeeded: NO_TOLERANCE,
    phrases: {
      before:
        '(?:more|greater|higher|longer|louder|heavier|larger|bigger|thicker|taller|warmer) than|over|above|exceed(?:s|ing)?|in excess of|(?<![<])>(?!=)',
    },
    denied: 'at-most',
  },
  'equal-to': {
    reason: ({ burden }, { word }) =>
      burden === 'challenge'
        ? `${word} is equality itself, so the claim is the null hypothesis and a gap either way can contradict it.`
        : 'Equality within a tolerance must be shown, so the claim is the alternative hypothesis.',
    toleranceNeeded: NO_TOLERANCE,
    phrases: {
      before:
        'exactly|equal(?:s|led)?(?: to)?|the same as|identical (?:to|with)|unchanged (?:at|from)|(?:no|not) different (?:from|to|than)|not (?:differ|changed?) from|=',
      anywhere: '\\bunchanged\\b|\\b(?:has|have) not changed\\b',
    },
    denied: 'different-from',
  },
  'different-from': {
    reason: (_, { word, value }) =>
      `${word} leaves out ${value} itself, so the claim is the alternative hypothesis and has to be shown.`,
    toleranceNeeded: NO_TOLERANCE,
    phrases: {
      before:
        'not (?:equal(?: to)?|the same as|identical (?:to|with))|unequal to|different (?:from|to|than)|differ(?:s|ed|ing)? from|other than|changed from|≠|!=|<>',
      anywhere: '\\b(?:has|have) changed\\b',
    },
    denied: 'equal-to',
  },
  within: {
    reason: ({ burden }) =>
      burden === 'challenge'
        ? 'The claim stands unless contradicted, so being inside the tolerance is the null hypothesis.'
        : 'Being inside the tolerance must be shown, so the claim is the alternative hypothesis.',
    toleranceNeeded: 'The claim says “within”, so it needs a tolerance below and above the claimed value.',
    phrases: {},
  },
}
