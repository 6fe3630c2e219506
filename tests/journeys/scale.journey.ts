import { type ChildProcess, spawn } from 'node:child_process'
import path from 'node:path'
import { Key } from 'selenium-webdriver'
import { violationsAt } from './access'
import { choose, follow, type Look, press, see, textOf, untilSaved } from './browser'
import { lockPlan, startJourney, step } from './journey'
import { kill, launch, STARTING_MS, until } from './server'

// Readings are taken one by one from an instrument: a simulated one, a program of its own on a port of this machine.

const LOOKS: readonly Look[] = [
  { colours: 'light', width: 1280 },
  { colours: 'dark', width: 400 },
]
const PORT = 30_000 + 10 * Number(process.env.JEST_WORKER_ID ?? 0)
process.env.TRUE_WEIGHT_SCALE_PORT = String(PORT)
const journey = startJourney(['--demo'], {
  arrive: ({ driver }) => see(driver, 'Docket', 'main h1'),
  // A server that is killed ends what is being loaded.
  borne: /ERR_(?:CONNECTION|INCOMPLETE|EMPTY)|Failed to fetch|Failed to load resource/,
})
const STANDING = '[data-testid=standing]'
const [SAID, NEXT] = ['[data-testid=said]', '[data-testid=next]']

let scale: ChildProcess | undefined
/** What the instrument says that it weighed. */
let weighed = ''
function startScale(...options: readonly string[]): void {
  weighed = ''
  const file = path.resolve(__dirname, '../../scripts/scale.mjs')
  scale = spawn(process.execPath, [file, '--port', String(PORT), ...options])
  scale.stdout!.on('data', (chunk) => (weighed += chunk))
}
afterEach(() => scale?.kill())

/** A claim with a locked plan, at the scale. */
async function toScale(units: number): Promise<void> {
  const { driver } = journey
  const words = `&lotSize=960&wanted=power&units=${units}`
  await lockPlan(journey, { units, subject: 'Sacks of line 5', by: 'A. Officer', words })
  await follow(driver, 'Take readings at a scale')
  await see(driver, 'Simulated scale', 'main')
}

async function draftAt<Draft>(at: string): Promise<Draft> {
  const answer = await fetch(`${journey.server.address}${at}`)
  return ((await answer.json()) as Readonly<{ value: Readonly<{ draft: Draft }> }>).value.draft
}

/** The sample of the claim that is at the scale. */
async function sampleId(): Promise<string> {
  const [, claimId] = /claims\/([^/]+)\/scale/.exec(await journey.driver.getCurrentUrl())!
  return (await draftAt<Readonly<{ sampleId: string }>>(`/api/claims/${claimId}`)).sampleId
}

/** Its rows, as they are stored. */
async function stored(): Promise<readonly (readonly string[])[]> {
  const { readings } = await draftAt<Readonly<{ readings: string }>>(`/api/samples/${await sampleId()}`)
  return readings === '' ? [] : readings.split('\n').map((line) => line.split('\t'))
}

const LEFT_BEHIND = {
  ...{ text: '14.9', unitOfReading: 'kg', unit: '7', tare: '' },
  ...{ at: '2026-11-29T10:42:00.000Z', instrument: '' },
}

/** What this browser keeps of readings that are not stored yet; or puts others in their place. */
async function journal(others?: readonly object[]): Promise<unknown> {
  const kept = await journey.driver.executeScript<string | null>(
    'const key = `true-weight-taken-${arguments[0]}`; if (arguments[1]) localStorage.setItem(key, arguments[1]); return localStorage.getItem(key)',
    await sampleId(),
    others ? JSON.stringify(others) : null,
  )
  return JSON.parse(kept ?? '[]')
}

