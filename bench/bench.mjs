// Prints what the application costs: `npm run bench` for all, `npm run bench -- core|sheet|stored|start|keystroke|size` for one.
import { measureCore } from './core.mjs'
import { measureKeystroke } from './keystroke.mjs'
import { measureSheet } from './sheet.mjs'
import { measureSize } from './size.mjs'
import { measureStart } from './start.mjs'
import { measureStored } from './stored.mjs'

const BENCHES = {
  core: measureCore,
  sheet: measureSheet,
  stored: measureStored,
  start: measureStart,
  keystroke: measureKeystroke,
  size: measureSize,
}
const wanted = process.argv.slice(2)
const unknown = wanted.find((name) => !(name in BENCHES))
if (unknown) {
  console.error(`There is no bench “${unknown}”. Name one of: ${Object.keys(BENCHES).join(', ')}.`)
  process.exit(2)
}
for (const name of wanted.length > 0 ? wanted : Object.keys(BENCHES)) await BENCHES[name]()
