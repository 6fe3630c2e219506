import { writeFileSync } from 'node:fs'
import path from 'node:path'
import { By } from 'selenium-webdriver'
import { violations, violationsAt } from './access'
import { choose, click, follow, type Look, plain, press, see, textOf, type, untilSaved } from './browser'
import { atClaim, startJourney, step } from './journey'

// Net content by a control plan, one claim against many groups and lots, a specification as a table, and findings as data, on
// the demo: its figures are the core's, which the reference values hold.

const journey = startJourney(['--demo'], { arrive: ({ driver }) => see(driver, '8 cases', '[role=search]') })
const CONTROL = 'Net content of the pellet sacks'
const LOOKS: readonly Look[] = [
  { colours: 'light', width: 1280 },
  { colours: 'dark', width: 400 },
]
const get = async (address: string) => {
  const answer = await fetch(`${journey.server.address}${address}`)
  return { status: answer.status, body: await answer.text() }
}

test('the sacks are controlled by the plan: three criteria, one finding, and the packs that decide it', async () => {
  const { driver } = journey
  await atClaim(CONTROL, 'Net content of a sack')(journey)
  await see(driver, 'Contradicted', 'aside')
  await see(driver, /Packs judged\s*80/, 'aside')
  await see(driver, /Mean tare\s*0\.08206667/, 'aside')
  await see(driver, 'written down from memory', 'aside')
  await see(driver, /5 of 80: row 12, row 25, row 48, row 61, row 77/, '#test [aria-label=Criteria]')
  await see(driver, /1 of 80: row 61\s*none\s*not met/, '#test [aria-label=Criteria]')
  expect(await driver.findElements(By.css('#test [data-testid=errors-of-the-packs]'))).toHaveLength(1)
  await step('how often a short lot passes is worked out where it is asked for', async () => {
    await driver.findElement(By.xpath('//summary[contains(., "How often a lot")]')).click()
    await see(driver, /99\.5\s*%/, '[aria-label="How often a lot passes"]')
  })
  await step('the draw is the same for the same seed, and another for another', async () => {
    await driver.findElement(By.xpath('//summary[contains(., "Draw 80")]')).click()
    const drawn = async () => textOf(driver, '[data-testid=drawn]')
    const first = await drawn()
    expect(first.split(', ')).toHaveLength(80)
    await type(driver, 'Seed of the draw', '2')
    await see(driver, /./, '[data-testid=drawn]')
    expect(await drawn()).not.toBe(first)
    await type(driver, 'Seed of the draw', 'x')
    await see(driver, 'The seed is “x”', '#test')
  })
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  await step('another tare, and one that is not there', async () => {
    await choose(driver, 'How the content is known', 'gross − a tare of')
    await see(driver, 'State the tare', '#test')
    await type(driver, 'Tare', '0.05')
    await see(driver, /Mean content\s*15\.02/, 'aside')
    await type(driver, 'Tare', '20')
    await see(driver, 'weighs 15.115 with its package, and the package by itself 20', 'aside')
    await choose(driver, 'How the content is known', 'gross − the mean of empty packs')
    await see(driver, /Mean content\s*14\.991/, 'aside')
    await type(driver, 'Unit', 'h')
    await see(driver, '“h” is no unit of mass or volume', 'aside')
    await type(driver, 'Unit', 'kg')
    await see(driver, 'Contradicted', 'aside')
  })
  await step('it is signed with its plan, and comes to the same again', async () => {
    await untilSaved(driver)
    await type(driver, 'Signed by', 'A. Inspector')
    await press(driver, 'Sign the finding')
    await follow(driver, 'Signed finding')
    await see(driver, 'every figure is the same', 'main')
    await see(driver, /1 of 80: no\. 61/, '[aria-label=Criteria]')
    expect(await violations(driver)).toEqual([])
  })
})

