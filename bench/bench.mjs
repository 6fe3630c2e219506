// Prints what the application costs: `npm run bench` for all, `npm run bench -- core|examination|growth|groups|reading|sheet|stored|desk|load|memory|drop|start|keystroke|size` for one; `--tiny` only to see that they work;
// `--record` keeps the ratios of the run, `--check` ends with 1 where one is worse by more than a quarter than what is kept.
import ownTemporaryFolder from '../scripts/temporary.mjs'
import { measureCore } from './core.mjs'
import { measureDesk } from './desk.mjs'
import { measureDrop } from './drop.mjs'
import { measureExamination } from './examination.mjs'
import { measureGroups } from './groups.mjs'
import { measureGrowth } from './growth.mjs'
import { measureKeystroke } from './keystroke.mjs'
import { settleRatios } from './ratios.mjs'
import { measureLoad } from './load.mjs'
import { measureMemory } from './memory.mjs'
import { measureReading } from './reading.mjs'
import { measureSheet } from './sheet.mjs'
import { measureSize } from './size.mjs'
import { measureStart } from './start.mjs'
import { measureStored } from './stored.mjs'

const BENCHES = {
  core: measureCore,
  examination: measureExamination,
  groups: measureGroups,
  growth: measureGrowth,
  reading: measureReading,
  sheet: measureSheet,
  stored: measureStored,
  desk: measureDesk,
  load: measureLoad,
  memory: measureMemory,
  drop: measureDrop,
  start: measureStart,
  keystroke: measureKeystroke,
  size: measureSize,
}
const OPTIONS = ['--tiny', '--record', '--check']
ownTemporaryFolder()
const words = process.argv.slice(2)
const wanted = words.filter((word) => !OPTIONS.includes(word))
const unknown = wanted.find((name) => !(name in BENCHES))
if (unknown) {
  console.error(`There is no bench “${unknown}”. Name one of: ${Object.keys(BENCHES).join(', ')}.`)
  process.exit(2)
}
for (const name of wanted.length > 0 ? wanted : Object.keys(BENCHES)) await BENCHES[name]()
settleRatios(words)
