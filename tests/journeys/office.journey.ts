import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { PNG } from 'pngjs'
import { By } from 'selenium-webdriver'
import { violationsAt } from './access'
import { attribute, click, follow, type Look, press, see, type, untilSaved } from './browser'
import { openCase, startJourney } from './journey'

const LOOKS: readonly Look[] = [
  { colours: 'light', width: 1280 },
  { colours: 'dark', width: 400 },
]
const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-office-'))
const journey = startJourney(['--demo'], {
  arrive: ({ driver }) => see(driver, 'Docket', 'main h1'),
  // What is no template, or no mark, is refused.
  borne: /api\/office\/(?:template|mark).* status of 400/,
})

test('what the office says of itself is entered once, and stands in the report of a case that is opened then', async () => {
  const { driver } = journey
  await follow(driver, 'Office')
  await see(driver, 'A case takes over these words', 'main')
  await type(driver, 'Name and address', 'Skerrow Fair Measures Office')
  await type(driver, 'Reports are authorised by', 'A. Tarn, head of inspections')
  await type(driver, 'Accreditation', 'Skerrow Board, no. 12, for mass')
  await press(driver, 'Keep it')
  await see(driver, 'Kept.', 'main')
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  await driver.get(journey.server.address)
  await openCase(driver, 'Stove fans')
  await click(driver, By.xpath('//summary[.="What the report states of the office"]'))
  expect(await attribute(driver, 'Authorised by')).toBe('A. Tarn, head of inspections')
  await type(driver, 'Customer or occasion', 'complaint 12')
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  await untilSaved(driver)
  await follow(driver, 'Report')
  await see(driver, 'Skerrow Fair Measures Office', 'main .report')
  await see(driver, 'complaint 12', 'main .report')
  await see(driver, 'Skerrow Board, no. 12, for mass', 'main .report')
  await see(driver, 'End of report', 'main .report')
})

test('what a test report states of a sample is entered with it, days as days, and what is not stated is named', async () => {
  const { driver } = journey
  await follow(driver, 'Brackwater pellet sacks')
  await follow(driver, 'Both bagging lines')
  await click(driver, By.xpath('//summary[.="What else a test report states"]'))
  await type(driver, 'Measured on', '31.02.2026')
  await see(driver, '“31.02.2026” is no day', 'main')
  await type(driver, 'Measured on', '2026-01-16')
  await type(driver, 'Environment', '18 °C')
  // The head of the page, which stays, lies over nothing then.
  await driver.executeScript('document.activeElement.blur(); scrollTo(0, 0)')
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  await untilSaved(driver)
  await follow(driver, 'Brackwater pellet sacks')
  await follow(driver, 'Report')
  await see(driver, /Measured on\s+2026-01-16/, 'main .report')
  await click(driver, By.css('[aria-label="What is not stated"]'))
  await click(driver, By.xpath('//*[@aria-label="What is not stated"]/option[.="named as not stated"]'))
  await see(driver, /Results of others\s+not stated/, 'main .report')
})

test('the mark of the office stands above the title of a report, until it is removed', async () => {
  const { driver } = journey
  const mark = path.join(folder, 'mark.png')
  const picture = new PNG({ width: 120, height: 40 })
  picture.data.fill(90)
  writeFileSync(mark, PNG.sync.write(picture))
  await follow(driver, 'Office')
  await see(driver, 'Give a mark', 'main')
  const file = () => driver.findElement(By.css('[aria-label="File of the mark"]'))
  await file().sendKeys(__filename)
  await see(driver, 'This is no picture that a report can have as its mark', 'main')
  await file().sendKeys(mark)
  await see(driver, 'Give another mark', 'main')
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  const inReport = async () => {
    await driver.get(journey.server.address)
    await openCase(driver, 'Stove fans')
    await follow(driver, 'Report')
    await see(driver, 'End of report', 'main .report')
    return driver.executeScript(
      'return [...document.querySelectorAll(".report img")].map(({ alt, naturalWidth }) => [alt, naturalWidth])',
    )
  }
  expect(await inReport()).toEqual([['Mark of the office', 120]])
  await driver.get(`${journey.server.address}/office`)
  await press(driver, 'Remove the mark')
  await see(driver, 'Give a mark', 'main')
  expect(await inReport()).toEqual([])
})

test('a report as DOCX takes the styles of a template, until it is removed', async () => {
  const { driver, server } = journey
  const { cases } = (await (await fetch(`${server.address}/api/v1/cases?text=pellet%20sacks`)).json()) as {
    cases: readonly { id: string }[]
  }
  const report = async () =>
    unzipSync(
      new Uint8Array(
        await (await fetch(`${server.address}/api/cases/${cases[0]!.id}/report?format=docx`)).arrayBuffer(),
      ),
    )
  const plain = await report()
  const styles = strFromU8(plain['word/styles.xml']!)
  const file = path.join(folder, 'own.dotx')
  const restyled = styles.replace('w:styleId="Heading1"', 'w:customStyle="0" w:styleId="Heading1"')
  writeFileSync(file, zipSync({ ...plain, 'word/styles.xml': strToU8(restyled) }))
  await follow(driver, 'Office')
  await see(driver, 'Give a template', 'main')
  await driver.findElement(By.css('[aria-label="File of the template"]')).sendKeys(__filename)
  await see(driver, 'This is no template that a report can take its styles from', 'main')
  await driver.findElement(By.css('[aria-label="File of the template"]')).sendKeys(file)
  await see(driver, 'take the styles of the template that was given', 'main')
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  expect(strFromU8((await report())['word/styles.xml']!)).toContain('w:customStyle="0"')
  await press(driver, 'Remove the template')
  await see(driver, 'and give it here', 'main')
  expect(await report()).toEqual(plain)
})

test('a finding that is signed again by a key says which one it replaces, and why', async () => {
  const { driver } = journey
  await follow(driver, 'Keys')
  await type(driver, 'Name of the holder', 'A. Tarn')
  await press(driver, 'Make a key for this device alone')
  await see(driver, 'It is on the register.', 'main')
  await driver.get(journey.server.address)
  await follow(driver, 'Brackwater pellet sacks')
  await follow(driver, 'Mean net mass')
  await see(driver, /You sign with the key \S+ of this device/, '#finding')
  await untilSaved(driver)
  await press(driver, 'Sign the finding')
  await see(driver, 'This finding is signed as it stands.', '#finding')
  await type(driver, 'Claimed value', '14.99')
  await see(driver, 'Signing again replaces signed finding 1', '#finding')
  await type(driver, 'Why it replaces signed finding 1', 'the label says 14.99 kg')
  expect(await violationsAt(driver, LOOKS)).toEqual([])
  await untilSaved(driver)
  await press(driver, 'Sign the finding')
  await see(driver, 'Signed finding 2', '[aria-label="Signed findings"]')
  await follow(driver, 'Signed finding 2')
  await see(driver, 'It replaces signed finding 1: “the label says 14.99 kg”', 'main')
  await see(driver, /with the key \S+, which the register has under this name/, 'main')
})
