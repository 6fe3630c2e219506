import { Key } from 'selenium-webdriver'
import { violations } from './access'
import {
  choose,
  follow,
  paste,
  plain,
  press as pressButton,
  see,
  seeFigure,
  textOf,
  type,
  untilSaved,
} from './browser'
import { atClaim, startJourney, step } from './journey'

// Every way to write a column of readings is read as the list that was written, or asked about: never as another list.

const journey = startJourney(['--demo'], {
  arrive: atClaim('Brackwater pellet sacks', 'Mean net mass at least'),
})

const press = (words: string) => pressButton(journey.driver, words)
const put = (text: string) => paste(journey.driver, 'Readings', text)
const seeMean = async (count: string, mean: string) => {
  await seeFigure(journey.driver, 'Key figures', 'Readings tested', count)
  await seeFigure(journey.driver, 'Key figures', 'Mean', mean)
}
const seeNothing = () => see(journey.driver, 'Nothing is computed yet.', 'aside')
const undo = () => journey.driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform()

const SEVEN = '998.5\n1,021.2\n999.4\n997.0\n1,015.5\n998.8\n1,011.7'

test('a finding waits until every entry is read as somebody says, or set aside and counted', async () => {
  const { driver } = journey
  await step('entries that are not read stop the finding, and one click reads all such', async () => {
    await type(driver, 'Claimed value', '1000')
    await put(SEVEN)
    await seeNothing()
    await see(driver, '3 entries are not read: “1,021.2” in row 2', 'aside')
    await see(driver, '4 readings in kg', '#evidence')
    await see(driver, 'Line 2: “1,021.2” is not read', '#evidence')
    expect(await violations(driver)).toEqual([])
    await press('as 1021.2: read all 3 such so')
    await seeMean('7', '1006.0 kg')
    await see(driver, 'Not contradicted', 'aside')
    await see(
      driver,
      '3 entries were read with “,” between thousands, such as “1,021.2” as 1021.2.',
      '#finding',
    )
  })
  await step('what was said is undone, by its button and by the keys', async () => {
    await press('Not so')
    await seeNothing()
    await undo()
    await seeMean('7', '1006.0 kg')
    await undo()
    await seeNothing()
  })
  await step('they are set aside with a reason, and then counted wherever the finding stands', async () => {
    await type(driver, 'Why the entries are set aside', 'smudged on the sheet')
    await type(driver, 'Your name', 'A. Officer')
    await press('Set these 3 entries aside')
    await seeFigure(driver, 'Key figures', 'Readings tested', '4')
    const basis = '3 entries could not be read and are set aside: “1,021.2”, “1,015.5”, “1,011.7”.'
    await see(driver, basis, '#finding')
    await see(
      driver,
      'the entries set aside as unreadable were the readings 1021.2 kg, 1015.5 kg and 1011.7 kg',
      '#cross-examination',
    )
    await untilSaved(driver)
    await press('Sign the finding')
    await see(driver, 'This finding is signed as it stands.', '#finding')
    await follow(driver, 'Signed finding')
    await see(driver, basis, 'main')
    await driver.navigate().back()
    await see(driver, 'says the', 'main h1')
  })
})

const READ: readonly (readonly [spelling: string, text: string, count: string, mean: string])[] = [
  ['a header is the column’s name', 'Lot 7\n14.9\n15.1', '2', '15.000 kg'],
  ['a list with commas', '12.5,12.7', '2', '12.600 kg'],
  ['a list with spaces', '12.5 12.7 12.9', '3', '12.70 kg'],
  ['numbers in quotes', '"12.5"\n"12.7"', '2', '12.600 kg'],
]
test('what can be read in one way only is read at once', async () => {
  for (const [spelling, text, count, mean] of READ)
    await step(spelling, async () => {
      await put(text)
      await seeMean(count, mean)
    })
})

const ASKED: readonly (readonly [
  spelling: string,
  text: string,
  answer: string,
  count: string,
  mean: string,
])[] = [
  [
    'spaces between thousands',
    '1 234,5\n1 236,5\n1 234,5\n1 236,5',
    'as 1234.5: read all 4',
    '4',
    '1235.50 kg',
  ],
  ['unbreakable spaces', '1\u00a0234,5\n1\u00a0236,5', 'as 1234.5: read all 2', '2', '1235.5 kg'],
  ['narrow spaces', '1\u202f234,5\n1\u202f236,5', 'as 1234.5: read all 2', '2', '1235.5 kg'],
  ['a unit at each', '12.5 g\n12.7 g', 'as 12.5, “g” taken off: read all 2', '2', '0.012600 kg'],
  ['dollars', '$83,210\n$83,212', 'as 83210, “$” taken off: read all 2', '2', '83211.0'],
]
test('what can be read in several ways, or only without a sign, is asked about', async () => {
  const { driver } = journey
  for (const [spelling, text, answer, count, mean] of ASKED)
    await step(spelling, async () => {
      await choose(driver, 'Sample', 'begin a new sample')
      await see(driver, 'No readings yet', '#evidence')
      if (text.startsWith('$')) await type(driver, 'Unit', '')
      await put(text)
      await seeNothing()
      await press(answer)
      await seeMean(count, mean)
    })
})

test('the tab, the focus and the first key of a page lead to what it is about', async () => {
  const { driver } = journey
  expect(await driver.getTitle()).toMatch(/^Mean net mass at least 15.kg .* · WH-014 Brackwater/)
  await follow(driver, 'WH-014')
  await see(driver, 'Claims made by')
  await driver.wait(
    async () => (await driver.executeScript('return document.activeElement.id')) === 'main',
    8000,
  )
  await driver.navigate().refresh()
  await see(driver, 'Claims made by')
  await driver.actions().sendKeys(Key.TAB, Key.ENTER).perform()
  expect(await driver.getCurrentUrl()).toMatch(/#main$/)
})

test('columns that are pasted among the readings go the way of a sheet', async () => {
  const { driver } = journey
  await step('columns with tabs become a sheet at once, of which the column is asked', async () => {
    await put('no\tmass\n1\t12.5\n2\t12.7\n3\t12.6\n4\t12.4\n')
    await see(driver, 'Say which column of the sample holds the readings.', 'aside')
    await choose(driver, 'Column of the readings', 'mass')
    await seeMean('4', '12.550 kg')
    await see(driver, '4 of 4 rows', '#evidence')
    await untilSaved(driver)
  })
  await step('columns with spaces are asked about', async () => {
    await driver.navigate().refresh()
    await choose(driver, 'Sample', 'begin a new sample')
    await see(driver, 'No readings yet', '#evidence')
    await put('1 12.5\n2 12.7\n3 12.6')
    await see(driver, 'Its lines have 2 entries each.', 'aside')
    await press('A sheet of 2 columns')
    await choose(driver, 'Column of the readings', 'column 2')
    await seeMean('3', '12.600 kg')
    expect(plain(await textOf(driver, '#evidence'))).toContain('3 of 3 rows')
  })
})
