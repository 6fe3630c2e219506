// What a file of so many rows costs, of eight columns and some 64 bytes a row: checked by the command line, brought in and stored,
// exported, and tested in the page.
import { spawnSync } from 'node:child_process'
import { createReadStream, rmSync } from 'node:fs'
import path from 'node:path'
import { buildCli } from '../scripts/buildCli.mjs'
import { timesOfCaseFile } from './desk.mjs'
import { timesOfDrop } from './drop.mjs'
import { writeLog } from './log.mjs'
import { ownTime } from './sheet.mjs'
import { sized } from './sizes.mjs'
import { newFolder } from './server.mjs'

/** That more than the command line works is shown by other benches. */
const MOST = sized(Infinity, 0)
const LINE_END = 10

export const growthOfFiles = {
  of: 'rows of a file',
  columns: [
    { name: 'file read', isLimit: true },
    { name: 'line ends found', isLimit: true },
    { name: 'checked' },
    { name: 'its memory, MB', isMemory: true },
    { name: 'stored' },
    { name: 'its memory, MB', isMemory: true },
    { name: 'tested again' },
    { name: 'exported' },
    { name: 'found in the page' },
    { name: 'examined in the page' },
  ],
  measure: async (size) => {
    await buildCli()
    const file = await writeLog(path.join(newFolder(), 'log.csv'), size)
    const read = await timeOfReading(file, () => undefined)
    const scanned = await timeOfReading(file, lineEndsIn)
    const own = ownTime(file)
    const store = storedOnce(file)
    rmSync(file)
    const { exported } = size > MOST ? {} : await timesOfCaseFile(size)
    const { found, examined } = size > MOST ? {} : await timesOfDrop(size)
    return [
      ...[read, scanned, own.ms, own.megabytes, store.stored, store.megabytes, store.again],
      ...[exported, found, examined],
    ]
  },
}

function storedOnce(file) {
  const program = new URL('storedOnce.mjs', import.meta.url).pathname
  const { stdout, stderr } = spawnSync('node', [program, file], { encoding: 'utf8' })
  if (stdout === '') throw new Error(stderr)
  return JSON.parse(stdout)
}

async function timeOfReading(file, look) {
  const start = performance.now()
  for await (const piece of createReadStream(file, { highWaterMark: 1 << 20 })) look(piece)
  return performance.now() - start
}

function lineEndsIn(piece) {
  let count = 0
  for (let at = piece.indexOf(LINE_END); at >= 0; at = piece.indexOf(LINE_END, at + 1)) count += 1
  return count
}
