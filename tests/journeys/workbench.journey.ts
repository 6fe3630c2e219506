import { By, Key } from 'selenium-webdriver'
import { attribute, choose, chosen, control, seeFigure, plain, press, see, textOf, type } from './browser'
import { atClaim, startJourney, step } from './journey'

const journey = startJourney(['--demo'], { arrive: atClaim('Brackwater pellet sacks', 'Mean net mass') })
const WAIT_MS = 40_000

const isCrossExamined = () =>
  see(
    journey.driver,
    /Stands in \d+ of \d+\.|A sample of this size finds|What gap this sample/,
    '#cross-examination',
  )

test('every edit of the claim, of the evidence and of the test is undone and done again, in order', async () => {
  const { driver } = journey
  await choose(driver, 'Relation', 'more than')
  await type(driver, 'Size of the lot', '500')
  await choose(driver, 'Method of the test', 'the bootstrap test')
  await see(driver, 'Bootstrap: resamples', '#test')
  const undo = () => driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform()
  const redo = () =>
    driver
      .actions()
      .keyDown(Key.CONTROL)
      .keyDown(Key.SHIFT)
      .sendKeys('z')
      .keyUp(Key.SHIFT)
      .keyUp(Key.CONTROL)
      .perform()
  await undo()
  await see(driver, 'One-sample t test', '#test')
  // What is typed slowly is undone in more than one step.
  for (let steps = 0; steps < 4 && (await attribute(driver, 'Size of the lot')) !== '960'; steps += 1)
    await undo()
  expect(await attribute(driver, 'Size of the lot')).toBe('960')
  await undo()
  expect(await chosen(driver, 'Relation')).toBe('at least')
  await redo()
  expect(await chosen(driver, 'Relation')).toBe('more than')
  await undo()
  await see(driver, 'Contradicted', 'aside')
})

test('the finding is cross-examined, and again without a reading', async () => {
  await step('the finding is cross-examined, and each figure is that of the changed check', async () => {
    const { driver } = journey
    await isCrossExamined()
    // The level that turns it is a matter of arithmetic, and no part of the score.
    await see(driver, 'Stands in 5 of 5.', 'aside')
    const row = async (key: string) => plain(await textOf(driver, `[data-question="${key}"]`))
    // The same 24 readings without the eighteenth, in exact rational arithmetic and with mpmath at 50 digits.
    expect(await row('without test ')).toContain('14.920 kg to 14.974 kg')
    expect(await row('leave one out')).toContain('It stands without any one of 24.')
    expect(await row('turning value')).toContain('it turns at 14.967 kg')
  })
  await step(
    'a reading that is set aside gives both results, and the question of putting it back',
    async () => {
      const { driver } = journey
      await press(driver, '(row 18)')
      await type(driver, 'Why it is set aside', 'the sack was torn')
      await type(driver, 'Your name', 'A. Officer')
      await press(driver, 'Set it aside')
      await see(driver, 'Without what is set aside Contradicted 23', '[aria-label="Both results"]')
      await see(driver, 'With everything Contradicted 24', '[aria-label="Both results"]')
      await seeFigure(driver, 'Key figures', 'Set aside', '1')
      await see(driver, 'row 18 (14.52 kg), which is set aside, were put back', '#cross-examination')
      await press(driver, 'Bring it back')
      await driver.wait(
        async () => (await driver.findElements(By.css('[aria-label="Both results"]'))).length === 0,
        WAIT_MS,
      )
    },
  )
})

test('the address holds how the page is looked at, and keys lead through it', async () => {
  await step(
    'the address holds how the page is looked at: the way back, a link and a reload find it again',
    async () => {
      const { driver } = journey
      const isWorkingShown = async () =>
        (await driver.findElements(By.css('[aria-label=Working]'))).length === 1
      await press(driver, 'Show the working')
      await driver.wait(isWorkingShown, WAIT_MS)
      expect(await driver.getCurrentUrl()).toContain('working=shown')
      await driver.navigate().back()
      await driver.wait(async () => !(await isWorkingShown()), WAIT_MS)
      await driver.navigate().forward()
      await driver.wait(isWorkingShown, WAIT_MS)
      const slider = () => control(driver, 'Width of the bins')
      await (await slider()).sendKeys(Key.ARROW_RIGHT)
      await driver.wait(async () => /bins=0\.\d+/.test(await driver.getCurrentUrl()), WAIT_MS)
      await driver.navigate().refresh()
      await driver.wait(isWorkingShown, WAIT_MS)
      expect(await (await slider()).getAttribute('value')).toBe('0.25')
      await type(driver, 'Width of the bins, typed', '0.05')
      expect(await (await slider()).getAttribute('aria-valuetext')).toBe('0.0500\u202fkg')
      expect(await driver.getCurrentUrl()).toContain('bins=0.05')
      await press(driver, 'Keep this width for the report')
      await driver.wait(async () => !(await driver.getCurrentUrl()).includes('bins='), WAIT_MS)
      expect(await (await slider()).getAttribute('aria-valuetext')).toBe('0.0500\u202fkg')
      expect(await textOf(driver, '#evidence')).not.toContain('Keep this width')
    },
  )
  await step('keys lead to the sections, and ? lists them', async () => {
    const { driver } = journey
    await driver.executeScript('document.activeElement.blur()')
    // A page that was just loaded again listens to keys a moment after it is shown.
    await driver.wait(async () => {
      await driver.actions().sendKeys('5').perform()
      return (await driver.getCurrentUrl()).endsWith('#cross-examination')
    }, WAIT_MS)
    expect(await driver.executeScript('return document.activeElement.id')).toBe('cross-examination')
    await driver.actions().sendKeys('?').perform()
    await see(driver, 'Undo the last edit', 'dialog[open]')
    await driver.actions().sendKeys(Key.ESCAPE).perform()
    expect(await driver.findElements(By.css('dialog[open]'))).toHaveLength(0)
  })
})

test('a tolerance has a test and a picture for each of its limits', async () => {
  const { driver } = journey
  await choose(driver, 'Relation', 'within')
  await type(driver, 'Tolerance below', '0.2')
  await type(driver, 'Tolerance above', '0.2')
  await see(driver, 'Test statistic t at the lower limit', '#test')
  const described = async () =>
    plain(
      (await driver.findElement(By.css('[data-testid=sampling-distribution]')).getAttribute('aria-label')) ??
        '',
    )
  const lower = await described()
  await choose(driver, 'Limit shown', 'the upper limit')
  await driver.wait(async () => (await described()) !== lower, WAIT_MS)
  expect(await driver.getCurrentUrl()).toContain('limit=upper')
})

test.each([
  [900, 800],
  [640, 400],
])('nothing runs out of a page of %i by %i pixels', async (width, height) => {
  const { driver } = journey
  await isCrossExamined()
  const size = { width, height, deviceScaleFactor: 1, mobile: false }
  await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', size)
  await driver.wait(
    () =>
      driver.executeScript<boolean>(
        'return document.documentElement.scrollWidth <= document.documentElement.clientWidth',
      ),
    WAIT_MS,
  )
  await driver.sendDevToolsCommand('Emulation.clearDeviceMetricsOverride', {})
})