test('an office writes a plan of its own, and a claim keeps it as it was chosen', async () => {
  const { driver, server } = journey
  await driver.get(`${server.address}/plans`)
  await press(driver, 'Write a plan after this one')
  const field = (name: string) =>
    driver.findElement(By.xpath(`//label[starts-with(., "${name}")]//*[self::input or self::textarea]`))
  await (await field('Lots:')).sendKeys('\nall: 1, 0')
  await press(driver, 'Keep it')
  await see(driver, '“all: 1, 0” can’t be read', '[role=alert]')
  await (await field('Lots:')).clear()
  await (await field('Lots:')).sendKeys('100 or more: 80, 0')
  await (await field('Name')).sendKeys('office rule')
  await press(driver, 'Keep it')
  await see(
    driver,
    'of a lot of 100 or more, 80 packs, of which 0 may be short',
    '[aria-label="Control plans"]',
  )
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  await driver.get(server.address)
  await atClaim(CONTROL, 'Net content of a sack')(journey)
  await choose(driver, 'Control plan', 'office rule')
  await see(driver, /5 of 80.*\s*none\s*not met/, '#test [aria-label=Criteria]')
  await untilSaved(driver)
  await driver.get(`${server.address}/plans`)
  await click(driver, By.css('[aria-label="Change office rule"]'))
  await (await field('Lots:')).clear()
  await (await field('Lots:')).sendKeys('100 or more: 80, 9')
  await press(driver, 'Keep it')
  await see(driver, 'of which 9 may be short', 'main')
  await driver.get(server.address)
  await atClaim(CONTROL, 'Net content of a sack')(journey)
  await see(driver, 'office rule, as it was chosen', '#claim')
  await see(driver, /5 of 80.*\s*none\s*not met/, '#test [aria-label=Criteria]')
})

test('the deliveries by depot: every depot a line, and its own workbench behind it', async () => {
  const { driver } = journey
  await follow(driver, 'Deliveries of the winter')
  await follow(driver, 'wherever you live')
  await see(driver, 'Hold it against each group of depot', '#evidence')
  await follow(driver, 'Hold it against each group')
  await see(driver, '1 of 12 groups contradicts the claim, taken together the same.', 'main h1')
  const names = async () =>
    (await driver.findElements(By.css('[aria-label=Groups] tbody th'))).map((one) => one.getText())
  expect(await Promise.all(await names())).toHaveLength(12)
  await see(driver, /North quay depot \(7\)\s*1,233\s*2\.0300/, '[aria-label=Groups]')
  await choose(driver, 'Order of the lines', 'name')
  await see(driver, /Harbour depot \(1\)/, '[aria-label=Groups] tbody tr')
  await choose(driver, 'Adjustment', 'Benjamini and Hochberg')
  await see(driver, 'keeps the share of wrong rejections', 'main')
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  await press(driver, 'North quay depot (7)')
  await see(driver, 'says the', 'main h1')
  await see(driver, '1,233 of 200,000 rows', '#evidence')
  await see(driver, 'Contradicted', 'aside')
})

test('three lots over the winter, each by itself, and pooled only where that is asked for', async () => {
  const { driver } = journey
  await follow(driver, CONTROL)
  await follow(driver, 'Mean net mass')
  await follow(driver, 'Hold it against other lots')
  await see(driver, '2 of 3 lots contradict the claim, taken together the same.', 'main h1')
  await see(driver, /2025-11-18\s*L-1118\s*20\s*15\.016 kg/, '[aria-label=Lots]')
  await see(driver, 'The lots differ by more than chance explains', 'main')
  expect(await driver.findElements(By.css('[data-testid=pooled]'))).toHaveLength(0)
  await follow(driver, 'Test all their readings as one sample too')
  await see(driver, 'with the lot as what was drawn: not contradicted', '[data-testid=pooled]')
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  await driver.findElement(By.xpath('//label[contains(., "February")]/input')).click()
  await see(driver, '1 of 2 lots contradicts the claim', 'main h1')
})

