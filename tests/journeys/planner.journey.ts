import { spawnSync } from 'node:child_process'
import { By, Key, Origin } from 'selenium-webdriver'
import { violationsAt } from './access'
import {
  attribute,
  choose,
  click,
  follow,
  type Look,
  paste,
  press,
  see,
  seeFigure,
  textOf,
  type,
  untilSaved,
} from './browser'
import { startJourney, step } from './journey'

// A sample is planned before anything is measured: units, power and gap, each from the other two.

const LOOKS: readonly Look[] = [
  { colours: 'light', width: 1280 },
  { colours: 'dark', width: 400 },
]
const journey = startJourney(['--demo'], { arrive: ({ driver }) => see(driver, 'Docket', 'main h1') })
const UNITS = '[data-testid=units]'

test('the units for a mean, by words, by the handle and by a budget, as the command line has them', async () => {
  const { driver } = journey
  const handle = () => driver.findElement(By.css('[role=slider]'))
  await follow(driver, 'Planner')
  await see(driver, 'State the claimed value.', 'main')
  await type(driver, 'Claimed value', '15')
  await type(driver, 'Unit', 'kg')
  await type(driver, 'Gap', '0.1')
  await type(driver, 'Scatter', '0.18')
  await see(driver, '30 units', UNITS)
  await see(driver, 'If the mean is truly 14.9 kg, a sample of this size contradicts the claim', 'aside')
  await seeFigure(driver, 'What this sample finds', 'none: the claim only just holds', '5.0 %')
  await step('what it copies is answered alike on the command line', async () => {
    await driver.setPermission('clipboard-read', 'granted')
    await driver.setPermission('clipboard-write', 'granted')
    await press(driver, 'Copy it for the command line')
    const asked = await driver.executeScript<string>('return navigator.clipboard.readText()')
    const { stdout } = spawnSync('bin/true-weight', ['check', '-'], { input: `${asked}\n`, encoding: 'utf8' })
    expect(JSON.parse(stdout)).toMatchObject({ ok: true, plan: { n: 30, method: 't' } })
  })
  await step('a budget', async () => {
    await type(driver, 'Cost of a unit', '12')
    await type(driver, 'Budget', '300')
    await see(
      driver,
      'The budget buys 25 units: they find a shortfall of 0.1 kg with a power of 85.4 %',
      'aside',
    )
  })
  await step('the handle, by keys and by the pointer', async () => {
    await handle().sendKeys(Key.ARROW_RIGHT)
    await see(driver, '31 units', UNITS)
    expect(await attribute(driver, 'Power')).toMatch(/^91\.\d/)
    await driver
      .actions()
      .move({ origin: handle() })
      .press()
      .move({ origin: Origin.POINTER, x: 60, y: 0 })
      .release()
      .perform()
    await driver.wait(async () => Number.parseInt(await textOf(driver, UNITS), 10) > 33, 5000)
  })
  await step('its address finds it again, and a typed power takes the lead', async () => {
    const units = await textOf(driver, UNITS)
    const said = `units=${Number.parseInt(units, 10)}`
    await driver.wait(async () => (await driver.getCurrentUrl()).includes(said), 5000)
    await driver.navigate().refresh()
    await see(driver, units, UNITS)
    await type(driver, 'Power', '80 %')
    await see(driver, /^22 units/, UNITS)
  })
  await step('over the gap', async () => {
    await choose(driver, 'What the power is drawn over', 'the gap')
    await handle().sendKeys(Key.ARROW_LEFT)
    await see(driver, /^2[23] units/, UNITS)
    expect(await attribute(driver, 'Gap')).toBe('0.098')
  })
  expect(await violationsAt(driver, LOOKS)).toEqual([])
})

