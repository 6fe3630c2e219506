// Prints what the application costs: `npm run bench` for all, `npm run bench -- core|examination|growth|groups|reading|sheet|stored|desk|load|visit|memory|drop|start|keystroke|size` for one;
// with `--but` for all but those named; `--tiny` only to see that they work;
// `--record` keeps the ratios of the run, `--check` ends with 1 where one is worse by more than a quarter than what is kept.
import { ensureInstalled } from '../scripts/install.mjs'
import ownTemporaryFolder from '../scripts/temporary.mjs'
import { settleRatios } from './ratios.mjs'

const OPTIONS = ['--tiny', '--record', '--check', '--but']
const swallowed = OPTIONS.find((option) => `npm_config_${option.slice(2)}` in process.env)
if (swallowed) {
  console.error(
    `npm took ${swallowed} for an option of its own. Write it behind --, as in: npm run bench -- ${swallowed}`,
  )
  process.exit(2)
}
ownTemporaryFolder()
ensureInstalled('all')
const { BENCHES } = await import('./benches.mjs')
const words = process.argv.slice(2)
const wanted = words.filter((word) => !OPTIONS.includes(word))
const unknown = wanted.find((name) => !(name in BENCHES))
if (unknown) {
  console.error(`There is no bench “${unknown}”. Name one of: ${Object.keys(BENCHES).join(', ')}.`)
  process.exit(2)
}
const isWanted = (name) => wanted.length === 0 || wanted.includes(name) !== words.includes('--but')
for (const name of Object.keys(BENCHES).filter(isWanted)) await BENCHES[name]()
settleRatios(words)
