import type { NamedDistribution } from '@/statistics/distributions/named'
import { addressWith, type AddressWords } from './addressWords'

export type DistributionName = NamedDistribution['name']

/** What each distribution needs to be known, with what stands there at first. */
export const DISTRIBUTION_FIELDS = {
  normal: {},
  t: { df: '23' },
  'chi-square': { df: '23' },
  f: { df1: '11', df2: '11' },
  beta: { a: '2', b: '5' },
  'noncentral-t': { df: '23', ncp: '1' },
  binomial: { n: '200', p: '0.95' },
  hypergeometric: { n: '50', lotSize: '960', marked: '96' },
  poisson: { mean: '4' },
  'signed-rank': { n: '12' },
} as const satisfies Readonly<Record<DistributionName, Readonly<Record<string, string>>>>

export const DISTRIBUTION_NAMES = Object.keys(DISTRIBUTION_FIELDS) as readonly DistributionName[]

type FieldsOf<T> = T extends unknown ? keyof T : never
export type DistributionField = FieldsOf<(typeof DISTRIBUTION_FIELDS)[DistributionName]>

export const RECKON_TAILS = ['lower', 'upper', 'both'] as const
export type ReckonTail = (typeof RECKON_TAILS)[number]

/** One reckoning as it is typed: a distribution, a tail, and either a point or how much lies there. */
export type ReckonDraft = Readonly<{
  name: DistributionName
  fields: Readonly<Partial<Record<DistributionField, string>>>
  tail: ReckonTail
  given: 'point' | 'probability'
  /** The point, or the probability. */
  text: string
  /** A level beside the usual ones; empty where none is wanted. */
  level: string
}>

/** More than any figure is long. */
const LONGEST = 40
const cut = (text: string) => text.slice(0, LONGEST)

/** The reckoning that the words of an address ask for; what they do not say, or say wrongly, is as usual. */
export function reckonDraftOf(words: AddressWords): ReckonDraft {
  const word = (name: string) => {
    const value = words[name]
    return typeof value === 'string' ? cut(value) : undefined
  }
  const name = DISTRIBUTION_NAMES.find((one) => one === word('of')) ?? 't'
  const usual: Readonly<Record<string, string>> = DISTRIBUTION_FIELDS[name]
  const fields = Object.fromEntries(
    Object.entries(usual).map(([field, text]) => [field, word(field === 'p' ? 'chance' : field) ?? text]),
  )
  const point = word('x')
  return {
    name,
    fields,
    tail: RECKON_TAILS.find((one) => one === word('tail')) ?? 'lower',
    ...(point === undefined
      ? { given: 'probability', text: word('p') ?? '5 %' }
      : { given: 'point', text: point }),
    level: word('level') ?? '',
  }
}

/** The address that a reckoning is found at again. */
export function addressOfReckoning({ name, fields, tail, given, text, level }: ReckonDraft): string {
  const own = Object.keys(DISTRIBUTION_FIELDS[name]) as readonly DistributionField[]
  const words: (readonly [string, string])[] = [['of', name]]
  for (const field of own) words.push([field === 'p' ? 'chance' : field, fields[field] ?? ''])
  words.push(['tail', tail], [given === 'point' ? 'x' : 'p', text])
  if (level !== '') words.push(['level', level])
  return addressWith('/reckoner', words)
}

/** The same reckoning of another distribution; what both of them have stays. */
export function withDistribution(draft: ReckonDraft, name: DistributionName): ReckonDraft {
  const usual: Readonly<Record<string, string>> = DISTRIBUTION_FIELDS[name]
  const kept = Object.entries(usual).map(([field, text]) => [
    field,
    draft.fields[field as DistributionField] ?? text,
  ])
  // A point of one distribution says nothing of another.
  const given = draft.given === 'point' ? ({ given: 'probability', text: '5 %' } as const) : {}
  return { ...draft, ...given, name, fields: Object.fromEntries(kept) }
}

/**
 * The reckoning of a test's own statistic.
 *
 * @param alternative - the side that the test looks at
 * @returns nothing for a distribution of ranks that are tied, which is no other's
 */
export function reckonDraftFor(
  distribution: NamedDistribution,
  { statistic, alternative }: Readonly<{ statistic: number; alternative: string }>,
): ReckonDraft | undefined {
  const { name, ...figures } = distribution
  if ('ranks' in figures && figures.ranks) return undefined
  const tails: Readonly<Record<string, ReckonTail>> = { less: 'lower', greater: 'upper' }
  return {
    name,
    fields: Object.fromEntries(Object.entries(figures).map(([field, value]) => [field, String(value)])),
    tail: tails[alternative] ?? 'both',
    given: 'point',
    text: String(statistic),
    level: '',
  }
}