test('a share of a lot beside another claim, and what can not be planned', async () => {
  const { driver } = journey
  await follow(driver, 'Planner')
  await choose(driver, 'Parameter', 'share')
  await type(driver, 'Claimed value', '95 %')
  await type(driver, 'Gap', '10 %')
  await see(driver, '85 units', UNITS)
  await see(driver, '77 reach it first, and from 85 on it holds', 'aside')
  await type(driver, 'Size of the lot', '960')
  await see(driver, '75 units', UNITS)
  await see(driver, 'By the hypergeometric test', 'aside')
  await press(driver, 'Plan another claim with the same sample')
  await choose(driver, 'Parameter of claim 2', 'standard deviation')
  await choose(driver, 'Relation of claim 2', 'at most')
  await type(driver, 'Claimed value of claim 2', '0.3')
  await type(driver, 'Gap of claim 2', '0.05')
  await see(driver, 'So many serve every claim below', 'aside')
  await see(driver, /Standard deviation at most 0\.3: 1\d\d units/, 'aside')
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  await press(driver, 'Leave claim 2 out')
  await type(driver, 'Gap', '10')
  await press(driver, 'Write 10 %')
  await see(driver, '75 units', UNITS)
  // Of three units a lot that is 95 % good has no bad one, and neither has one that is 85 % good.
  await type(driver, 'Size of the lot', '3')
  await see(driver, 'not reached with up to 3 units', '[role=alert]')
})

test('another sample is planned from the workbench, with the scatter of the one that is there', async () => {
  const { driver } = journey
  await follow(driver, 'Brackwater pellet sacks')
  await follow(driver, 'Mean net mass')
  await see(driver, 'Plan another sample for this claim', '#test')
  const link = await driver.findElement(By.linkText('Plan another sample for this claim'))
  await driver.get((await link.getAttribute('href'))!)
  await see(driver, /scatter as in \S/, 'main')
  expect(await attribute(driver, 'Claimed value')).toBe('15')
  expect(await attribute(driver, 'Scatter')).toMatch(/^0\.\d+$/)
  await type(driver, 'Gap', '0.1')
  await see(driver, /^\d+ units/, UNITS)
})

test('a plan is locked before sampling, and the finding says what was kept of it', async () => {
  const { driver } = journey
  await follow(driver, 'Planner')
  await type(driver, 'Claimed value', '15')
  await type(driver, 'Unit', 'kg')
  await type(driver, 'Gap', '0.1')
  await type(driver, 'Scatter', '0.18')
  await type(driver, 'Layers of the lot', 'north = 400; south = 560')
  await see(driver, '30 units', UNITS)
  await click(driver, By.xpath('//summary[contains(., "Draw 30")]'))
  await type(driver, 'Seed of the draw', '7')
  await see(driver, /north: 13 of 400\. .*south: 17 of 560\./s, '[data-testid=drawn]')
  await click(driver, By.xpath('//summary[contains(., "Lock the plan")]'))
  await type(driver, 'Subject of a new case', 'Sacks of line 5')
  await type(driver, 'Signed by', ' ')
  await press(driver, 'Open it and lock the plan')
  await see(driver, 'Nobody is named', '[role=alert]')
  await type(driver, 'Signed by', 'A. Officer')
  // Under the header, which stays, half a button would be a small one.
  await driver.executeScript('window.scrollTo(0, 0)')
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  await press(driver, 'Open it and lock the plan')
  await see(
    driver,
    /A plan was locked with no reading of its sample in, by A\. Officer on .*: 30 units, by the t test at 5 %, to find a shortfall of 0\.1 kg/,
    '#evidence',
  )
  await see(driver, 'The sheet to take along', '#evidence')
  const readings = Array.from({ length: 30 }, (_, at) => (14.9 + ((at * 7) % 11) / 50).toFixed(2))
  await paste(driver, 'Readings', readings.join('\n'))
  await see(driver, 'As planned: what is claimed', '#finding')
  await see(driver, 'none of this was chosen after looking', '#cross-examination')
  await choose(driver, 'Relation', 'more than')
  await see(driver, 'Not as planned: the relation was planned as “at least” and is “more than”', '#finding')
  await untilSaved(driver)
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  await follow(driver, 'Sacks of line 5')
  await follow(driver, 'Trail')
  await see(driver, 'A. Officer locked a plan.', 'main')
  await see(driver, /Plan: 30 units, by the t test at 5 %, .*, fingerprint [0-9a-f]{64}/, 'main')
})
