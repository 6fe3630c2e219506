// The scripts that each view sends, as they travel: compressed; and what it fetches besides for what it meets.
import { withWorkbench } from './workbench.mjs'

const GOAL_KB = 300
const VIEWS = ['', 'bench', 'planner', 'reckoner', 'instruments']
const SETTLING_MS = 1500

export async function measureSize() {
  await withWorkbench(async (driver) => {
    const { origin, pathname } = new URL(await driver.getCurrentUrl())
    const [, cases, caseId] = pathname.split('/')
    const views = [...VIEWS, `${cases}/${caseId}`, pathname.slice(1), `${pathname.slice(1)}/scale`]
    for (const view of views) {
      // A view by itself, whatever was fetched for another one.
      await driver.get('about:blank')
      await driver.get(`${origin}/${view}`)
      await driver.sleep(SETTLING_MS)
      const [sent, met] = await driver.executeAsyncScript(sizes)
      console.log(
        `scripts of ${view.replace(/[0-9a-f-]{20,}/g, '…') || 'the docket'}: ${sent} kB gzipped (goal: under ${GOAL_KB}), ` +
          `and ${met} kB for what is met at once`,
      )
    }
  })
}

/** In the browser: the kilobytes of the scripts that the page itself names, and of those that these fetched. */
async function sizes(told) {
  const page = await (await fetch(location.href)).text()
  const kilobytes = (entries) =>
    Math.round(entries.reduce((total, { encodedBodySize }) => total + encodedBodySize, 0) / 1000)
  const scripts = performance
    .getEntriesByType('resource')
    .filter(({ name }) => new URL(name).pathname.endsWith('.js'))
  const isSent = ({ name }) => page.includes(new URL(name).pathname)
  told([kilobytes(scripts.filter(isSent)), kilobytes(scripts.filter((script) => !isSent(script)))])
}
