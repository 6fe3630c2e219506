import axe, { type AxeResults } from 'axe-core'
import type { WebDriver } from 'selenium-webdriver'
import type { Driver } from 'selenium-webdriver/chrome'
import { type Look, PATIENCE_MS, prefer } from './browser'

/** What keeps a page from being usable by everyone, as axe-core sees it: nothing, one hopes. */
export async function violations(driver: WebDriver): Promise<readonly string[]> {
  // A page that was come to by a link is given its title a moment after its content.
  await driver.wait(async () => (await driver.getTitle()) !== '', PATIENCE_MS, 'The page has no title')
  const isThere = await driver.executeScript<boolean>('return "axe" in window')
  if (!isThere) await driver.executeScript(axe.source)
  const found = await driver.executeScript<AxeResults['violations']>(
    'return axe.run({ runOnly: arguments[0], resultTypes: ["violations"] }).then(({ violations }) => violations)',
    RULES,
  )
  return found.flatMap(({ id, nodes }) => nodes.map(({ html }) => `${id}: ${html}`))
}

/** The rules of WCAG 2.2 A and AA, the size of targets among them, and what is good practice. */
const RULES = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice']

/** The same in several looks, and whether the page scrolls sideways in any. */
export async function violationsAt(driver: Driver, looks: readonly Look[]): Promise<readonly string[]> {
  const found: string[] = []
  for (const { colours, width } of looks) {
    const size = { width, height: 800, deviceScaleFactor: 1, mobile: false }
    await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', size)
    await prefer(driver, colours)
    const at = `${colours}, ${width}`
    found.push(...(await violations(driver)).map((seen) => `${at}: ${seen}`))
    const isWide = 'return document.documentElement.scrollWidth > document.documentElement.clientWidth'
    if (await driver.executeScript<boolean>(isWide)) found.push(`${at}: the page scrolls sideways`)
  }
  await driver.sendDevToolsCommand('Emulation.clearDeviceMetricsOverride', {})
  await prefer(driver, 'light')
  return found
}
