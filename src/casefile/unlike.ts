import { spellingsOf } from '@/desk/canonicalJson'
import { valuesIn } from '@/desk/trail/change'
import type { TrailAction } from '@/desk/trail/chain'
import type { CaseContent } from './content'

/** What a field was at first by an earlier version of True Weight, where no entry has ever changed it. */
const OLDER_DEFAULTS: Readonly<Record<string, readonly unknown[]>> = { source: ['label'] }

/** The fields in which a thing is not what its entries come to. */
export function unlike(
  known: object,
  state: object,
  entries: readonly CaseContent['trail'][number][],
): readonly string[] {
  const told = new Set(
    entries.flatMap(({ before, after }) => [before, after].flatMap((one) => Object.keys(valuesIn(one)))),
  )
  return differing(known, state).filter(
    (field) =>
      told.has(field) ||
      !OLDER_DEFAULTS[field]?.includes((known as Readonly<Record<string, unknown>>)[field]),
  )
}

/** The older spelling is one for whatever JSON can hold, halves of characters too. */
const spellingOf = (value: unknown): string => spellingsOf([value ?? null]).at(-1)!

/** The names of the fields in which two things differ. */
export function differing(one: object, other: object): readonly string[] {
  const [a, b] = [one, other] as readonly Readonly<Record<string, unknown>>[]
  return [...new Set([...Object.keys(a!), ...Object.keys(b!)])].filter(
    (key) => spellingOf(a![key]) !== spellingOf(b![key]),
  )
}

/** The entries of one claim or sample that say what it came to. */
export const entriesOf = (
  { trail }: CaseContent,
  key: 'claimId' | 'sampleId',
  id: string,
  actions: readonly TrailAction[],
) => trail.filter((entry) => entry[key] === id && actions.includes(entry.action))
