import { By, Key } from 'selenium-webdriver'
import { readReference } from '@tests/reference/reference'
import {
  attribute,
  choose,
  click,
  follow,
  fullFigure,
  control,
  seeFigure,
  formulas,
  paste,
  plain,
  press,
  see,
  textOf,
  type,
} from './browser'
import { atClaim, startJourney, step } from './journey'

const journey = startJourney(['--demo'], {
  arrive: atClaim('Brackwater pellet sacks', 'Mean net mass at least'),
})

test('a claim of the demo is looked at, from the docket to its claim line', async () => {
  await step('from the docket to the workbench of a claim', async () => {
    await journey.driver.get(journey.server.address)
    await see(journey.driver, 'Brackwater pellet sacks', 'main')
    await see(journey.driver, 'Contradicted', 'main')
    await follow(journey.driver, 'Brackwater pellet sacks')
    await see(journey.driver, 'Claims made by')
    await follow(journey.driver, 'Mean net mass at least')
    await see(journey.driver, 'says the', 'main h1')
    expect(await attribute(journey.driver, 'Quantity')).toBe('net mass')
  })
  await step('the hypotheses stand under the claim, with the reason', async () => {
    expect(await formulas(journey.driver, '[aria-label=Hypotheses]')).toEqual(['μ ≥ 15 kg', 'μ < 15 kg'])
    const hypotheses = plain(await textOf(journey.driver, '[aria-label=Hypotheses]'))
    expect(hypotheses).toContain('“At least” includes 15 itself, so the claim is the null hypothesis')
  })
  await step('the figures of the demo are right to the last digit shown', async () => {
    await see(journey.driver, 'Contradicted', 'aside')
    const key = (name: string, value: string) => seeFigure(journey.driver, 'Key figures', name, value)
    const test = (name: string, value: string) =>
      seeFigure(journey.driver, 'Figures of the test', name, value)
    await key('Readings tested', '24')
    await key('Mean', '14.929 kg')
    await key('Standard deviation', '0.107 kg')
    await key('Standard error', '0.022 kg')
    await test('Test statistic t', '−3.245')
    await test('Degrees of freedom', '23')
    await test('p-value', '0.0018')
    await test('Critical value of t', '−1.714')
    await test('Critical value of the mean', '14.963 kg')
    await test('95 % interval, lower end', '14.884 kg')
    await test('95 % interval, upper end', '14.974 kg')
    await see(journey.driver, 'All three ways agree', 'aside')
    await see(journey.driver, 'At the 5 % significance level the sample contradicts the claim', 'aside')
  })
  await step('the claim line shows every reading, and says so to those who do not see it', async () => {
    const canvas = await journey.driver.findElement(By.css('[data-testid=claim-line]'))
    expect(plain((await canvas.getAttribute('aria-label')) ?? '')).toBe(
      'Claim line: 24 readings from 14.52 kg to 15.06 kg. Mean 14.929 kg, 95 % interval 14.884 to 14.974. Claimed value 15 kg.',
    )
    const colours = await journey.driver.executeScript<number>(
      `const {width, height} = arguments[0]
     const pixels = new Uint32Array(arguments[0].getContext('2d').getImageData(0, 0, width, height).data.buffer)
     return new Set(pixels).size`,
      canvas,
    )
    expect(colours).toBeGreaterThan(10)
  })
  await step('the claim line takes on the colours that are chosen', async () => {
    const drawn = () =>
      journey.driver.executeScript<string>(
        'return document.querySelector("[data-testid=claim-line]").toDataURL()',
      )
    const light = await drawn()
    const use = (words: string) => click(journey.driver, By.xpath(`//button[.="${words}"]`))
    await use('Use dark colours')
    await journey.driver.wait(async () => (await drawn()) !== light, 40_000, 'The claim line stayed light')
    await use('Use light colours')
    await journey.driver.wait(async () => (await drawn()) === light, 40_000, 'The claim line stayed dark')
  })
})

// The demo's 24 readings: figures computed from them in exact rational arithmetic and with mpmath 1.2.1 at 50 digits.

