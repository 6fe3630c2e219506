import { By, Key } from 'selenium-webdriver'
import { violations } from './access'
import {
  attribute,
  choose,
  click,
  control,
  seeFigure,
  follow,
  paste,
  plain,
  see,
  textOf,
  type,
  untilSaved,
  press as pressButton,
} from './browser'
import { atClaim, startJourney, step } from './journey'

const journey = startJourney(['--demo'], { arrive: ({ driver }) => see(driver, '8 cases', '[role=search]') })

const press = (words: string) => pressButton(journey.driver, words)
const GRID = By.css('[role=grid]')
const keys = (...sent: string[]) =>
  journey.driver
    .actions()
    .sendKeys(...sent)
    .perform()
const command = async (key: string) =>
  journey.driver.actions().keyDown(Key.CONTROL).sendKeys(key).keyUp(Key.CONTROL).perform()
const rows = async () => {
  const shown = await journey.driver.findElements(By.css('[role=grid] [role=row]'))
  const texts = await Promise.all(shown.slice(1).map((row) => row.getText()))
  return texts.map((text) => plain(text).split(/\s+/).slice(1).join(' ')).filter((text) => text !== '')
}
async function seeRows(expected: readonly string[]) {
  let seen: readonly string[] = []
  const isSame = async () => {
    seen = await rows()
    return JSON.stringify(seen) === JSON.stringify(expected)
  }
  await journey.driver.wait(isSame, 40_000).catch(() => expect(seen).toEqual(expected))
}
const pasteBlock = (text: string) =>
  journey.driver.executeScript(
    `const data = new DataTransfer(); data.setData('text/plain', arguments[0]);
     document.activeElement.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }))`,
    text,
  )

test('a sample is typed, pasted and described, and a claim held against it', async () => {
  await step('a sheet is typed with the keys of a sheet, and every step undone and done again', async () => {
    await follow(journey.driver, 'Room thermostats')
    await press('Add a sample')
    await click(journey.driver, GRID)
    await keys('14.93', Key.ENTER, '15.02', Key.ENTER, '14.8', Key.ENTER)
    await seeRows(['14.93', '15.02', '14.8'])
    await keys(Key.ARROW_UP, '14.88', Key.ENTER)
    await seeRows(['14.93', '15.02', '14.88'])
    await command('z')
    await seeRows(['14.93', '15.02', '14.8'])
    await command('z')
    await seeRows(['14.93', '15.02'])
    await command('y')
    await command('y')
    await seeRows(['14.93', '15.02', '14.88'])
    await keys(Key.ARROW_UP, Key.F2, Key.BACK_SPACE, '9', Key.ESCAPE)
    await seeRows(['14.93', '15.02', '14.88'])
    await keys(Key.DELETE)
    await seeRows(['14.93', '15.02'])
    await untilSaved(journey.driver)
  })
  await step('a block is pasted with its columns, and Tab goes through the cells', async () => {
    await keys(Key.HOME, Key.ARROW_UP, Key.ARROW_UP, Key.ARROW_UP)
    await pasteBlock('14.9\tA\n15.1\tB\nheavy\tC\n')
    await seeRows(['14.9 A', '15.1 B', 'heavy C'])
    await see(journey.driver, '1 entry is not what the column holds, such as “heavy”', '#readings')
    await keys(Key.TAB, 'Z', Key.TAB, '15.2', Key.TAB, 'Y', Key.ENTER)
    await seeRows(['14.9 Z', '15.2 Y', 'heavy C'])
    await type(journey.driver, 'Name of column 1', 'mass')
    await type(journey.driver, 'Unit of mass', 'kg')
    await choose(journey.driver, 'Kind of column 2', 'texts')
    await untilSaved(journey.driver)
    await journey.driver.navigate().refresh()
    await seeRows(['14.9 Z', '15.2 Y', 'heavy C'])
    expect(await violations(journey.driver)).toEqual([])
  })
  await step('a sample of figures shows the other spread, and a count has to be whole', async () => {
    await choose(journey.driver, 'How the sample is given', 'summary figures only')
    await type(journey.driver, 'Number of readings', '40')
    await type(journey.driver, 'Mean of the sample', '21.3')
    await choose(journey.driver, 'Kind of spread', 'variance')
    await type(journey.driver, 'Spread of the sample', '0.09')
    await see(journey.driver, 'standard deviation 0.3 kg', '#readings')
    await choose(journey.driver, 'How the sample is given', 'a count')
    await type(journey.driver, 'Count', '45 % of 41')
    await see(
      journey.driver,
      'is 18.45, which is no whole count: 18 of 41 is 43.9 %, 19 of 41 is 46.34 %',
      '#readings',
    )
    await type(journey.driver, 'Count', '45 % of 40')
    await see(journey.driver, '18 of 40, a share of 45 %', '#readings')
    await type(journey.driver, 'Name of the sample', 'Second visit')
    await choose(journey.driver, 'How the sample is given', 'readings typed here')
    await seeRows(['14.9 Z', '15.2 Y', 'heavy C'])
    await untilSaved(journey.driver)
  })
  await step(
    'a claim is held against another sample, and its unit against that of the readings',
    async () => {
      await follow(journey.driver, 'Room thermostats')
      await see(journey.driver, 'Second visit', 'main')
      await follow(journey.driver, 'Mean room temperature')
      await choose(journey.driver, 'Sample', 'Second visit')
      await choose(journey.driver, 'Column of the readings', 'mass')
      await see(journey.driver, 'Row 3, mass: “heavy” is not read', '#evidence')
      await type(journey.driver, 'Why the entries are set aside', 'not weighed')
      await type(journey.driver, 'Your name', 'A. Inspector')
      await press('Set this entry aside')
      await see(journey.driver, 'in kg, mass, and the claim in °C, temperature', '#evidence')
      await type(journey.driver, 'Unit', 'g')
      await see(journey.driver, '1 kg = 1000 g', '#evidence')
      await seeFigure(journey.driver, 'Key figures', 'Mean', /^15050(\.0+)? g$/)
      await choose(journey.driver, 'Sample', 'Sixteen rooms, set to 21 °C')
      await see(journey.driver, '16 readings', '#evidence')
      await type(journey.driver, 'Unit', '°F')
      await type(journey.driver, 'Claimed value', '70')
      await see(journey.driver, '1 °C = 33.8 °F', '#evidence')
      await type(journey.driver, 'Unit', '°C')
      await type(journey.driver, 'Claimed value', '21')
      await untilSaved(journey.driver)
    },
  )
})

