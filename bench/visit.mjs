// A visit to the desk in headless Chromium: what each view asks of the server, what the server's processor has to do for it, and how
// long one waits for it.
import { build } from '../scripts/build.mjs'
import { timeOf } from './load.mjs'
import { median } from './log.mjs'
import { newFolder, withServer } from './server.mjs'
import { sized } from './sizes.mjs'
import { withBrowser } from './workbench.mjs'

const VISITS = sized(10, 1)
/** The links of a visit, by the words that they have, and what stands on the view that each leads to. */
const VIEWS = [
  ['Brackwater', 'Claims made by'],
  ['Trail', 'Have the trail sealed'],
  ['Brackwater', 'Claims made by'],
  ['Mean net mass', 'says the'],
  ['Instruments', 'A sample takes over'],
  ['Docket', 'Open a case'],
]
/** Longer than what a view asks for in advance takes. */
const READ_MS = sized(1500, 500)

export async function measureVisit() {
  await build()
  await withServer(['--demo', '--data', newFolder()], (address, { pid }) =>
    withBrowser(async (driver) => {
      await driver.get(address)
      await visit(driver)
      const before = timeOf(pid)
      const visits = []
      for (let count = 0; count < VISITS; count += 1) visits.push(await visit(driver))
      const views = VISITS * VIEWS.length
      const processor = (timeOf(pid) - before) / views
      const asked = visits.reduce((sum, one) => sum + one.asked, 0) / views
      const waited = median(visits.flatMap((one) => one.waited))
      console.log(
        `A view among ${views} of a visit: ${asked.toFixed(1)} requests, ${processor.toFixed(0)} ms of the server’s processor, ` +
          `shown ${waited.toFixed(0)} ms after its link was followed (median)`,
      )
    }),
  )
}

async function visit(driver) {
  await driver.executeScript('performance.clearResourceTimings()')
  const waited = []
  for (const view of VIEWS) {
    await driver.sleep(READ_MS)
    waited.push(await driver.executeAsyncScript(FOLLOW, ...view))
  }
  await driver.sleep(READ_MS)
  const asked = await driver.executeScript('return performance.getEntriesByType("resource").length')
  return { asked, waited }
}

/** From the click to the first frame that has the text, in milliseconds. */
const FOLLOW = `
  const [words, text, done] = arguments
  const link = [...document.querySelectorAll('a')].find((one) => one.innerText.includes(words))
  const start = performance.now()
  const look = () =>
    document.querySelector('main')?.textContent.includes(text) ? done(performance.now() - start) : requestAnimationFrame(look)
  link.click()
  look()`
