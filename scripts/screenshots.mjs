// Takes the pictures of docs/screenshots anew, from the demo: `npm run screenshots`.
import { writeFileSync } from 'node:fs'
import path from 'node:path'
import { By, until } from 'selenium-webdriver'
import { withWorkbench } from '../bench/workbench.mjs'
import { ROOT } from './install.mjs'

const SIZE = { width: 1280, height: 800, deviceScaleFactor: 1, mobile: false }
/** Fonts and the chart are in place by then. */
const SETTLING_MS = 1200

await withWorkbench(async (driver) => {
  const colours = (value) =>
    driver.sendDevToolsCommand('Emulation.setEmulatedMedia', {
      features: [{ name: 'prefers-color-scheme', value }],
    })
  const take = async (name) => {
    await driver.sleep(SETTLING_MS)
    writeFileSync(
      path.join(ROOT, `docs/screenshots/${name}.png`),
      Buffer.from(await driver.takeScreenshot(), 'base64'),
    )
  }
  await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', SIZE)
  await colours('light')
  await driver.executeScript('scrollTo(0, 0)')
  await take('workbench')
  await driver.executeScript('document.getElementById("test").scrollIntoView()')
  await take('workbench-test')
  await driver.executeScript('scrollTo(0, 0)')
  await colours('dark')
  await take('workbench-dark')
  await colours('light')
  await driver.findElement(By.partialLinkText('Brackwater')).click()
  await driver.wait(until.elementLocated(By.css('[aria-label=Subject]')), 9000)
  await take('case')
  await driver.findElement(By.linkText('Docket')).click()
  await driver.wait(until.elementLocated(By.css('[aria-label=Cases]')), 9000)
  await take('docket')
})