test('a reading is set aside with a reason, stays visible, and is brought back', async () => {
  await atClaim('Brackwater pellet sacks', 'Mean net mass')(journey)
  await see(journey.driver, '2 readings lie beyond the fences', '#evidence')
  await press('(row 18)')
  await type(journey.driver, 'Your name', 'A. Officer')
  await type(journey.driver, 'Why it is set aside', 'the sack was torn')
  await press('Set it aside')
  await see(journey.driver, 'Row 18, by A. Officer: the sack was torn', '#evidence')
  await seeFigure(journey.driver, 'Key figures', 'Readings tested', '23')
  const readings = await attribute(journey.driver, 'Readings')
  expect(readings).toContain('14.52')
  await paste(journey.driver, 'Readings', `15.01\n${readings}`)
  await see(journey.driver, 'Row 19, by A. Officer: the sack was torn', '#evidence')
  await paste(journey.driver, 'Readings', readings)
  await see(journey.driver, 'Row 18, by A. Officer: the sack was torn', '#evidence')
  await untilSaved(journey.driver)
  await follow(journey.driver, 'The whole sample')
  await journey.driver.wait(
    async () => (await journey.driver.findElements(By.css('[role=row][data-aside]'))).length === 0,
    40_000,
  )
  await see(journey.driver, 'A. Officer set a reading aside. Row 18: the sack was torn', '#history')
  await click(journey.driver, GRID)
  await command(Key.END)
  await journey.driver.wait(
    async () => (await journey.driver.findElements(By.css('[role=row][data-aside]'))).length === 1,
    40_000,
  )
  await see(journey.driver, 'Row 18, by A. Officer: the sack was torn', '#set-aside')
  await click(journey.driver, By.css('#set-aside button'))
  await see(journey.driver, 'Nothing is set aside.', '#set-aside')
  await see(journey.driver, 'A. Officer brought a reading back', '#history')
  await click(journey.driver, GRID)
  await command(Key.HOME)
  await type(journey.driver, 'Why it is set aside', 'weighed twice')
  await press('Set it aside')
  await see(journey.driver, /A\. Officer set a reading aside\. Row \d+: weighed twice/, '#history')
  await click(journey.driver, By.css('#set-aside button'))
  await see(journey.driver, 'which had been set aside: weighed twice', '#history')
  await untilSaved(journey.driver)
})

