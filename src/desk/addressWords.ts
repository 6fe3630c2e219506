import type { z } from 'zod/mini'
import { wellFormed } from './typed'

/** The words of an address, as they come. */
export type AddressWords = Readonly<Record<string, string | readonly string[] | undefined>>

/** The fields of a draft that an address can bring: which values each can have. */
export type Fields = Readonly<Record<string, z.ZodMiniType>>

/** A draft as some version or some address has it: a field that is not there, or is not as it has to be, is as in an empty one. */
export function draftFrom<Draft extends object>(fields: Fields, empty: Draft, kept: unknown): Draft {
  if (typeof kept !== 'object' || kept === null) return empty
  const known = kept as Readonly<Record<string, unknown>>
  const read = Object.entries(empty).map(([field, usual]) => {
    const value = fields[field]!.safeParse(known[field])
    return [field, value.success ? value.data : (usual as unknown)]
  })
  return Object.fromEntries(read) as Draft
}

/** The words that say in what a draft differs from an empty one; lists have none. */
export function wordsOf(draft: object, empty: object, prefix = ''): readonly (readonly [string, string])[] {
  const usual = empty as Readonly<Record<string, unknown>>
  return Object.entries(draft).flatMap(([field, value]: [string, unknown]) =>
    value === usual[field] || typeof value === 'object'
      ? []
      : [[`${prefix}${field}`, String(value)] as const],
  )
}

/** The draft that the words of an address bring, and which of the words it is made of. */
export function draftFromWords<Draft extends object>(
  fields: Fields,
  empty: Draft,
  words: AddressWords,
  prefix = '',
): Readonly<{ draft: Draft; read: readonly string[] }> {
  const said = Object.entries(fields).flatMap(([field, type]) => {
    const text = words[`${prefix}${field}`]
    const value = typeof text === 'string' ? valueOf(type, text) : undefined
    return value === undefined ? [] : [[field, value] as const]
  })
  return {
    draft: draftFrom(fields, empty, { ...empty, ...Object.fromEntries(said) }),
    read: said.map(([field]) => `${prefix}${field}`),
  }
}

/** An address with words behind it. */
export const addressWith = (path: string, words: readonly (readonly [string, string])[]): string =>
  `${path}?${words.map(([word, value]) => `${word}=${encodeURIComponent(wellFormed(value))}`).join('&')}`

/** A text as the field has it: itself, a number, or yes or no; nothing where it can be none of them. */
function valueOf(type: z.ZodMiniType, text: string): unknown {
  const yesOrNo = { true: true, false: false }[text]
  return [text, text.trim() === '' ? undefined : Number(text), yesOrNo].find(
    (value) => value !== undefined && type.safeParse(value).success,
  )
}
