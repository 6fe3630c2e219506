import type { ConditionRelation, KeptRows, RowCondition } from '@/desk/rowCondition'

export const ROW_RELATION_WORDS: Readonly<Record<ConditionRelation, string>> = {
  is: 'is',
  'is-not': 'is not',
  'one-of': 'is one of',
  above: 'is above',
  'at-least': 'is at least',
  below: 'is below',
  'at-most': 'is at most',
  between: 'is between',
  'is-empty': 'is empty',
  'is-not-empty': 'is not empty',
}

/** A condition as it is said: "depot is 7". */
export function wordsOf({ column, relation, value, upTo }: RowCondition): string {
  const words = `${column} ${ROW_RELATION_WORDS[relation]}`
  if (relation === 'is-empty' || relation === 'is-not-empty') return words
  return relation === 'between' ? `${words} ${value} and ${upTo}` : `${words} ${value}`
}

/** Which rows are kept: "depot is 7 and hours is above 0". */
export function keptWords(kept: KeptRows): string {
  return kept.map((all) => all.map(wordsOf).join(' and ')).join(' or ')
}
