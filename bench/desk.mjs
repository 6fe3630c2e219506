// The docket of 10,000 cases, the reports of a case of 20 claims and of one with two over 20,000 readings, and the case file of
// one with a sample of 1,000,000 rows, each over HTTP from the production build.
import { spawn } from 'node:child_process'
import { createReadStream, readFileSync } from 'node:fs'
import path from 'node:path'
import { pathToFileURL } from 'node:url'
import { By, Key, until } from 'selenium-webdriver'
import { build } from '../scripts/build.mjs'
import { bundle } from '../scripts/bundle.mjs'
import { ROOT } from '../scripts/install.mjs'
import { LOG_ROWS, LOG_ROWS_WRITTEN, median, writeLog } from './log.mjs'
import { sized, TURNS } from './sizes.mjs'
import { addressOf, newFolder, withBrowser } from './workbench.mjs'

const CASES = sized(10_000, 1000)
const CLAIMS = sized(20, 2)
const READINGS = sized(20_000, 500)
/** From the asking to the moment when the largest part of what is in view is painted: the cases, which come with the page. */
const PAINTED = `new PerformanceObserver((list) => arguments[0](list.getEntries().at(-1).startTime))
  .observe({ type: 'largest-contentful-paint', buffered: true })`

export async function measureDesk() {
  await build()
  const outfile = path.join(ROOT, 'dist/bench-desk.mjs')
  await bundle('bench/deskServer.ts', outfile, {
    conditions: ['react-server'],
    external: ['@electric-sql/pglite', 'pg', 'pg-copy-streams'],
  })
  const folder = newFolder()
  const { fillDesk } = await import(pathToFileURL(outfile).href)
  const counts = { caseCount: CASES, claimCount: CLAIMS, readingCount: READINGS }
  const { many, long } = await fillDesk(folder, counts)
  await withServer(folder, async (address) => {
    await measureDocket(address)
    await measureReport(address, many, `${CLAIMS} claims`)
    await measureReport(address, long, `two claims over ${READINGS} readings`)
  })
  await measureCaseFile()
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
    const started = performance.now()
    const answer = await fetch(`${address}api/cases/${caseId}/report?format=${format}`)
    const { byteLength } = await answer.arrayBuffer()
    taken.push(
      `${format} ${(performance.now() - started).toFixed(0)} ms (${(byteLength / 1024).toFixed(0)} KiB)`,
    )
  }
  console.log(
    `The report of ${what}, made for the first time and then again: ${taken.join(', ')} (goal 3000)`,
  )
}

async function measureCaseFile() {
  const [first, second] = [newFolder(), newFolder()]
  const log = await writeLog(path.join(first, 'log.csv'), LOG_ROWS)
  const file = await withServer(path.join(first, 'data'), async (address) => {
    const caseId = await newCase(address)
    const question = encodeURIComponent(JSON.stringify({ fileName: 'log.csv', by: '' }))
    const brought = await fetch(`${address}api/cases/${caseId}/samples?question=${question}`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/octet-stream' },
      body: createReadStream(log),
      duplex: 'half',
    })
    const outcome = JSON.parse((await brought.text()).trim().split('\n').at(-1))
    if (!outcome.ok) throw new Error(outcome.problem.message)
    const started = performance.now()
    const bytes = Buffer.from(await (await fetch(`${address}api/cases/${caseId}/file`)).arrayBuffer())
    const ms = performance.now() - started
    console.log(
      `A case with ${LOG_ROWS_WRITTEN} rows by 8 columns, exported: ${ms.toFixed(0)} ms, ${(bytes.length / 2 ** 20).toFixed(1)} MiB of ZIP (goal 15000)`,
    )
    return bytes
  })
  await withServer(second, async (address, server) => {
    const started = performance.now()
    const answer = await fetch(`${address}api/cases`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/zip' },
      body: file,
    })
    const outcome = await answer.json()
    if (!outcome.ok) throw new Error(outcome.problem.message)
    console.log(
      `The same brought in elsewhere: ${(performance.now() - started).toFixed(0)} ms (goal 15000), at most ${peakOf(server.pid)} MiB of memory`,
    )
  })
}

/** Opened as the page does: with a case file that has no claims yet. */
async function newCase(address) {
  let caseId
  await withBrowser(async (driver) => {
    await driver.get(address)
    await driver.wait(until.elementLocated(By.linkText('Open a case')), 9000).click()
    await driver
      .wait(until.elementLocated(By.css('[aria-label=Subject]')), 9000)
      .sendKeys('Deliveries', Key.ENTER)
    await driver.wait(until.elementLocated(By.css('ol[aria-label=Claims]')), 9000)
    caseId = (await driver.getCurrentUrl()).split('/cases/')[1]
  })
  return caseId
}

async function withServer(data, work) {
  const server = spawn(process.execPath, ['scripts/serve.mjs', '--data', data], { cwd: ROOT })
  try {
    return await work(await addressOf(server), server)
  } finally {
    server.kill('SIGKILL')
  }
}

function peakOf(pid) {
  const [, kilobytes] = readFileSync(`/proc/${pid}/status`, 'utf8').match(/VmHWM:\s+(\d+)/)
  return Math.round(kilobytes / 1024)
}
