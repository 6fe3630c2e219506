import { z } from 'zod'
import type { Burden } from './relations'

export const LIMIT_SIDES = ['at-least', 'at-most'] as const

/** What one item has to hold to count: a share of items is claimed by their readings. */
export const limitSchema = z.strictObject({
  side: z.enum(LIMIT_SIDES),
  /** In the claim's unit. */
  value: z.number(),
  /** So many standard uncertainties of a reading the limit is moved by: the guard band. */
  guardFactor: z.number().nonnegative().optional(),
})

export type Limit = Readonly<z.output<typeof limitSchema>>

/** Decimals of so many digits are told apart as they are written. */
const DIGITS = 15

/**
 * The limit that readings are compared with: with a guard band g moved in favour of the claim where it stands unless
 * contradicted, and against it where it has to be shown. Added as the decimals written.
 *
 * @see JCGM 106:2012, 8
 * @example
 * limitUsed({ side: 'at-least', value: 15.3, guardFactor: 2 }, { burden: 'challenge', reading: 0.05 }) // 15.2
 */
export function limitUsed(
  { side, value, guardFactor = 0 }: Limit,
  { burden, reading = 0 }: Readonly<{ burden: Burden; reading?: number | undefined }>,
): number {
  const towards = (side === 'at-least') === (burden === 'challenge') ? -1 : 1
  return Number((value + towards * guardFactor * reading).toPrecision(DIGITS))
}

/** Whether an item counts; one on the limit does. */
export const counts = (reading: number, side: Limit['side'], limit: number): boolean =>
  side === 'at-least' ? reading >= limit : reading <= limit
