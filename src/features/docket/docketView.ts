import type { CaseState } from '@/desk/caseWords'
import { type FindingOutcome, OUTCOMES } from '@/claims/finding'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { formatCount } from '@/words/figures'

export const STATE_WORDS: Readonly<Record<'current' | CaseState | 'any', string>> = {
  current: 'not archived',
  open: 'open',
  closed: 'closed',
  archived: 'archived',
  any: 'in any state',
}
export const FINDING_WORDS: Readonly<Record<'any' | FindingOutcome | 'none', string>> = {
  any: 'any finding',
  ...(Object.fromEntries(
    OUTCOMES.map((one) => [one, `a finding “${OUTCOME_WORDS[one].toLowerCase()}”`]),
  ) as Record<FindingOutcome, string>),
  none: 'a claim still open',
}
export const ORDER_WORDS = {
  changed: 'last change',
  opened: 'day of opening',
  reference: 'reference',
  subject: 'subject',
  party: 'party',
} as const
export const DIRECTION_WORDS = { falling: 'last first', rising: 'first first' } as const

/** Which cases are shown and how, as the page's address holds it. */
export type DocketChoice = Readonly<{
  text: string
  state: keyof typeof STATE_WORDS
  outcome: keyof typeof FINDING_WORDS
  order: keyof typeof ORDER_WORDS
  direction: keyof typeof DIRECTION_WORDS
  /** From 0. */
  page: number
}>

const USUAL: DocketChoice = {
  text: '',
  state: 'current',
  outcome: 'any',
  order: 'changed',
  direction: 'falling',
  page: 0,
}
const LONGEST_TEXT = 200
const MAX_PAGES = 100_000

type Parameters = Readonly<Record<string, string | readonly string[] | undefined>>

/** Reads an address's parameters; what can't be one of the choices is the usual one. */
export function readChoice(parameters: Parameters): DocketChoice {
  const textOf = (name: string) => {
    const value = parameters[name]
    return typeof value === 'string' ? value : ''
  }
  const oneOf = <T extends string>(name: keyof DocketChoice & string, words: Readonly<Record<T, string>>) => {
    const text = textOf(name)
    return (Object.hasOwn(words, text) ? text : USUAL[name]) as T
  }
  const page = /^\d{1,6}$/.test(textOf('page') ?? '') ? Number(textOf('page')) : 0
  return {
    text: textOf('text').replaceAll('\0', '').slice(0, LONGEST_TEXT),
    state: oneOf('state', STATE_WORDS),
    outcome: oneOf('outcome', FINDING_WORDS),
    order: oneOf('order', ORDER_WORDS),
    direction: oneOf('direction', DIRECTION_WORDS),
    page: Number.isInteger(page) && page > 0 && page < MAX_PAGES ? page : 0,
  }
}

/** The address of a choice: only what is not the usual one. */
export function addressOf(choice: DocketChoice): string {
  const unusual = Object.entries(choice).filter(
    ([name, value]) => value !== USUAL[name as keyof DocketChoice],
  )
  const query = new URLSearchParams(unusual.map(([name, value]) => [name, String(value)])).toString()
  return query === '' ? '/' : `/?${query}`
}

/** Where the findings of the cases of a choice are, as data. */
export function dataAddressOf({ page: _, outcome, ...choice }: DocketChoice, format: 'csv' | 'xlsx'): string {
  const asked = { ...choice, ...(outcome === 'any' ? {} : { outcome }), format }
  return `/api/findings?${new URLSearchParams(asked).toString()}`
}

/** Claims that are not shown, by their findings: "And 30 more claims: 2 contradicted, 28 not contradicted". */
export function moreWords(
  claims: readonly Readonly<{ outcome: FindingOutcome | null; isComputing: boolean }>[],
): string {
  const counts = new Map<string, number>()
  for (const { outcome, isComputing } of claims) {
    const word = isComputing ? 'being computed' : OUTCOME_WORDS[outcome ?? 'open'].toLowerCase()
    counts.set(word, (counts.get(word) ?? 0) + 1)
  }
  const told = [...counts].map(([word, count]) => `${formatCount(count)} ${word}`).join(', ')
  return claims.length === 1
    ? `And one more claim: ${told}`
    : `And ${formatCount(claims.length)} more claims: ${told}`
}
