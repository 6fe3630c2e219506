import * as z from 'zod/mini'
import type { Burden } from './relations'

export const LIMIT_SIDES = ['at-least', 'at-most'] as const

/** What one item has to hold to count: a share of items is claimed by their readings. */
export const limitSchema = z.strictObject({
  side: z.enum(LIMIT_SIDES),
  /** In the claim's unit. */
  value: z.number(),
  /** So many standard uncertainties of a reading the limit is moved by: the guard band. */
  guardFactor: z.optional(z.number().check(z.nonnegative())),
})

export type Limit = Readonly<z.output<typeof limitSchema>>

/** How many decimals a number is written with. */
function decimalsIn(value: number): number {
  const [digits = '', exponent = '0'] = String(value).split('e')
  return Math.max(0, (digits.split('.')[1] ?? '').length - Number(exponent))
}

/** So many are the most that a number is written with here. */
const MOST_DECIMALS = 100

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
  const decimals = Math.max(decimalsIn(value), decimalsIn(guardFactor) + decimalsIn(reading))
  return Number((value + towards * guardFactor * reading).toFixed(Math.min(decimals, MOST_DECIMALS)))
}

/** Whether an item counts; one on the limit does. */
export const counts = (reading: number, side: Limit['side'], limit: number): boolean =>
  side === 'at-least' ? reading >= limit : reading <= limit
