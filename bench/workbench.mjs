// Opens the demo's workbench in headless Chromium, from the production build.
import { spawn } from 'node:child_process'
import { once } from 'node:events'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { Builder, By, until } from 'selenium-webdriver'
import { Options, ServiceBuilder } from 'selenium-webdriver/chrome.js'
import { build } from '../scripts/build.mjs'
import { CHROMIUM, ensureBrowser } from '../scripts/ensureBrowser.mjs'
import { ROOT } from '../scripts/install.mjs'

export const newFolder = () => mkdtempSync(path.join(tmpdir(), 'true-weight-bench-'))

/** What `measure` returns of a browser that shows the workbench; then the browser and the server are ended. */
export async function withWorkbench(measure) {
  await build()
  const server = spawn(process.execPath, ['scripts/serve.mjs', '--demo', '--data', newFolder()], {
    cwd: ROOT,
  })
  try {
    const address = await addressOf(server)
    return await withBrowser(async (driver) => {
      await driver.get(address)
      const follow = async (words) =>
        (await driver.wait(until.elementLocated(By.partialLinkText(words)), 9000)).click()
      await follow('Brackwater')
      await follow('Mean net mass')
      await driver.wait(until.elementLocated(By.css('[data-testid=claim-line]')), 9000)
      await driver.navigate().refresh()
      await driver.wait(until.elementLocated(By.css('[data-testid=claim-line]')), 9000)
      return measure(driver)
    })
  } finally {
    server.kill('SIGKILL')
  }
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

/** The address that a server prints once it answers. */
export async function addressOf(server) {
  let printed = ''
  for (const stream of [server.stdout, server.stderr]) stream.on('data', (chunk) => (printed += chunk))
  const ended = once(server, 'exit').then(() => {
    throw new Error(`The server ended:\n${printed}`)
  })
  ended.catch(() => {})
  for (;;) {
    const found = printed.match(/True Weight is at (\S+)/)
    if (found) return found[1]
    await Promise.race([ended, new Promise((resolve) => setTimeout(resolve, 20))])
  }
}
