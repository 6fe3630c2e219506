import * as z from 'zod/mini'
import { type Draw, type Drawn, drawnOf, drawSchema, lotSizeOf } from '@/claims/plan/draw'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { type ClaimProblem, problems } from '@/claims/terms/problems'
import { type Answered, answered } from './answered'

/** Units of a lot, or of each of its layers, to be drawn at random, without putting back. */
export const drawRequestSchema = z.strictObject({ id: z.optional(z.string()), draw: drawSchema })

export type DrawAnswer = Answered<'draw', DrawFigures>
export type DrawFigures =
  | Readonly<{ units: readonly number[] }>
  | Readonly<{ layers: readonly Readonly<{ name: string; units: readonly number[] }>[] }>

/** Answers one request for a draw: the numbers of the units, from 1, rising; the same for the same seed. */
export function draw(document: unknown): DrawAnswer {
  return answered({
    document,
    schema: drawRequestSchema,
    key: 'draw',
    figuresOf: ({ draw: wanted }) => figuresOf(wanted),
  })
}

function figuresOf(wanted: Draw): Outcome<DrawFigures, ClaimProblem> {
  const lotSize = lotSizeOf(wanted)
  if (wanted.count > lotSize) return failure(problems.drawBeyondLot(wanted.count, lotSize))
  const drawn = drawnOf(wanted)
  return success('lotSize' in wanted ? { units: drawn[0]!.units } : { layers: drawn.map(named) })
}

const named = ({ layer = '', units }: Drawn) => ({ name: layer, units })
