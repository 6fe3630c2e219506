// Opens the demo's workbench in headless Chromium, from the production build.
import { Builder, By, until } from 'selenium-webdriver'
import { Options, ServiceBuilder } from 'selenium-webdriver/chrome.js'
import { build } from '../scripts/build.mjs'
import { CHROMIUM, ensureBrowser } from '../scripts/ensureBrowser.mjs'
import { newFolder, withServer } from './server.mjs'

/** What `measure` returns of a browser that shows the workbench; then the browser and the server are ended. */
export async function withWorkbench(measure) {
  await build()
  return withServer(['--demo', '--data', newFolder()], (address) =>
    withBrowser(async (driver) => {
      await driver.get(address)
      const follow = async (words) =>
        (await driver.wait(until.elementLocated(By.partialLinkText(words)), 9000)).click()
      await follow('Brackwater')
      await follow('Mean net mass')
      await driver.wait(until.elementLocated(By.css('[data-testid=claim-line]')), 9000)
      await driver.navigate().refresh()
      await driver.wait(until.elementLocated(By.css('[data-testid=claim-line]')), 9000)
      return measure(driver)
    }),
  )
}

/** What `work` returns of a browser of its own, which is then ended. */
export async function withBrowser(work) {
  ensureBrowser()
  const options = new Options()
  options.setChromeBinaryPath(CHROMIUM.binary)
  options.addArguments(...CHROMIUM.arguments, `--user-data-dir=${newFolder()}`)
  const driver = await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new ServiceBuilder(CHROMIUM.driver))
    .build()
  try {
    return await work(driver)
  } finally {
    await driver.quit()
  }
}
