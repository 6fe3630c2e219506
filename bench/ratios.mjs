// Ratios of our times to those of a yardstick in the same run: kept in ratios.json by `--record`, held against it by `--check`.
import { readFileSync, writeFileSync } from 'node:fs'
import { IS_TINY } from './sizes.mjs'

const FILE = new URL('ratios.json', import.meta.url)
/** Machines are noisy: only what is worse by more than a quarter counts. */
const MOST_WORSE = 1.25
const recorded = JSON.parse(readFileSync(FILE, 'utf8'))
const seen = {}

/** The ratio of two times, kept under a name; nothing where the yardstick is not there. */
export function ratioTo(name, ms, yardstick) {
  if (yardstick === undefined) return undefined
  seen[name] = ms / yardstick
  return seen[name]
}

/** Does what the command asks for with the ratios of this run: `--record` or `--check`. */
export function settleRatios(words) {
  if (IS_TINY) return
  if (words.includes('--record')) {
    const rounded = Object.entries(seen).map(([name, ratio]) => [name, Number(ratio.toPrecision(3))])
    const all = { ...recorded, ...Object.fromEntries(rounded) }
    writeFileSync(FILE, `${JSON.stringify(all, Object.keys(all).toSorted(), 2)}\n`)
  }
  if (!words.includes('--check')) return
  for (const name of Object.keys(seen).filter((one) => !(one in recorded)))
    console.log(`“${name}” has no recorded ratio: record it with --record.`)
  const worse = Object.entries(seen).filter(([name, ratio]) => ratio > recorded[name] * MOST_WORSE)
  for (const [name, ratio] of worse)
    console.error(`${name}: ${ratio.toFixed(2)}, where ${recorded[name]} is recorded.`)
  if (worse.length > 0) process.exitCode = 1
}
