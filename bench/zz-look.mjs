import { writeFileSync } from 'node:fs'
import { Builder, By, Key, until, logging } from 'selenium-webdriver'
import { Options, ServiceBuilder } from 'selenium-webdriver/chrome.js'
import { CHROMIUM } from '../scripts/ensureBrowser.mjs'
import { newFolder } from './workbench.mjs'
export async function look(steps, height = 800) {
  const options = new Options()
  options.setChromeBinaryPath(CHROMIUM.binary)
  options.addArguments(...CHROMIUM.arguments, `--user-data-dir=${newFolder()}`)
  const logs = new logging.Preferences()
  logs.setLevel('browser', logging.Level.ALL)
  options.setLoggingPrefs(logs)
  const driver = await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new ServiceBuilder(CHROMIUM.driver))
    .build()
  try {
    await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
      width: 1280,
      height,
      deviceScaleFactor: 1,
      mobile: false,
    })
    const shot = async (name) => {
      await driver.sleep(900)
      writeFileSync(`/tmp/shots/${name}.png`, Buffer.from(await driver.takeScreenshot(), 'base64'))
    }
    await steps({
      driver,
      shot,
      By,
      Key,
      until,
      base: 'http://127.0.0.1:4100',
      find: (x) => driver.wait(until.elementLocated(By.xpath(x)), 15000),
      follow: async (w) => (await driver.wait(until.elementLocated(By.partialLinkText(w)), 15000)).click(),
      label: (l) => driver.wait(until.elementLocated(By.css(`main [aria-label="${l}"]`)), 15000),
    })
  } finally {
    for (const e of await driver.manage().logs().get('browser'))
      console.log(e.level.name, e.message.slice(0, 400))
    await driver.quit()
  }
}
