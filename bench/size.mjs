// The scripts that the workbench sends, as they travel: compressed.
import { withWorkbench } from './workbench.mjs'

const GOAL_KB = 350

export async function measureSize() {
  await withWorkbench(async (driver) => {
    const sizes = await driver.executeScript(`
      return performance.getEntriesByType('resource')
        .filter(({ name }) => new URL(name).pathname.endsWith('.js'))
        .map(({ encodedBodySize, decodedBodySize }) => [encodedBodySize, decodedBodySize])`)
    const sum = (index) => sizes.reduce((total, size) => total + size[index], 0) / 1000
    console.log(
      `scripts of the workbench: ${sum(0).toFixed(0)} kB gzipped, ${sum(1).toFixed(0)} kB unpacked, ` +
        `${sizes.length} files (goal: under ${GOAL_KB} kB gzipped)`,
    )
  })
}
