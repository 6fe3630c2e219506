// Pasted readings: plainly written ones, ones that can't be read, and ones that are read as somebody said, against the language's
// own splitting and parsing.
import { spawnSync } from 'node:child_process'
import path from 'node:path'
import { bundle } from '../scripts/bundle.mjs'
import { ratioTo } from './ratios.mjs'
import { sized } from './sizes.mjs'
import { newFolder } from './server.mjs'

const READINGS = sized(100_000, 1000)

export async function measureReading() {
  const outfile = path.join(newFolder(), 'reading.mjs')
  await bundle('bench/reading.ts', outfile)
  const { stdout } = spawnSync('node', [outfile, String(READINGS)], { encoding: 'utf8' })
  const { split, ...times } = JSON.parse(stdout)
  for (const [name, ms] of Object.entries(times))
    console.log(
      `${READINGS} pasted readings, ${name}: ${ms.toFixed(1)} ms, ${ratioTo(`pasted readings, ${name}`, ms, split).toFixed(1)} of split and Number`,
    )
}
