import { Key } from 'selenium-webdriver'
import { violationsAt } from './access'
import { follow, type Look, paste, press, see, type, untilSaved } from './browser'
import { startJourney } from './journey'

const WIDE: Look = { colours: 'light', width: 1280 }
const NARROW: Look = { colours: 'dark', width: 400 }
/** The page that changes most is looked at in every way. */
const ALL = (['light', 'dark'] as const).flatMap((colours) =>
  [1280, 1024, 400].map((width): Look => ({ colours, width })),
)

/** How a cross-examination is summed up where the sample showed nothing. */
const EXAMINED = /A sample of this size finds a gap of|What gap this sample could have found/

/** By then a view has asked for whatever it asks for by itself. */
const SETTLED_MS = 2000

const journey = startJourney(['--demo'], { arrive: ({ driver }) => see(driver, 'Docket', 'main h1') })

test('everyone can use every view, in both colours, on wide pages and narrow ones', async () => {
  const { driver } = journey
  const looked = async (looks: readonly Look[] = [WIDE, NARROW]) =>
    expect(await violationsAt(driver, looks)).toEqual([])
  // What is looked for is found, where there is some.
  await driver.executeScript(
    'document.documentElement.removeAttribute("lang"); document.querySelector("main h1").style.color = "#eee"',
  )
  expect((await violationsAt(driver, [WIDE])).map((found) => found.split(' <')[0])).toEqual([
    'light, 1280: color-contrast:',
    'light, 1280: html-has-lang:',
  ])
  await driver.navigate().refresh()
  await see(driver, 'Docket', 'main h1')
  await looked()
  await follow(driver, 'Brackwater pellet sacks')
  await see(driver, 'Claims made by')
  await looked()
  await follow(driver, 'Mean net mass')
  await see(driver, 'says the', 'main h1')
  await paste(driver, 'Readings', '12.1\n13.9\nhalf a reading\n14.0')
  await type(driver, 'Claimed value', '12.5')
  await see(driver, '1 entry is not read: “half a reading” in row 3', 'aside')
  await looked()
  await type(driver, 'Why the entries are set aside', 'the scale was switched off')
  await type(driver, 'Your name', 'A. Inspector')
  await press(driver, 'Set this entry aside')
  await see(driver, 'Not contradicted', 'aside')
  await press(driver, 'Show the working')
  await see(driver, 'Standard error', '[aria-label=Working]')
  await see(driver, EXAMINED, '#cross-examination')
  await looked(ALL)
  await driver.executeScript('document.activeElement.blur()')
  await driver.actions().sendKeys('?').perform()
  await see(driver, 'Keyboard', 'dialog[open]')
  await looked()
  await driver.actions().sendKeys(Key.ESCAPE).perform()
  await untilSaved(driver)
  await press(driver, 'Sign the finding')
  await follow(driver, 'Signed finding')
  await see(driver, 'every figure is the same', 'main')
  // What was signed is there whole: the claim's words, the conditions, where the sample comes from, and its readings.
  await see(driver, '“15 kg net” It stands in: label.', 'main')
  await see(driver, 'Not met', '[aria-label="Conditions signed"]')
  await see(driver, '2026-01-14', 'main')
  await see(driver, '3 readings, in the order given', 'main')
  await see(driver, '13.9', '[aria-label="Readings signed"]')
  await looked()
  for (const view of ['Report', 'Trail', 'Ratio of variances']) {
    await driver.get(journey.server.address)
    await follow(driver, 'Brackwater pellet sacks')
    await follow(driver, view)
    await see(driver, view === 'Ratio of variances' ? EXAMINED : 'Brackwater', 'main')
    await looked()
  }
})

test('a view looks as it will before its scripts are there', async () => {
  const { driver } = journey
  const look = () =>
    driver.executeScript(`return ['html', 'body', 'h1', 'ul', 'button'].map((tag) => {
      const { fontFamily, fontSize, backgroundColor, margin, listStyleType } = getComputedStyle(document.querySelector(tag))
      return { tag, fontFamily, fontSize, backgroundColor, margin, listStyleType }
    })`)
  const known = await look()
  expect(known).toMatchObject([{ fontFamily: expect.stringContaining('IBM Plex Sans') }, {}, {}, {}, {}])
  await driver.sendDevToolsCommand('Emulation.setScriptExecutionDisabled', { value: true })
  try {
    await driver.navigate().refresh()
    expect(await look()).toEqual(known)
  } finally {
    await driver.sendDevToolsCommand('Emulation.setScriptExecutionDisabled', { value: false })
  }
})

test('no page is asked for before its link is followed', async () => {
  const { driver } = journey
  const asked = () =>
    driver.executeScript<readonly string[]>(
      'return performance.getEntriesByType("resource").map(({ name }) => name).filter((name) => name.includes("_rsc="))',
    )
  await driver.sleep(SETTLED_MS)
  expect(await asked()).toEqual([])
  await follow(driver, 'Brackwater pellet sacks')
  await see(driver, 'Claims made by')
  await driver.sleep(SETTLED_MS)
  expect(await asked()).toEqual([expect.stringContaining('/cases/')])
})
