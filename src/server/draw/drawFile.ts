import 'server-only'
import { z } from 'zod'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { drawSheet } from '@/report/drawSheet'
import { MEDIA_TYPES } from '@/report/files'
import { drawUnits } from '@/statistics/resampling/drawUnits'
import { inThread, unlessGivenUp } from '../compute/pool'
import { readInput } from '../input'

/** More units are no sheet that anybody takes along. */
const MOST_ON_SHEET = 5000
const whole = (min: number, max: number) =>
  z
    .string()
    .regex(/^\d{1,10}$/, 'a whole number, in digits')
    .transform(Number)
    .pipe(z.number().min(min).max(max))
const drawSchema = z.strictObject({
  lotSize: whole(1, 1_000_000_000),
  count: whole(1, 1_000_000),
  seed: whole(0, 999_999_999),
  format: z.enum(['csv', 'pdf']),
})

type DrawFile = Readonly<{ name: string; type: string; body: Iterable<Uint8Array> }>

/**
 * The units that a seed draws of a lot, as a CSV file or as a sheet to fill in.
 *
 * @param input - `{ lotSize, count, seed, format }`, as texts
 * @returns the problem `invalid`, or `out-of-range` where more are drawn than there are, or than a sheet holds
 */
export async function drawFile(input: unknown, now: Date): Promise<Outcome<DrawFile>> {
  const read = readInput(drawSchema, input)
  if (!read.ok) return read
  const { format, ...draw } = read.value
  const most = format === 'pdf' ? Math.min(MOST_ON_SHEET, draw.lotSize) : draw.lotSize
  if (draw.count > most) return failure(tooMany(draw.count, most))
  const name = `draw of ${draw.count} of ${draw.lotSize}, seed ${draw.seed}.${format}`
  if (format === 'csv') {
    const lines = ['unit,reading,remarks', ...drawUnits(draw).map((unit) => `${unit},,`)]
    const body = [new TextEncoder().encode(`${lines.join('\r\n')}\r\n`)]
    return success({ name, type: 'text/csv; charset=utf-8', body })
  }
  return unlessGivenUp(async () => {
    const report = drawSheet(draw, now)
    const bytes = await inThread('report', { report, format, root: process.cwd() })
    return success({ name, type: MEDIA_TYPES.pdf, body: [bytes] })
  })
}

const tooMany = (count: number, most: number) => ({
  code: 'out-of-range',
  path: 'count',
  message: `${count} units are asked for, and at most ${most} can be. State fewer.`,
})
