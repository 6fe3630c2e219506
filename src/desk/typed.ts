import { z } from 'zod'

export const DECIMAL_MARKS = ['point', 'comma'] as const
export type DecimalMark = (typeof DECIMAL_MARKS)[number]

/** Text that a database can keep: any characters but NUL, which PostgreSQL has no room for. */
export function storedText(longest: number) {
  return z
    .string()
    .max(longest)
    .refine((value) => !value.includes('\0'), 'a text without the character NUL')
}
