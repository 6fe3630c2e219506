// A made-up log of deliveries, for the benches of sheets.
import { createWriteStream } from 'node:fs'
import { once } from 'node:events'
import { sized } from './sizes.mjs'

export const LOG_ROWS = sized(1_000_000, 2000)
/** As the page and these lines write it. */
export const LOG_ROWS_WRITTEN = LOG_ROWS.toLocaleString('en')

/** A made-up log of deliveries, the same on each run. */
export async function writeLog(file, rows) {
  const out = createWriteStream(file)
  out.write('id,depot,mass,carrier,date,hours,late,note\n')
  let state = 1
  const random = () => (state = (Math.imul(state, 1664525) + 1013904223) >>> 0) / 2 ** 32
  let lines = ''
  for (let i = 0; i < rows; i += 1) {
    const mass = (15 + (random() + random() + random() - 1.5) / 5).toFixed(3)
    const day = `2026-${String(1 + Math.floor(random() * 12)).padStart(2, '0')}-${String(1 + Math.floor(random() * 28)).padStart(2, '0')}`
    lines += `${i},${1 + Math.floor(random() * 24)},${mass},carrier ${Math.floor(random() * 40)},${day},${(random() * 72).toFixed(2)},${random() < 0.06 ? 'yes' : 'no'},"route ${Math.floor(random() * 300)}, north"\n`
    if (lines.length > 1 << 20) {
      if (!out.write(lines)) await once(out, 'drain')
      lines = ''
    }
  }
  out.end(lines)
  await once(out, 'finish')
  return file
}

/** The middle of some times; nothing where one of them is missing. */
export function median(values) {
  if (values.some((value) => value === undefined)) return undefined
  return values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]
}
