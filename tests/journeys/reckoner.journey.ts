import { By, Key, Origin } from 'selenium-webdriver'
import { violationsAt } from './access'
import { attribute, choose, follow, type Look, press, see, type } from './browser'
import { startJourney, step } from './journey'

// Tails, limits and critical values, reckoned both ways: the figures are the core's, which the reference values hold.

const journey = startJourney(['--demo'], { arrive: ({ driver }) => see(driver, 'Docket', 'main h1') })
const LOOKS: readonly Look[] = [
  { colours: 'light', width: 1280 },
  { colours: 'dark', width: 400 },
]

test('either number is typed or pulled, and the other follows', async () => {
  const { driver } = journey
  const handle = () => driver.findElement(By.css('[role=slider]'))
  const point = () => attribute(driver, 'Point')
  await follow(driver, 'Reckoner')
  await see(driver, /Level\s*Lower tail\s*Upper tail\s*Both tails/, 'aside')
  await see(driver, /5.%\s*−1\.71387\s*1\.71387\s*−2\.06866\s*2\.06866/, 'aside')
  await step('a probability', async () => {
    await type(driver, 'number of degrees of freedom', '11')
    await type(driver, 'Probability', '2.5 %')
    await see(driver, /below −2\.20099\s*2\.5.%/, '[aria-label="Figures at −2.20099"]')
    expect(await point()).toBe('−2.20099')
  })
  await step('a point', async () => {
    await choose(driver, 'Tail', 'beyond')
    await type(driver, 'Point', '-2.2')
    await see(driver, /twice the smaller tail\s*5\.00861.%/, '[aria-label="Figures at −2.2"]')
    await see(driver, 'and 2.2, half of it on either side', 'h1')
  })
  await step('the handle, by keys and by the pointer', async () => {
    await choose(driver, 'Tail', 'above')
    await handle().sendKeys(Key.ARROW_RIGHT)
    const first = await point()
    expect(Number(first)).toBeGreaterThan(-2.2)
    await driver
      .actions()
      .move({ origin: handle() })
      .press()
      .move({ origin: Origin.POINTER, x: 60, y: 0 })
      .move({ origin: Origin.POINTER, x: 40, y: 0 })
      .release()
      .perform()
    await driver.wait(async () => Number(await point()) > Number(first) + 0.5, 5000)
    const pulled = await point()
    expect(await handle().getAttribute('aria-valuetext')).toBe(String(Number(pulled)).replace('-', '−'))
  })
  await step('its address finds it again', async () => {
    const pulled = await point()
    await driver.wait(async () => (await driver.getCurrentUrl()).includes(`x=${pulled}`), 5000)
    await driver.navigate().refresh()
    await see(driver, /above −?[\d.]+\s*[\d.]+.%/, 'main')
    expect(await point()).toBe(pulled)
  })
  expect(await violationsAt(driver, LOOKS)).toEqual([])
})

test('whole numbers: no more than the level, and how much it is in fact', async () => {
  const { driver } = journey
  await follow(driver, 'Reckoner')
  await choose(driver, 'Distribution', 'a binomial')
  await type(driver, 'number of units', '20')
  await type(driver, 'chance', '0.5')
  await see(driver, 'In fact it is 2.06947', 'main')
  await see(driver, /exactly 5\s*1\.47858.%/, '[aria-label="Figures at 5"]')
  await type(driver, 'Another level', '0.00001 %')
  await see(driver, /0\.00001.%\s*none\s*none\s*none\s*none/, 'aside')
  await type(driver, 'number of units', '20.5')
  await see(driver, 'The number of units is 20.5', '[role=alert]')
  await type(driver, 'number of units', '10,000')
  await press(driver, 'Write 10000')
  await see(driver, 'at or below', 'h1')
  expect(await attribute(driver, 'number of units')).toBe('10000')
  // Too many for bars, and whole numbers all the same.
  await see(driver, /exactly 4917\s/, 'main')
  await driver.findElement(By.css('[role=slider]')).sendKeys(Key.ARROW_RIGHT)
  await see(driver, /exactly 4918\s/, 'main')
  expect(await violationsAt(driver, LOOKS)).toEqual([])
})

test('from a test to its own distribution; and what is reckoned on the side', async () => {
  const { driver } = journey
  await follow(driver, 'Brackwater pellet sacks')
  await follow(driver, 'Mean net mass')
  await see(driver, 'Look it up in the reckoner', '#test')
  const link = await driver.findElement(By.linkText('Look it up in the reckoner'))
  await driver.get((await link.getAttribute('href'))!)
  // The p-value of the demo's first finding, 0.0018.
  await see(driver, /below −3\.24\d+\s*0\.17\d+.%/, 'main')
  expect(await attribute(driver, 'number of degrees of freedom')).toBe('23')
  const side = (name: string) => `On the side: ${name}`
  await type(driver, side('standard deviation'), '0.107')
  await type(driver, side('sample size'), '24')
  await type(driver, side('mean'), '14.929')
  await type(driver, side('claimed value'), '15')
  await type(driver, side('number that counts'), '186')
  await type(driver, side('number of units'), '200')
  await type(driver, side('z'), '1,96')
  const there = '[aria-label="On the side"]'
  await see(driver, 's² 0.011449', there)
  await see(driver, 's ÷ √n 0.0218413', there)
  await see(driver, '−3.25072 standard errors', there)
  await see(driver, /93.% · 0\.93/, there)
  await see(driver, /one tail 2\.49979.% · both tails 4\.99958.%/, there)
  await type(driver, side('number that counts'), '201')
  await see(driver, 'from 0 to 200', there)
  expect(await violationsAt(driver, LOOKS)).toEqual([])
})