test('a reading is taken by Enter where it stands still, once, with what goes with it, and taken back', async () => {
  const { driver } = journey
  // Slow enough that each state can be seen before the next.
  startScale('--pace', '20000', '--noise', '0')
  await toScale(30)
  await see(driver, /^Next: unit \d+\. 0 of 30 taken, 30 to go\.$/, NEXT)
  const enter = () => driver.switchTo().activeElement().sendKeys(Key.ENTER)
  await see(driver, 'It stands still', STANDING)
  const shown = (await textOf(driver, 'output')).replace(/\s/g, ' ')
  await enter()
  await see(driver, `Taken: ${shown} as reading 1, unit `, SAID)
  await see(driver, 'It is taken', STANDING)
  await enter()
  await see(driver, 'This one is taken already', '[role=alert]')
  await see(driver, 'It counts as empty', STANDING)
  await enter()
  await see(driver, 'counts as an empty pan', '[role=alert]')
  await untilSaved(driver)
  const [row] = await stored()
  expect(`${row![0]} kg`).toBe(shown)
  expect(row!.slice(1)).toEqual([
    expect.stringMatching(/^\d+$/),
    '',
    expect.stringMatching(/^\d{4}-\d\d-\d\dT/),
    'Simulated scale, resolution 0.001 kg',
  ])
  await step('what lies on it is tared', async () => {
    await see(driver, 'It stands still', STANDING)
    await press(driver, 'Tare')
    await see(driver, 'tare', STANDING)
  })
  await choose(driver, 'Instrument from the register', 'bench scale 3')
  await see(driver, 'With each reading goes “bench scale 3”', 'main')
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  await press(driver, 'Take the last one back')
  await see(driver, /^Next: unit \d+\. 0 of 30 taken/, NEXT)
  await untilSaved(driver)
  expect(await stored()).toEqual([])
  await step('what was taken and not stored is back when the page is', async () => {
    await journal([LEFT_BEHIND])
    await driver.navigate().refresh()
    await see(driver, 'One reading that was taken here before and not stored is back.', SAID)
    await untilSaved(driver)
    expect(await stored()).toEqual([['14.9', '7', '', LEFT_BEHIND.at, '']])
    expect(await journal()).toEqual([])
  })
  await step('what can not be put back is told of, and kept when others are stored', async () => {
    const other = { ...LEFT_BEHIND, unitOfReading: 'g', at: '2026-11-29T10:43:00.000Z' }
    await journal([other])
    await driver.navigate().refresh()
    await see(driver, 'The instrument shows g, and the readings here are in kg', '[role=alert]')
    await press(driver, 'Take the last one back')
    await see(driver, 'The last reading was taken back.', SAID)
    await untilSaved(driver)
    expect(await stored()).toEqual([])
    expect(await journal()).toEqual([other])
  })
  await step('without an instrument that is said, and nothing is taken', async () => {
    scale!.kill()
    await see(driver, 'No instrument answers', 'main')
    await enter()
    await see(driver, 'The instrument shows nothing', '[role=alert]')
  })
})

/** Puts a port in the place of those of the browser: `say` is what comes over it, `garble` breaks its stream, `pull` ends it. */
const SERIAL_PORT = `
  let stream
  const port = {
    open: async (how) => { window.opened = how; renew() },
    close: async () => { window.isClosed = true },
  }
  const renew = () => { port.readable = new ReadableStream({ start: (controller) => { stream = controller } }) }
  window.say = (...bytes) => stream.enqueue(new Uint8Array(bytes))
  window.garble = () => { const broken = stream; renew(); broken.error(new Error('framing')) }
  window.pull = () => { port.readable = null; stream.error(new Error('gone')) }
  Object.defineProperty(navigator, 'serial', { value: { requestPort: async () => port } })`

