// Takes the pictures of docs/screenshots anew, from the demo: `npm run screenshots`.
import { spawn } from 'node:child_process'
import { writeFileSync } from 'node:fs'
import path from 'node:path'
import { ensureInstalled, ROOT } from './install.mjs'
import ownTemporaryFolder from './temporary.mjs'

const SIZE = { width: 1280, height: 800, deviceScaleFactor: 1, mobile: false }
/** Fonts and the chart are in place by then. */
const SETTLING_MS = 1200
const PATIENCE_MS = 30_000

ownTemporaryFolder()
ensureInstalled('all')
const { By, until } = await import('selenium-webdriver')
const { withWorkbench } = await import('../bench/workbench.mjs')
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
  const there = (xpath) => driver.wait(until.elementLocated(By.xpath(xpath)), PATIENCE_MS)
  const follow = async (words) => {
    const link = await driver.wait(until.elementLocated(By.partialLinkText(words)), PATIENCE_MS)
    try {
      await driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', link)
      await link.click()
    } catch (error) {
      // The page was made anew meanwhile.
      if (error.name !== 'StaleElementReferenceError') throw error
      await follow(words)
    }
  }
  const toTop = () => driver.executeScript('scrollTo(0, 0)')
  const toPart = (id) => driver.executeScript('document.getElementById(arguments[0]).scrollIntoView()', id)
  const press = async (words) => (await there(`//button[contains(., "${words}")]`)).click()
  await follow('Docket')
  await press('Clear them away')
  await there('//button[contains(., "Lay out the winter heating audit")]')
  await toTop()
  await take('welcome')
  await press('Lay out the winter heating audit')
  await follow('Brackwater pellet sacks')
  await follow('Mean net mass')
  await driver.wait(until.elementLocated(By.css('[data-testid=claim-line]')), PATIENCE_MS)
  await toTop()
  await take('workbench')
  for (const section of ['conditions', 'test', 'cross-examination', 'finding']) {
    await toPart(section)
    await take(`workbench-${section}`)
  }
  await toTop()
  await follow('The whole sample')
  await there('//*[@role="grid"]')
  await follow('Docket')
  await driver.wait(until.elementLocated(By.css('[aria-label=Cases]')), PATIENCE_MS)
  await take('docket')
  await follow('Deliveries of the winter')
  await driver.wait(until.elementLocated(By.css('[aria-label=Subject]')), PATIENCE_MS)
  await take('case')
  await follow('Mean delivery time')
  await there('//*[contains(., "of 200,000 rows")]')
  await follow('The whole sample')
  await there('//*[@role="gridcell"][contains(., "100001")]')
  await take('sample')
  await follow('Docket')
  await follow('Reckoner')
  await there('//*[@role="slider"]')
  await take('reckoner')
  const here = new URL(await driver.getCurrentUrl()).origin
  await driver.get(
    `${here}/planner?parameter=proportion&quantity=deliveries+within+two+days&claimedValue=95+%25&gap=10+%25&lotSize=960&unitCost=12&budget=600`,
  )
  await there('//*[@role="slider"]')
  await take('planner')
  await driver.get(
    `${here}/bench?source=leaflet&quantity=flue+temperature&relation=at-most&claimedValue=165&unit=°C&sample.kind=summary&sample.sampleSize=18&sample.mean=166.4&sample.spread=3.9&ends=here`,
  )
  await there('//aside[contains(., "p-value")]')
  await take('bench')
  await follow('Docket')
  await follow('Net content of the pellet sacks')
  await follow('Net content of a sack')
  await there('//*[@aria-label="Criteria"]')
  await toPart('test')
  await take('net-content')
  await follow('Docket')
  await follow('Deliveries of the winter')
  await follow('wherever you live')
  await follow('Hold it against each group')
  await there('//table[@aria-label="Groups"]')
  await take('groups')
  await follow('Docket')
  await follow('Data sheet of the Hearthling stove')
  await follow('Bring in a specification')
  const table = await there('//textarea[@aria-label="Specification"]')
  await driver.executeScript(
    'arguments[0].focus(); document.execCommand("insertText", false, arguments[1])',
    table,
    'characteristic;relation;value;tolerance;unit;column\nheat output;within;7;0.2;kW;\nflue temp;at most;165;;°C;\nnoise of the fan;about;42;;dB;noise\nheight;;118;±0.5;cm;height\nvoltage;at least;230;;V;',
  )
  await there('//*[@aria-label="Rows of the specification"]')
  await take('specification')
  await driver.get(
    `${here}/planner?quantity=net+mass&claimedValue=15&unit=kg&gap=0.1&scatter=0.18&lotSize=960&seed=7`,
  )
  await (await there('//summary[contains(., "Lock the plan")]')).click()
  await (await there('//*[@aria-label="Signed by"]')).sendKeys('A. Inspector')
  await (await there('//*[@aria-label="Subject of a new case"]')).sendKeys('Sacks of line 5')
  await press('Open it and lock the plan')
  const scale = spawn(process.execPath, [path.join(ROOT, 'scripts/scale.mjs'), '--pace', '2500'])
  await follow('Take readings at a scale')
  await there('//*[@data-testid="standing"][.="It stands still"]')
  await press('Take it')
  await press('Take each as it stands still')
  await there('//*[@data-testid="next"][contains(., "12 of 30 taken")]')
  await take('scale')
  scale.kill()
  await follow('Docket')
  await follow('Brackwater pellet sacks')
  await there('//*[@aria-label="Adjusted p-values"]')
  await toTop()
  await follow('Report')
  await there('//h2[.="Summary of findings"]')
  await toTop()
  await take('report')
  await follow('WH-014')
  await follow('Trail')
  await there('//*[contains(., "The chain holds")]')
  await take('trail')
  await follow('WH-014')
  await follow('Mean net mass')
  // By the name that the plan was locked with.
  await press('Sign the finding')
  await follow('Signed finding 1')
  await there('//*[@aria-label="Readings signed"]')
  await toTop()
  await take('signed-finding')
})
