import { By, Key } from 'selenium-webdriver'
import type { Driver } from 'selenium-webdriver/chrome'
import { violationsAt } from './access'
import {
  attribute,
  choose,
  chosen,
  click,
  control,
  follow,
  type Look,
  paste,
  press,
  see,
  type,
  untilSaved,
} from './browser'
import { startJourney, step } from './journey'

// Before there is a case: what the empty docket offers, and a check that belongs to nothing until it is put into a case.

const WELCOME = 'Does the sample support the claim?'
const SACKS = '14.92\n14.88\n15.01\n14.79\n14.95\n14.83\n14.9\n14.97\n14.86\n14.81'
const LOOKS: readonly Look[] = [
  { colours: 'light', width: 1280 },
  { colours: 'dark', width: 400 },
]
const journey = startJourney([], { arrive: ({ driver }) => see(driver, WELCOME, 'main h1') })

/** Counts what a hand does: clicks, and keys, those that are held down for another one not. */
const COUNT = `
  window.hand = { clicks: 0, keys: 0 }
  addEventListener('click', (event) => event.isTrusted && (window.hand.clicks += 1), true)
  addEventListener('keydown', ({ key }) => key !== 'Control' && (window.hand.keys += 1), true)`
const counted = (driver: Driver) =>
  driver.executeScript<Readonly<{ clicks: number; keys: number }>>('return window.hand')

async function toClipboard(driver: Driver, text: string): Promise<void> {
  const permissions = ['clipboardReadWrite', 'clipboardSanitizedWrite']
  const { origin } = new URL(journey.server.address)
  await driver.sendDevToolsCommand('Browser.grantPermissions', { permissions, origin })
  await driver.executeAsyncScript('navigator.clipboard.writeText(arguments[0]).then(arguments[1])', text)
}
const clipboard = (driver: Driver) =>
  driver.executeAsyncScript<string>('navigator.clipboard.readText().then(arguments[0])')
const openBench = (driver: Driver) => driver.get(`${journey.server.address}/bench`)

test('a newcomer comes from the first page to a finding by three clicks, a value and a paste', async () => {
  const { driver } = journey
  await toClipboard(driver, SACKS)
  await driver.executeScript(COUNT)
  await follow(driver, 'Go to the bench')
  await see(driver, 'State the claimed value.', 'aside')
  await click(driver, By.css('main [aria-label="Claimed value"]'))
  await driver.actions().sendKeys('15', Key.ENTER).perform()
  await driver.actions().keyDown(Key.CONTROL).sendKeys('v').keyUp(Key.CONTROL).perform()
  await see(driver, 'Contradicted', 'aside')
  await see(driver, /estimated at 14\.892/, 'aside')
  // One click for the door, one for the value; two digits, Enter and the paste.
  expect(await counted(driver)).toEqual({ clicks: 2, keys: 4 })
  expect(await violationsAt(driver, LOOKS)).toEqual([])
})

test('the bench is kept in the browser, cleared and brought back, and put into a case', async () => {
  const { driver } = journey
  await openBench(driver)
  await type(driver, 'Claimed value', '15')
  await type(driver, 'Unit', 'kg')
  await paste(driver, 'Readings', SACKS)
  await see(driver, 'Contradicted', 'aside')
  await untilSaved(driver)
  await step('read again', async () => {
    await driver.navigate().refresh()
    await see(driver, 'Contradicted', 'aside')
    expect(await attribute(driver, 'Readings')).toBe(SACKS)
  })
  await step('cleared, with what was typed just before, and brought back', async () => {
    await type(driver, 'Source of the claim', 'label')
    await press(driver, 'Clear the bench')
    await see(driver, 'Nothing is computed yet', 'aside')
    expect(await attribute(driver, 'Readings')).toBe('')
    await press(driver, 'Bring back what lay here before')
    await see(driver, 'Contradicted', 'aside')
    expect(await attribute(driver, 'Source of the claim')).toBe('label')
  })
  await step('put into a new case', async () => {
    await type(driver, 'Subject of a new case', 'Sacks of line 2')
    await press(driver, 'Open it with this check')
    await see(driver, 'Claim 1 of 1', 'header')
    await see(driver, 'The claim came into the case from the bench, where no trail is kept', '#finding')
    await see(driver, 'Sign the finding', '#finding')
    expect(await attribute(driver, 'Readings')).toBe(SACKS)
  })
  await step('the bench is clear, and another check goes beside the first', async () => {
    await follow(driver, 'Bench')
    await see(driver, 'Nothing is computed yet', 'aside')
    await choose(driver, 'How the sample is given', 'a count')
    await choose(driver, 'Parameter', 'share')
    await type(driver, 'Claimed value', '95 %')
    await type(driver, 'Count', '183 of 200')
    await press(driver, 'Keep it in Sacks of line 2')
    await see(driver, 'Claim 2 of 2', 'header')
  })
})

test('an address brings a check to somebody else, who loses nothing by it and is told what is not understood', async () => {
  const { driver } = journey
  await openBench(driver)
  await choose(driver, 'How the sample is given', 'summary figures only')
  await type(driver, 'Claimed value', '15')
  await type(driver, 'Number of readings', '24')
  await type(driver, 'Mean of the sample', '14.9')
  await type(driver, 'Spread of the sample', '0.18')
  await see(driver, 'Contradicted', 'aside')
  await toClipboard(driver, '')
  await press(driver, 'Copy its address')
  await see(driver, 'Copied', 'main')
  const address = await clipboard(driver)
  await press(driver, 'Clear the bench')
  await type(driver, 'Claimed value', '8')
  await untilSaved(driver)
  await step('it is laid over what was there', async () => {
    await driver.get(address)
    await see(driver, 'Contradicted', 'aside')
    expect(await attribute(driver, 'Mean of the sample')).toBe('14.9')
    expect(await driver.getCurrentUrl()).toBe(`${journey.server.address}/bench`)
    await press(driver, 'Bring back what lay here before')
    await driver.wait(async () => (await attribute(driver, 'Claimed value')) === '8', 5000)
  })
  await step('what was cut off or altered is told of', async () => {
    await driver.get(address.replace('claimedValue=15', 'claimedValue=15&relation=about').slice(0, -4))
    await see(driver, 'a part of it may be missing', '[role=alert]')
    await see(driver, '“relation”', '[role=alert]')
    expect(await chosen(driver, 'Relation')).toBe('at least')
    expect(await violationsAt(driver, LOOKS.slice(0, 1))).toEqual([])
  })
})

test('the demo is laid out by one click and cleared away by another', async () => {
  const { driver } = journey
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  await press(driver, 'Lay out the winter heating audit')
  await see(driver, 'Brackwater pellet sacks', 'main')
  await press(driver, 'Clear them away')
  await see(driver, WELCOME, 'main h1')
  expect(await control(driver, 'Case file')).toBeDefined()
})