test('an instrument on a serial port of the browser is heard, over what the line garbles and until it is pulled out', async () => {
  const { driver } = journey
  await driver.sendDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', { source: SERIAL_PORT })
  startScale('--pace', '20000')
  await toScale(30)
  await choose(driver, 'Bits a second', '1200')
  await press(driver, 'An instrument on a serial port')
  await see(driver, 'An instrument that does not say its name', 'main')
  expect(await driver.executeScript('return opened')).toEqual({ baudRate: 1200 })
  const say = (text: string) => driver.executeScript('say(...arguments[0])', [...Buffer.from(text)])
  // A line of its own kind, in pieces; it stands still once it was said three times.
  await say('N  14,9')
  await say('32 kg\r\nN  14,932 kg\r\n')
  await see(driver, 'It is moving', STANDING)
  await say('N  14,932 kg\r\n')
  await see(driver, 'It stands still', STANDING)
  await press(driver, 'Take it (Enter)')
  await see(driver, 'Taken: 14.932 kg as reading 1, unit ', SAID)
  await driver.executeScript('garble()')
  await say('N 0,000 kg\r\nN 0,000 kg\r\nN 0,000 kg\r\n')
  await see(driver, 'It counts as empty', STANDING)
  await say('N 15,010 kg\r\nN 15,010 kg\r\nN 15,010 kg\r\n')
  await see(driver, 'It stands still', STANDING)
  await press(driver, 'Take it (Enter)')
  await see(driver, 'Taken: 15.010 kg as reading 2, unit ', SAID)
  await driver.executeScript('pull()')
  await see(driver, 'No instrument answers', 'main')
  await until(() => driver.executeScript<boolean>('return window.isClosed === true'), 10_000)
  await untilSaved(driver)
  const [row] = await stored()
  expect(row!.slice(0, 2)).toEqual(['14.932', expect.stringMatching(/^\d+$/)])
  await follow(driver, 'The claim')
  await see(
    driver,
    'Not as planned: 30 units planned, 2 tested; of the 30 units drawn 2 are noted with readings.',
    '#finding',
  )
})

test('of 200 readings none is lost, though the server is killed twice', async () => {
  const { driver } = journey
  startScale('--pace', '500', '--dropouts', '0.01')
  await toScale(200)
  const count = async () => Number(/(\d+) of 200 taken/.exec(await textOf(driver, NEXT))?.[1] ?? 200)
  await press(driver, 'Take each as it stands still')
  await see(driver, 'Take the first one by Enter', 'main')
  expect(await count()).toBe(0)
  await until(async () => {
    await press(driver, 'Take it (Enter)')
    return (await count()) > 0
  }, 60_000)
  for (const killedAt of [60, 130]) {
    await until(async () => (await count()) >= killedAt, 180_000)
    const { address, data } = journey.server
    await kill(journey.server)
    const said = await count()
    const { child, output } = launch(['--demo', '--data', data, '--port', new URL(address).port])
    await until(() => output().includes(`True Weight is at ${address}/`), STARTING_MS)
    journey.server = { address, data, process: child, output }
    // What was taken is not taken for untaken.
    expect(await count()).toBeGreaterThanOrEqual(said)
  }
  await see(driver, 'All 200 units of the draw are taken.', NEXT)
  await untilSaved(driver)
  const rows = await stored()
  expect(rows).toHaveLength(200)
  expect(new Set(rows.map(([, unit]) => unit)).size).toBe(200)
  expect(new Set(rows.map((row) => row[3])).size).toBe(200)
  // Each is one that the instrument says that it weighed, in its order, and none twice.
  const log = [...weighed.matchAll(/unit \d+: (\S+) kg/g)].map(([, text]) => Number(text))
  let from = 0
  for (const [text] of rows) {
    const near = log.findIndex((value, at) => at >= from && Math.abs(value - Number(text)) < 0.0025)
    expect([text, near >= from]).toEqual([text, true])
    from = near + 1
  }
  await follow(driver, 'The claim')
  await see(driver, 'As planned: what is claimed', '#finding')
  await press(driver, 'Sign the finding')
  await follow(driver, 'Signed finding 1')
  await see(driver, 'As planned: what is claimed', 'main')
}, 600_000)
