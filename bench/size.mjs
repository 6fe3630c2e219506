// The scripts that each view sends, as they travel: compressed.
import { withWorkbench } from './workbench.mjs'

const GOAL_KB = 350
const VIEWS = ['', 'bench', 'planner', 'reckoner', 'instruments']
const SETTLING_MS = 1500

export async function measureSize() {
  await withWorkbench(async (driver) => {
    const told = async (name, goal = '') => {
      const sizes = await driver.executeScript(`
        return performance.getEntriesByType('resource')
          .filter(({ name }) => new URL(name).pathname.endsWith('.js'))
          .map(({ encodedBodySize, decodedBodySize }) => [encodedBodySize, decodedBodySize])`)
      const sum = (index) => sizes.reduce((total, size) => total + size[index], 0) / 1000
      console.log(
        `scripts of the ${name}: ${sum(0).toFixed(0)} kB gzipped, ${sum(1).toFixed(0)} kB unpacked, ` +
          `${sizes.length} files${goal}`,
      )
    }
    await told('workbench', ` (goal: under ${GOAL_KB} kB gzipped)`)
    const { origin, pathname } = new URL(await driver.getCurrentUrl())
    for (const view of [...VIEWS, `${pathname.slice(1)}/scale`]) {
      // A view by itself, whatever was fetched for another one.
      await driver.get('about:blank')
      await driver.get(`${origin}/${view}`)
      await driver.sleep(SETTLING_MS)
      await told(view.replace(/^cases.*\//, '') || 'docket')
    }
  })
}
