import { By } from 'selenium-webdriver'
import { violations } from './access'
import { attribute, choose, control, follow, plain, press, see, textOf, type, untilSaved } from './browser'
import { atClaim, startJourney, step } from './journey'

// Items by their readings, clusters, finite lots, columns made of columns, limits, instruments and a claim without a value,
// on the demo: its figures are the core's, which the reference values hold.

const journey = startJourney(['--demo'], { arrive: ({ driver }) => see(driver, '8 cases', '[role=search]') })
const VISIT = 'Visit to the Emberwick store'
const at = (claim: string) => atClaim(VISIT, claim)(journey)

test('sacks of one pallet are taken as one, and a test that does not know the pallets says so', async () => {
  const { driver } = journey
  await at('Mean net mass')
  await see(driver, /Clusters\s*12/, 'aside')
  await see(driver, 't test by clusters', '#test')
  await see(driver, 'The 24 readings were taken in 12 clusters.', '#conditions')
  await choose(driver, 'Method of the test', 'the t test')
  await see(driver, 'this test takes them as taken one by one', '#conditions')
  await choose(driver, 'Method of the test', 'the usual test')
  await see(driver, 't test by clusters', '#test')
})

test('a share of items is told from their readings, with the limit that holds for the share', async () => {
  const { driver } = journey
  await at('Share of sacks')
  await see(driver, /Units that count\s*22/, 'aside')
  await see(driver, 'sacks read at least 14.6', '#finding')
  await see(driver, 'it takes 59 readings or more', '#finding')
  await see(driver, 'items is told to conform or not with a probability of at least 95', '#finding')
  expect(await driver.findElements(By.css('#finding [data-testid=line-of-items]'))).toHaveLength(1)
  await type(driver, 'Limit of an item', '14.5')
  await see(driver, 'The groups do not differ by what is tested', 'aside')
  await type(driver, 'Limit of an item', '14.7')
  await see(driver, /Units that count\s*23/, 'aside')
  await choose(driver, 'Method of the test', 'the normal test of a share')
  await see(driver, 'noncentral t', '#test')
  await type(driver, 'Limit of an item', '')
  await see(driver, 'State the limit that the reading of an item is held against.', 'aside')
  await type(driver, 'Limit of an item', '14.8')
  await untilSaved(driver)
  expect(await violations(driver)).toEqual([])
})

test('a cut is worked out of before and after, row by row, and its formula is shown', async () => {
  const { driver } = journey
  await at('Mean cut of the consumption')
  await see(driver, 'cut = 100 · (before − after) ÷ before, in %', '#evidence')
  await see(driver, /Readings tested\s*12/, 'aside')
  await follow(driver, 'The whole sample')
  await choose(driver, 'How cut is made', 'less')
  await see(driver, 'cut = before − after', '#columns')
  await choose(driver, 'How cut is made', 'cut in percent to')
  await untilSaved(driver)
  expect(await violations(driver)).toEqual([])
})

test('the size of a small lot is allowed for, or not', async () => {
  const { driver } = journey
  await at('Mean flue temperature')
  await see(driver, /Factor for the lot\s*0\.837/, 'aside')
  await choose(driver, 'Whether the size of the lot is allowed for', 'not allowing')
  await see(driver, 'more than a tenth', '#conditions')
  expect(plain(await textOf(driver, 'aside'))).not.toContain('Factor for the lot')
})

test('a median takes what lies below what an instrument shows, and a mean does not', async () => {
  const { driver } = journey
  await at('Median carbon monoxide')
  await see(driver, '“<” and “>” as limits', '#evidence')
  await see(driver, 'estimated at 1.1', 'aside')
  await choose(driver, 'Parameter', 'mean')
  await see(driver, 'needs the values themselves', 'aside')
  await choose(driver, 'Parameter', 'median')
  await step('without a value the estimate and its interval stand, and nothing is tested', async () => {
    await type(driver, 'Claimed value', '')
    await see(driver, 'Nothing is tested: the claim has no value yet.', 'aside')
    await see(driver, 'Its true level is', 'aside')
    await see(driver, 'State the claimed value.', 'aside')
    await see(driver, 'Random sample', '#conditions')
    await type(driver, 'Claimed value', '2')
    await untilSaved(driver)
  })
})

test('an instrument of the register is taken over by a sample as it stands that day', async () => {
  const { driver, server } = journey
  await driver.get(`${server.address}/instruments`)
  await see(driver, 'bench scale 3', 'main')
  await press(driver, 'Enter an instrument')
  const name = await driver.findElement(By.css('main [role=group] input'))
  await name.sendKeys('bench scale 4')
  await press(driver, 'Keep it')
  await see(driver, 'bench scale 4', '[aria-label="Register of instruments"]')
  expect(await violations(driver)).toEqual([])
  await driver.get(server.address)
  await openDemo()
  await follow(driver, 'Flue temperature, twelve of forty stoves')
  await choose(driver, 'Instrument from the register', 'bench scale 3')
  await see(driver, /./, 'main')
  expect(await attribute(driver, 'Expanded uncertainty U')).toBe('0.01 kg')
  await untilSaved(driver)
})

async function openDemo() {
  await follow(journey.driver, VISIT)
  await control(journey.driver, 'Reference')
}