test('pointing at a reading in a list marks it in the pictures', async () => {
  await atClaim('Brackwater pellet sacks', 'Mean net mass')(journey)
  await see(journey.driver, '2 readings lie beyond the fences', '#evidence')
  const drawn = () =>
    journey.driver.executeScript<string>(
      `return [...document.querySelectorAll('#evidence canvas')].map((canvas) => canvas.toDataURL()).join()`,
    )
  const before = await drawn()
  const button = await journey.driver.findElement(By.xpath('//button[contains(., "(row 24)")]'))
  await journey.driver.actions().move({ origin: button }).perform()
  await journey.driver.wait(async () => (await drawn()) !== before, 40_000)
  const width = await control(journey.driver, 'Width of the bins')
  const bins = await textOf(journey.driver, '#evidence figcaption')
  await width.sendKeys(Key.ARROW_RIGHT)
  await journey.driver.wait(
    async () => (await textOf(journey.driver, '#evidence figcaption')) !== bins,
    40_000,
  )
})

test('a log of 200,000 deliveries is tested, looked through and taken out', async () => {
  await step('one depot of 200,000 deliveries is tested, and its log sorted and searched', async () => {
    await atClaim('Deliveries of the winter', 'Mean delivery time')(journey)
    await see(journey.driver, /1,\d{3} of 200,000 rows/, '#evidence')
    await see(journey.driver, '(North quay depot)', '#evidence')
    await see(journey.driver, '24 h = 1 d', '#evidence')
    await see(journey.driver, 'Contradicted', 'aside')
    await follow(journey.driver, 'The whole sample')
    await see(journey.driver, '100001', '[role=grid]')
    await click(journey.driver, By.xpath('//*[@role="columnheader"]//button[contains(., "hours")]'))
    await see(journey.driver, 'hours ↑', '[role=grid]')
    const min = async () => Number((await rows())[0]?.split(' ').at(-2))
    await journey.driver.wait(async () => (await min()) < 30, 40_000)
    await type(journey.driver, 'Search the sheet', 'van 38')
    await press('Search')
    await see(journey.driver, /1 of [\d,]+ rows/, '#readings')
    await click(journey.driver, GRID)
    await command(Key.END)
    await journey.driver.wait(async () => (await rows()).length > 5, 40_000)
    expect(await violations(journey.driver)).toEqual([])
  })
  await step(
    'a sample is taken out as CSV, its codes and what is set aside too, with no formula to run',
    async () => {
      const sample = (await journey.driver.getCurrentUrl()).replace(
        /.*\/samples\//,
        `${journey.server.address}/api/samples/`,
      )
      const part = async (name: string) => (await fetch(`${sample}/export?part=${name}`)).text()
      const lines = (await part('sheet')).split('\r\n')
      expect(lines[0]).toBe('delivery,day,depot,vehicle,sacks,hours,signed')
      expect(lines).toHaveLength(200_002)
      expect(lines[1]).toMatch(/^100001,2025-11-01,\d+,van \d+,\d+,[\d.]+,(yes|no)$/)
      expect(await part('codes')).toContain('depot,,,,7,North quay depot')
      await type(journey.driver, 'Label of vehicle', '=HYPERLINK("x")')
      await untilSaved(journey.driver)
      expect(await part('codes')).toContain(`vehicle,"'=HYPERLINK(""x"")",,category`)
      expect(await part('set-aside')).toBe(
        'row,reason,set aside by,delivery,day,depot,vehicle,sacks,hours,signed\r\n',
      )
    },
  )
})
