import 'server-only'
import * as z from 'zod/mini'
import { type Draw, drawnOf, drawSchema, lotSizeOf } from '@/claims/plan/draw'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { parseJson } from '@/desk/parseJson'
import { harmlessCell } from '@/intake/sheet/csvText'
import { drawSheet } from '@/report/drawSheet'
import { MEDIA_TYPES } from '@/report/files'
import { inThread, unlessGivenUp } from '../compute/pool'
import { readInput } from '../input'

/** More units are no sheet that anybody takes along. */
const MOST_ON_SHEET = 5000
const asked = z.strictObject({
  draw: z.pipe(z.pipe(z.string().check(z.maxLength(100_000)), z.transform(jsonOrNothing)), drawSchema),
  format: z.enum(['csv', 'pdf']),
})

function jsonOrNothing(text: string): unknown {
  try {
    return parseJson(text)
  } catch {
    return undefined
  }
}

type DrawFile = Readonly<{ name: string; type: string; body: Iterable<Uint8Array> }>

/**
 * The units that a seed draws of a lot, as a CSV file or as a sheet to fill in.
 *
 * @param input - `{ draw, format }`: the draw as JSON text, as the command line takes it
 * @returns the problem `invalid`, or `out-of-range` where more are drawn than there are, or than a sheet holds
 */
export async function drawFile(input: unknown, now: Date): Promise<Outcome<DrawFile>> {
  const read = readInput(asked, input)
  if (!read.ok) return read
  const { format, draw } = read.value
  const lotSize = lotSizeOf(draw)
  const most = format === 'pdf' ? Math.min(MOST_ON_SHEET, lotSize) : lotSize
  if (draw.count > most) return failure(tooMany(draw.count, most))
  const name = `draw of ${draw.count} of ${lotSize}, seed ${draw.seed}.${format}`
  if (format === 'csv')
    return success({ name, type: 'text/csv; charset=utf-8', body: [new TextEncoder().encode(listOf(draw))] })
  return unlessGivenUp(async () => {
    const report = drawSheet(draw, now)
    const bytes = await inThread('report', { report, format, root: process.cwd() })
    return success({ name, type: MEDIA_TYPES.pdf, body: [bytes] })
  })
}

function listOf(draw: Draw): string {
  const heads = ['unit', 'reading', 'remarks']
  const lines = drawnOf(draw).flatMap(({ layer, units }) => {
    const of = layer === undefined ? '' : `${harmlessCell(layer)},`
    return units.map((unit) => `${of}${unit},,`)
  })
  return [('layers' in draw ? ['layer', ...heads] : heads).join(','), ...lines, ''].join('\r\n')
}

const tooMany = (count: number, most: number) => ({
  code: 'out-of-range',
  path: 'draw.count',
  message: `${count} units are asked for, and at most ${most} can be. State fewer.`,
})
