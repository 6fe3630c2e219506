// What work costs as rows become more, beside what the machine can't go below: reading the file, looking for its line ends, adding
// up doubles. Printed as the table of docs/SPEED.md; with `--record` also drawn, as docs/growth.svg.
import { spawnSync } from 'node:child_process'
import { createReadStream, rmSync, writeFileSync } from 'node:fs'
import path from 'node:path'
import { buildCli } from '../scripts/buildCli.mjs'
import { bundle } from '../scripts/bundle.mjs'
import { growthPicture } from './growthPicture.mjs'
import { writeLog } from './log.mjs'
import { ownTime } from './sheet.mjs'
import { sized } from './sizes.mjs'
import { newFolder } from './workbench.mjs'

const SIZES = sized([1e3, 1e4, 1e5, 1e6, 1e7], [1e3])
/** A list of readings that a check takes at once has no more. */
const MOST_AT_ONCE = 1e6
const LINE_END = 10

const PICTURE = new URL('../docs/growth.svg', import.meta.url)
/** What is drawn of each row, in the order of its cells. */
const SERIES = [
  { name: 'file read', isLimit: true },
  { name: 'line ends found', isLimit: true },
  { name: 'file checked' },
  undefined,
  { name: 'doubles added up', isLimit: true },
  { name: 'check of a list' },
  { name: 'cross-examination' },
]

export async function measureGrowth() {
  await buildCli()
  const folder = newFolder()
  const program = path.join(folder, 'growth.mjs')
  await bundle('bench/growth.ts', program)
  console.log(
    '| rows | file read | line ends found | file checked | its memory, MB | doubles added up | check | cross-examination |',
  )
  console.log('| ---: | ---: | ---: | ---: | ---: | ---: | ---: | ---: |')
  const series = SERIES.map((one) => one && { ...one, points: [] })
  for (const size of SIZES) {
    const file = await writeLog(path.join(folder, 'log.csv'), size)
    const read = await timeOfReading(file, () => undefined)
    const scanned = await timeOfReading(file, lineEndsIn)
    const { ms, megabytes } = ownTime(file)
    rmSync(file)
    const { added, checked, examined } = size > MOST_AT_ONCE ? {} : inMemory(program, size)
    const cells = [read, scanned, ms, megabytes, added, checked, examined]
    for (const [at, cell] of cells.entries()) if (cell !== undefined) series[at]?.points.push([size, cell])
    console.log(`| ${size.toLocaleString('en')} | ${cells.map(written).join(' | ')} |`)
  }
  if (process.argv.includes('--record')) writeFileSync(PICTURE, growthPicture(series.filter(Boolean)))
}

const written = (ms) => (ms === undefined ? '' : ms < 10 ? ms.toFixed(1) : ms.toFixed(0))

function inMemory(program, size) {
  const { stdout, stderr } = spawnSync('node', [program, String(size)], { encoding: 'utf8' })
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
