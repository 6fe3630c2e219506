import { violations } from './access'
import { attribute, choose, chosen, follow, see, textOf, type } from './browser'
import { startJourney } from './journey'

const PATIENCE_MS = 40_000
const journey = startJourney(['--demo'], {
  arrive: ({ driver }) => see(driver, '8 cases', '[role=search]'),
})

const docket = () => textOf(journey.driver, '[aria-label=Cases]')
async function cases(...expected: readonly string[]) {
  const references = async () => (await docket()).match(/WH-\d+/g) ?? []
  await journey.driver
    .wait(async () => (await references()).join() === expected.join(), PATIENCE_MS)
    .catch(async () => expect(await references()).toEqual(expected))
}

test('the docket is searched, filtered and sorted, and its address holds how', async () => {
  const { driver } = journey
  await type(driver, 'Search the docket', 'all fillings')
  await cases('WH-030')
  await type(driver, 'Search the docket', '')
  await choose(driver, 'Order', 'reference')
  await cases('WH-041', 'WH-037', 'WH-033', 'WH-030', 'WH-026', 'WH-021', 'WH-017', 'WH-014')
  await choose(driver, 'Direction', 'first first')
  await choose(driver, 'Finding', 'a finding “contradicted”')
  await cases('WH-014', 'WH-017', 'WH-033', 'WH-037')
  await driver.navigate().refresh()
  await cases('WH-014', 'WH-017', 'WH-033', 'WH-037')
  expect(await violations(driver)).toEqual([])
})

test('a docket on which nothing is found leads back to every case, and takes on what a link asks for', async () => {
  const { driver } = journey
  await type(driver, 'Search the docket', 'nothing of the kind')
  await see(driver, 'No case is like that.', 'main')
  await follow(driver, 'Show every case')
  await see(driver, '8 cases', '[role=search]')
  expect(await attribute(driver, 'Search the docket')).toBe('')
  expect(await chosen(driver, 'State')).toBe('in any state')
})

test('what is typed while earlier letters are looked for is neither lost nor put back', async () => {
  const { driver } = journey
  await type(driver, 'Search the docket', 'pellet sacks of brackwater')
  await see(driver, 'No case is like that.', 'main')
  expect(await attribute(driver, 'Search the docket')).toBe('pellet sacks of brackwater')
})
