// A simulated instrument, a program of its own: it weighs one unit after the other and tells of it, a line at a time, on a local
// port, as docs/SCALE.md has it: `npm run scale`.
import net from 'node:net'
import { parseArgs } from 'node:util'

const USAGE = `Options, each with what it is otherwise:
  --port NUMBER       where it is reached on this machine (4270, or TRUE_WEIGHT_SCALE_PORT)
  --mean NUMBER       of the units (14.97)
  --spread NUMBER     their standard deviation (0.08)
  --package NUMBER    what their package weighs (0)
  --unit TEXT         (kg)
  --resolution NUMBER of the display (0.001)
  --noise NUMBER      of the display, as a standard deviation (0.0002)
  --drift NUMBER      of its zero, in an hour (0)
  --pace MS           from one unit to the next (6000)
  --loads NUMBER      so many units, then none (as many as there is time for)
  --dropouts SHARE    of the units, at which the line breaks (0)
  --seed NUMBER       (1)`
const TICK_MS = 100
/** The first unit is not waited for. */
const FIRST_MS = 2000

const { values } = parseArgs({
  options: {
    ...{
      port: text(process.env.TRUE_WEIGHT_SCALE_PORT ?? '4270'),
      mean: text('14.97'),
      spread: text('0.08'),
    },
    ...{ package: text('0'), unit: text('kg'), resolution: text('0.001'), noise: text('0.0002') },
    ...{
      drift: text('0'),
      pace: text('6000'),
      loads: text('Infinity'),
      dropouts: text('0'),
      seed: text('1'),
    },
    help: { type: 'boolean', default: false },
  },
})
if (values.help) {
  console.log(USAGE)
  process.exit(0)
}
const { unit, help: _, ...rest } = values
const set = Object.fromEntries(Object.entries(rest).map(([name, value]) => [name, Number(value)]))
const wrong = Object.entries(set).find(([, value]) => Number.isNaN(value))
if (wrong) {
  console.error(`--${wrong[0]} is no number.\n${USAGE}`)
  process.exit(1)
}

const lines = new Set()
const began = Date.now()
let tare = 0
let zero = 0
let shown = 0
let unitsWeighed = 0
const random = randomFrom(set.seed)

const server = net.createServer((line) => {
  lines.add(line)
  line.setEncoding('utf8')
  line.on('error', () => undefined)
  line.on('close', () => lines.delete(line))
  line.write(`instrument Simulated scale, resolution ${set.resolution} ${unit}\n`)
  line.write(`tare ${written(tare)}\n`)
  let said = ''
  line.on('data', (chunk) => {
    const [last, ...asked] = `${said}${chunk}`.slice(-1000).split('\n').toReversed()
    said = last
    for (const command of asked.toReversed()) obey(command.trim())
  })
})
server.on('error', (error) => {
  console.error(`The port can’t be used: ${error.message}`)
  process.exit(1)
})
server.listen(set.port, '127.0.0.1', () => {
  console.log(`The simulated scale is at 127.0.0.1:${set.port}. Ctrl+C ends it.`)
  setTimeout(weigh, Math.min(set.pace, FIRST_MS))
})
setInterval(tick, TICK_MS)

let load = { mass: 0, at: 0 }
let told = true

/** Puts a unit on, and takes it off again. */
function weigh() {
  if (unitsWeighed >= set.loads) return
  unitsWeighed += 1
  load = { mass: set.package + set.mean + set.spread * normal(), at: Date.now() }
  told = false
  if (random() < set.dropouts) setTimeout(() => lines.forEach((line) => line.destroy()), set.pace / 4)
  setTimeout(() => (load = { mass: 0, at: Date.now() }), set.pace * 0.7)
  setTimeout(weigh, set.pace)
}

/** Tells what is on the display. What was put on or taken off swings for a while. */
function tick() {
  const drift = (set.drift * (Date.now() - began)) / 3_600_000
  const swing = (set.mean / 20) * Math.exp(-(Date.now() - load.at) / (set.pace / 40))
  const isStable = Math.abs(swing) < set.resolution / 2
  const gross = load.mass + drift + (isStable ? 0 : swing * Math.cos(Date.now() / 40)) + set.noise * normal()
  shown = gross - zero
  const text = `${isStable ? 'stable' : 'moving'} ${written(shown - tare)}`
  if (isStable && !told && load.mass > 0) {
    told = true
    console.log(`unit ${unitsWeighed}: ${written(shown - tare)}`)
  }
  for (const line of lines) line.write(`${text}\n`)
}

function obey(command) {
  if (command === 'tare') tare = Math.round(shown / set.resolution) * set.resolution
  else if (command === 'zero') [zero, tare] = [zero + shown, 0]
  else return
  for (const line of lines) line.write(`tare ${written(tare)}\n`)
}

function written(value) {
  const decimals = Math.max(0, Math.ceil(-Math.log10(set.resolution) - 1e-9))
  const rounded = (Math.round(value / set.resolution) * set.resolution).toFixed(decimals)
  return `${Number(rounded) === 0 ? rounded.replace('-', '') : rounded} ${unit}`
}

function text(usual) {
  return { type: 'string', default: usual }
}

function normal() {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random())
}

/** Numbers from 0 to 1 that a seed makes (splitmix32). */
function randomFrom(seed) {
  let state = seed | 0
  return () => {
    state = (state + 0x9e3779b9) | 0
    let mixed = state ^ (state >>> 16)
    mixed = Math.imul(mixed, 0x21f0aaad)
    mixed = Math.imul(mixed ^ (mixed >>> 15), 0x735a2d97)
    return ((mixed ^ (mixed >>> 15)) >>> 0) / 2 ** 32
  }
}
