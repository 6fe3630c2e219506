// What so many readings, trials or documents cost: checked and cross-examined in memory, resampled, counted exactly, answered by
// the command line, and typed among.
import { spawnSync } from 'node:child_process'
import path from 'node:path'
import { bundle } from '../scripts/bundle.mjs'
import { timeOfDocuments } from './core.mjs'
import { keystrokesAmong } from './keystroke.mjs'
import { median } from './log.mjs'
import { sized } from './sizes.mjs'
import { newFolder } from './server.mjs'

/** More documents take this bench too long, and among more readings the finding does not follow within the same frame. */
const MOST = sized(1e4, 0)

export const growthOfLists = {
  of: 'readings, trials or documents',
  columns: [
    { name: 'doubles added up', isLimit: true },
    { name: 'readings checked' },
    { name: 'cross-examined' },
    { name: '10,000 resamples' },
    { name: 'exact binomial' },
    { name: 'documents answered' },
    { name: 'a keystroke' },
  ],
  measure: async (size) => {
    const { added, checked, examined, resampled, exact } = await inMemory(size)
    const documents = size > MOST ? undefined : timeOfDocuments(size)
    let keystroke
    if (size <= MOST) await keystrokesAmong([size], (_, times) => (keystroke = median(times)))
    return [added, checked, examined, resampled, exact, documents, keystroke]
  },
}

async function inMemory(size) {
  const program = path.join(newFolder(), 'growth.mjs')
  await bundle('bench/growth.ts', program)
  const { stdout, stderr } = spawnSync('node', [program, String(size)], { encoding: 'utf8' })
  if (stdout === '') throw new Error(stderr)
  return JSON.parse(stdout)
}
