import { z } from 'zod'

export const DECIMAL_MARKS = ['point', 'comma'] as const
export type DecimalMark = (typeof DECIMAL_MARKS)[number]

/** Text that a database can keep: any whole characters but NUL, which PostgreSQL has no room for. */
export function storedText(longest: number) {
  return (
    z
      .string()
      .max(longest)
      .refine((value) => !value.includes('\0'), 'a text without the character NUL')
      // UTF-8 has no room for half of a character: what is stored would be another text than what is hashed.
      .refine((value) => !/\p{Surrogate}/u.test(value), 'a text of whole characters')
  )
}