test('the words of a claim are changed in place, and the finding follows', async () => {
  await step('every word of the claim is changed in place, and the finding follows', async () => {
    await choose(journey.driver, 'Relation', 'more than')
    await see(journey.driver, 'right-tailed', '[aria-label=Hypotheses]')
    expect(await formulas(journey.driver, '[aria-label=Hypotheses]')).toEqual(['μ ≤ 15 kg', 'μ > 15 kg'])
    await see(journey.driver, 'Not supported', 'aside')
    await choose(journey.driver, 'Relation', 'at least')
    await type(journey.driver, 'Claimed value', '14.9')
    await see(journey.driver, 'Not contradicted', 'aside')
    await type(journey.driver, 'Significance level', '0.9')
    await see(journey.driver, '10 % interval, lower end', 'main')
    await type(journey.driver, 'Confidence level', '99 %')
    await see(journey.driver, '99 % interval, lower end', 'main')
    await type(journey.driver, 'Unit', 'kilograms')
    await see(journey.driver, '14.929 kilograms', 'aside')
  })
  await step('what can be read in two ways is asked about, and answered with one click', async () => {
    await type(journey.driver, 'Claimed value', '40,000')
    await see(journey.driver, 'may be thousands or decimals. Write 40000 or 40.000', 'main')
    await press(journey.driver, 'Write 40000')
    expect(await attribute(journey.driver, 'Claimed value')).toBe('40000')
    await type(journey.driver, 'Significance level', '5')
    await press(journey.driver, 'Write 5 %')
    expect(await attribute(journey.driver, 'Significance level')).toBe('5 %')
    await type(journey.driver, 'Significance level', '0.9')
    await type(journey.driver, 'Claimed value', '14.9')
    await type(journey.driver, 'Wording of the claim', 'not over 1,234 kg')
    const guess = '[aria-label="Read from the wording"]'
    await see(
      journey.driver,
      'may mean: at most, from “not over”. It leaves open which figure is meant',
      guess,
    )
    await type(journey.driver, 'Claimed value', '')
    await type(journey.driver, 'Wording of the claim', 'average of 1.234,5 kg')
    await see(journey.driver, 'leaves open which value, or how its number is to be read', guess)
    await type(journey.driver, 'Claimed value', '14.9')
    await type(journey.driver, 'Wording of the claim', '15 kg net')
  })
  await step('Escape puts back what stood there before', async () => {
    const field = await control(journey.driver, 'Claimed value')
    await field.click()
    await field.sendKeys('99', Key.ESCAPE)
    expect(await attribute(journey.driver, 'Claimed value')).toBe('14.9')
  })
  await step('a known standard deviation makes it a z test', async () => {
    await type(journey.driver, 'Known standard deviation', '0.1')
    await see(journey.driver, 'One-sample z test', 'main')
    await type(journey.driver, 'Known standard deviation', '')
    await see(journey.driver, 'One-sample t test', 'main')
  })
  await step('within a tolerance asks for the tolerance and tests both limits', async () => {
    await choose(journey.driver, 'Relation', 'within')
    await see(journey.driver, 'State the tolerance below the claimed value.', 'aside')
    await type(journey.driver, 'Tolerance below', '0.1')
    await type(journey.driver, 'Tolerance above', '0.1')
    await see(journey.driver, 'two one-sided tests', '[aria-label=Hypotheses]')
    await choose(journey.driver, 'Relation', 'at least')
  })
  await step('without a claimed value nothing is computed, and the page says what is missing', async () => {
    await type(journey.driver, 'Claimed value', '')
    await see(journey.driver, 'State the claimed value.', 'aside')
    await see(journey.driver, 'Open', 'aside')
    expect(await journey.driver.findElements(By.css('aside table'))).toHaveLength(0)
    await type(journey.driver, 'Claimed value', '15 kg')
    await see(journey.driver, 'The claimed value is “15 kg”', 'main')
    await type(journey.driver, 'Claimed value', '15')
    await see(journey.driver, /^(Not contradicted|Contradicted)/, 'aside')
  })
  await step('a level of 1 is refused with what would do, beside the level', async () => {
    await type(journey.driver, 'Significance level', '1')
    await see(journey.driver, 'The significance level is “1”; it has to lie between 0 and 1', 'main')
    expect(await attribute(journey.driver, 'Significance level', 'aria-invalid')).toBe('true')
    await type(journey.driver, 'Significance level', '0.05')
  })
})

test('what is no number is pointed at in a pasted column, and nothing is computed', async () => {
  await paste(journey.driver, 'Readings', '14.93;15.02\n14.88\n15.01\nabout 15\n14,97')
  await see(journey.driver, '4 readings', 'main')
  await see(journey.driver, '2 entries are not read', 'main')
  await see(journey.driver, 'Line 4: “about 15” is not read; write digits only', 'main')
  await see(journey.driver, 'Line 5: “14,97” is not read.', 'main')
  await see(journey.driver, '“14,97” can be read so:', 'aside')
  await click(journey.driver, By.xpath('//button[.="Line 4"]'))
  expect(await journey.driver.executeScript('return getSelection().toString()')).toBe('about 15')
  await paste(journey.driver, 'Readings', '14.93')
  await see(journey.driver, 'Enter at least two readings; there is one so far.', 'aside')
  await paste(journey.driver, 'Readings', '15\n15\n15')
  await see(journey.driver, 'all readings are equal', 'aside')
})

// tests/reference/mean_tests.json: computed with mpmath at 55 digits.
test('a reference sample gives the reference figures, to be copied', async () => {
  await step('a reference sample gives the reference figures on the screen', async () => {
    type Case = { id: string; input: { data: string[]; mu0: string }; statistic: string; p_two_sided: string }
    const { cases } = readReference<{ cases: Case[] }>('mean_tests.json')
    const row = cases.find(({ id }) => id === 't_raw_1')!
    await paste(journey.driver, 'Readings', row.input.data.join('\n'))
    await choose(journey.driver, 'Relation', 'equal to')
    await type(journey.driver, 'Claimed value', row.input.mu0)
    const near = async (name: string, value: string, error: number) => {
      const isNear = (shown: number) => Math.abs(shown / Number(value) - 1) < error
      expect(isNear(await fullFigure(journey.driver, 'Figures of the test', name, isNear))).toBe(true)
    }
    await near('Test statistic t', row.statistic, 1e-13)
    await near('p-value', row.p_two_sided, 1e-11)
  })
  await step('a figure is copied with every digit, and with a minus that a spreadsheet reads', async () => {
    await journey.driver.setPermission('clipboard-read', 'granted')
    await journey.driver.setPermission('clipboard-write', 'granted')
    const figureButton = await journey.driver.findElement(
      By.xpath('//table[@aria-label="Figures of the test"]//tr[th="Critical value of t, lower"]//button'),
    )
    const full = await figureButton.getAttribute('data-full')
    await figureButton.click()
    await journey.driver.wait(async () => (await figureButton.getAttribute('data-full')) === 'Copied', 40_000)
    expect(await journey.driver.executeScript('return navigator.clipboard.readText()')).toBe(
      full?.replace('−', '-'),
    )
    expect(full).toMatch(/^−\d/)
  })
})