test('a specification as a table becomes claims, and what can’t be read is told of by its line', async () => {
  const { driver, server } = journey
  await follow(driver, 'Data sheet of the Hearthling stove')
  await follow(driver, 'Bring in a specification')
  await see(driver, 'A template to fill in', 'main')
  const table = path.join(server.data, '..', 'specification.csv')
  writeFileSync(
    table,
    'characteristic;relation;value;unit;column;note\nflue temp;at most;160;°C;;x\nnoise;about;42;dB;noise;\nvoltage;at least;230;V;;\nmass;at least;90;kg;mass;\n',
  )
  await driver.findElement(By.css('input[type=file]')).sendKeys(table)
  await see(
    driver,
    /2\s*Mean flue temp at most 160.°C[\s\S]*guessed: look at it/,
    '[aria-label="Rows of the specification"]',
  )
  await see(driver, '“about” is no relation that is known', 'main')
  await see(driver, 'The sample has no column “mass”', 'main')
  await see(driver, 'Nothing was made of the column “note”', 'main')
  await see(driver, '2 rows are left out. 1 claim has no column yet', 'main')
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  await choose(driver, 'Column of line 4', 'height')
  await see(driver, 'The readings are in cm and the claim in V', '[aria-label="Rows of the specification"]')
  await press(driver, 'Make 2 claims of it')
  await see(driver, 'Mean flue temp at most 160', '[aria-label=Claims]')
  // The height is in cm, so nothing can be said of a voltage by it.
  await see(driver, /Mean voltage at least 230.V\s+Open/, 'main')
  await see(driver, '9 claims were tested', 'main')
  const id = /cases\/([0-9a-f-]+)/.exec(await driver.getCurrentUrl())![1]!
  const { body } = await get(`/api/cases/${id}/specification`)
  expect(body.split('\r\n')[9]).toBe('flue temp,mean,at most,160,,°C,flue,0.05,,,')
  expect(body.trim().split('\r\n')).toHaveLength(11)
})

test('findings as data: of a case and of the docket, as CSV and XLSX, and a page at a time for programs', async () => {
  const { driver } = journey
  await follow(driver, CONTROL)
  await see(driver, 'Findings as', 'main')
  const id = /cases\/([0-9a-f-]+)/.exec(await driver.getCurrentUrl())![1]!
  const own = (await get(`/api/cases/${id}/findings`)).body.trim().split('\r\n')
  expect(own).toHaveLength(3)
  expect(own[0]).toContain('reference,subject,party,number')
  expect(own[1]).toContain('control plan “average system (OIML R 87)”')
  expect(own[2]).toMatch(/,t test,20,15,15\.01\d*,/)
  const book = await fetch(`${journey.server.address}/api/cases/${id}/findings?format=xlsx`)
  expect(
    Buffer.from(await book.arrayBuffer())
      .subarray(0, 2)
      .toString(),
  ).toBe('PK')
  expect((await get(`/api/cases/${id}/findings?format=doc`)).status).toBe(400)
  expect((await get('/api/findings?text=stove')).body.trim().split('\r\n')).toHaveLength(1 + 2 + 8)
  const page = JSON.parse(
    (await get('/api/v1/findings?pageSize=2&page=1&order=reference&direction=rising')).body,
  )
  expect(page.cases).toBe(8)
  expect(page.findings.map(({ reference }: { reference: string }) => reference)).toEqual([
    'WH-021',
    'WH-021',
    'WH-026',
    'WH-026',
  ])
  expect((await get('/api/v1/findings?pageSize=0')).status).toBe(400)
})

test('the report has the criteria, the groups and the lots, each with its picture', async () => {
  const { driver } = journey
  await follow(driver, CONTROL)
  await follow(driver, 'Report')
  await see(driver, 'Criteria, claim 1', 'main')
  const text = plain(await textOf(driver, 'main'))
  for (const words of [
    'Errors of the packs',
    'Passes the first criterion',
    'Lots, claim 2',
    'L-0224',
    'written down from memory',
    'three criteria',
    'packs',
  ])
    expect(text).toContain(words)
  expect(await violations(driver)).toEqual([])
})
