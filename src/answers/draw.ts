import { z } from 'zod'
import { MAX_UNITS } from '@/claims/terms/request'
import { failure, success } from '@/claims/terms/outcome'
import { problems } from '@/claims/terms/problems'
import { drawUnits } from '@/statistics/resampling/drawUnits'
import { type Answered, answered } from './answered'

/** More are no draw that anybody takes along. */
const MAX_DRAWN = 1_000_000

/** Units of a lot to be drawn at random, without putting back. */
export const drawRequestSchema = z.strictObject({
  id: z.string().optional(),
  draw: z.strictObject({
    lotSize: z.int().positive().max(MAX_UNITS),
    count: z.int().positive().max(MAX_DRAWN),
    seed: z.int().nonnegative(),
  }),
})

export type DrawAnswer = Answered<'draw', Readonly<{ units: readonly number[] }>>

/** Answers one request for a draw: the numbers of the units, from 1, rising; the same for the same seed. */
export function draw(document: unknown): DrawAnswer {
  return answered({
    document,
    schema: drawRequestSchema,
    key: 'draw',
    figuresOf: ({ draw: wanted }) =>
      wanted.count > wanted.lotSize
        ? failure(problems.drawBeyondLot(wanted.count, wanted.lotSize))
        : success({ units: drawUnits(wanted) }),
  })
}
