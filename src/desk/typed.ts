import * as z from 'zod/mini'

export const DECIMAL_MARKS = ['point', 'comma'] as const
export type DecimalMark = (typeof DECIMAL_MARKS)[number]

/**
 * Longer than any phrase that somebody types in a line. A pattern that may look at a text more than once is given no longer one:
 * of a hundred thousand characters it would take minutes.
 */
export const LONGEST_PHRASE = 1000

/** Text that a database can keep: any whole characters but NUL, which PostgreSQL has no room for. */
export function storedText(longest: number) {
  return z.string().check(
    z.maxLength(longest),
    z.refine((value) => !value.includes('\0'), 'a text without the character NUL'),
    z.refine((value) => !/\p{Surrogate}/u.test(value), 'a text of whole characters'),
  )
}

/** The beginning of a text, of whole characters: one that takes two places is not cut through. */
export function beginningOf(text: string, longest: number): string {
  return text.slice(0, isWithinCharacter(text, longest) ? longest - 1 : longest)
}

/** Whether a place lies between the two halves of a character. */
export function isWithinCharacter(text: string, at: number): boolean {
  const isHalf = (code: number, from: number) => code >= from && code < from + 0x400
  return isHalf(text.charCodeAt(at - 1), 0xd800) && isHalf(text.charCodeAt(at), 0xdc00)
}

/** The text without halves of characters, for which UTF-8 has no room: what is stored would be another than what is hashed. */
export const wellFormed = (text: string): string => text.replace(/\p{Surrogate}/gu, '\ufffd')
