// The docket of 10,000 cases, the reports of a case of 20 claims and of one with two over 20,000 readings, and the case file of
// one with a sample of 1,000,000 rows, each over HTTP from the production build.
import { createReadStream, readFileSync } from 'node:fs'
import path from 'node:path'
import { By, Key, until } from 'selenium-webdriver'
import { build } from '../scripts/build.mjs'
import { loadServerCode } from '../scripts/bundle.mjs'
import { LOG_ROWS, LOG_ROWS_WRITTEN, median, writeLog } from './log.mjs'
import { newFolder, withServer } from './server.mjs'
import { sized, TURNS } from './sizes.mjs'
import { withBrowser } from './workbench.mjs'

const CASES = sized(10_000, 1000)
const CLAIMS = sized(20, 2)
const READINGS = sized(20_000, 500)
/** From the asking to the moment when the largest part of what is in view is painted: the cases, which come with the page. */
const PAINTED = `new PerformanceObserver((list) => arguments[0](list.getEntries().at(-1).startTime))
  .observe({ type: 'largest-contentful-paint', buffered: true })`

export async function measureDesk() {
  const counts = { caseCount: CASES, claimCount: CLAIMS, readingCount: READINGS }
  await withDesk(counts, async (address, { many, long }) => {
    await measureDocket(address)
    await measureReport(address, many, `${CLAIMS} claims`)
    await measureReport(address, long, `two claims over ${READINGS} readings`)
  })
  const { exported, megabytes, broughtIn, memory } = await timesOfCaseFile(LOG_ROWS)
  console.log(
    `A case with ${LOG_ROWS_WRITTEN} rows by 8 columns, exported: ${exported.toFixed(0)} ms, ${megabytes.toFixed(1)} MiB of ZIP (goal 15000)`,
  )
  console.log(
    `The same brought in elsewhere: ${broughtIn.toFixed(0)} ms (goal 15000), at most ${memory} MiB of memory`,
  )
}

/** Has `work` done with the address of a server of a full desk, and with the cases that `fillDesk` names. */
export async function withDesk(counts, work) {
  await build()
  const folder = newFolder()
  const { fillDesk } = await loadServerCode('bench/deskServer.ts')
  const named = await fillDesk(folder, counts)
  return withServer(['--data', folder], (address) => work(address, named))
}

async function measureDocket(address) {
  await withBrowser(async (driver) => {
    const shown = []
    for (const query of [
      '',
      `?text=${Math.floor(CASES * 0.4711)}`,
      `?outcome=supported&order=party&page=${(3 * CASES) / 1000}`,
      '?state=any&order=reference',
    ]) {
      const turns = []
      for (let turn = 0; turn < TURNS; turn += 1) {
        await driver.get('about:blank')
        await driver.get(`${address}${query}`)
        await driver.wait(until.elementLocated(By.css('[aria-label=Cases] li')), 9000)
        turns.push(await driver.executeAsyncScript(PAINTED))
      }
      shown.push(`${query || 'all'} ${median(turns).toFixed(0)} ms`)
    }
    console.log(`The docket of ${CASES} cases, asked for and painted: ${shown.join(', ')} (goal 500)`)
  })
}

async function measureReport(address, caseId, what) {
  const taken = []
  for (const format of ['pdf', 'pdf', 'docx', 'html']) {
    const { ms, bytes } = await timedFetch(`${address}api/cases/${caseId}/report?format=${format}`)
    taken.push(`${format} ${ms.toFixed(0)} ms (${(bytes.length / 1024).toFixed(0)} KiB)`)
  }
  console.log(
    `The report of ${what}, made for the first time and then again: ${taken.join(', ')} (goal 3000)`,
  )
}

/** What an address answers, and how long it took. */
export async function timedFetch(url) {
  const started = performance.now()
  const answer = await fetch(url)
  const bytes = Buffer.from(await answer.arrayBuffer())
  if (!answer.ok) throw new Error(`${url} answered ${answer.status}: ${bytes.subarray(0, 200)}`)
  return { ms: performance.now() - started, bytes }
}

/** A case with a sample of so many rows, exported by one server and brought in by another: times in milliseconds. */
export async function timesOfCaseFile(size) {
  await build()
  const [first, second] = [newFolder(), newFolder()]
  const log = await writeLog(path.join(first, 'log.csv'), size)
  const { ms: exported, bytes } = await withServer(['--data', path.join(first, 'data')], async (address) => {
    const caseId = await newCase(address)
    await bringIn(address, caseId, log)
    return timedFetch(`${address}api/cases/${caseId}/file`)
  })
  return withServer(['--data', second], async (address, server) => {
    const started = performance.now()
    const answer = await fetch(`${address}api/cases`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/zip' },
      body: bytes,
    })
    const outcome = await answer.json()
    if (!outcome.ok) throw new Error(outcome.problem.message)
    const broughtIn = performance.now() - started
    return { exported, megabytes: bytes.length / 2 ** 20, broughtIn, memory: peakOf(server.pid) }
  })
}

/** Brings a file in as a sample of a case. */
export async function bringIn(address, caseId, file) {
  const question = encodeURIComponent(JSON.stringify({ fileName: path.basename(file), by: '' }))
  const answer = await fetch(`${address}api/cases/${caseId}/samples?question=${question}`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/octet-stream' },
    body: createReadStream(file),
    duplex: 'half',
  })
  const outcome = JSON.parse((await answer.text()).trim().split('\n').at(-1))
  if (!outcome.ok) throw new Error(outcome.problem.message)
}

/** Opened as the page does: with a case file that has no claims yet. */
export function newCase(address) {
  return withBrowser(async (driver) => {
    await driver.get(address)
    await driver.wait(until.elementLocated(By.linkText('Open a case')), 9000).click()
    await driver
      .wait(until.elementLocated(By.css('[aria-label=Subject]')), 9000)
      .sendKeys('Deliveries', Key.ENTER)
    await driver.wait(until.elementLocated(By.css('ol[aria-label=Claims]')), 9000)
    return (await driver.getCurrentUrl()).split('/cases/')[1]
  })
}

function peakOf(pid) {
  const [, kilobytes] = readFileSync(`/proc/${pid}/status`, 'utf8').match(/VmHWM:\s+(\d+)/)
  return Math.round(kilobytes / 1024)
}
