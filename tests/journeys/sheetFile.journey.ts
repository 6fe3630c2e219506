import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { By } from 'selenium-webdriver'
import { complaints, figure, follow, plain, see, textOf, type, violations } from './browser'
import { startJourney } from './journey'

const journey = startJourney(['--demo'])
const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-'))

function written(name: string, text: string): string {
  const file = path.join(folder, name)
  writeFileSync(file, text)
  return file
}

const DELIVERIES =
  'depot;mass;carrier\n7;14,93;north\n7;15,02;"south; east"\n8;14,88;north\n7;n/a;south\n8;14,97;north\n7;14,91;north\n'

const evidence = async () => plain(await textOf(journey.driver, '#evidence'))
const press = async (words: string) =>
  (
    await journey.driver.findElement(By.xpath(`//section[@id="evidence"]//button[contains(., "${words}")]`))
  ).click()
const choose = async (file: string) =>
  (await journey.driver.findElement(By.css('input[type=file]'))).sendKeys(file)

test('a file is read, and shown before anything is taken from it', async () => {
  await journey.driver.get(journey.server.address)
  await follow(journey.driver, 'Brackwater pellet sacks')
  await follow(journey.driver, 'Mean net mass at least')
  await see(journey.driver, 'says the mean', 'main h1')
  await choose(written('deliveries.csv', DELIVERIES))
  await see(journey.driver, '6 rows, cells separated by', '#evidence')
  const shown = await evidence()
  expect(shown).toContain('semicolons')
  expect(shown).toContain('decimal comma')
  expect(shown).toContain('numbers, 1 missing')
  expect(shown).toContain('“n/a” stands once among these numbers')
  expect(await figure(journey.driver, 'Key figures', 'Readings tested')).toBe('24')
  expect(await violations(journey.driver)).toEqual([])
})

test('a condition narrows it down, one that cannot be read is told of', async () => {
  await type(journey.driver, 'Rows kept', 'depot')
  await see(journey.driver, 'The condition “depot” cannot be read', '#evidence')
  await type(journey.driver, 'Rows kept', 'depot = 7')
  await see(journey.driver, 'Take 3 readings', '#evidence')
  await see(journey.driver, '3 of 6 rows', '#evidence')
})

test('what is taken is tested, and what stood there can be put back', async () => {
  await press('Take 3 readings')
  await see(journey.driver, '3 readings from deliveries.csv, mass where depot = 7.', '#evidence')
  expect(await figure(journey.driver, 'Key figures', 'Readings tested')).toBe('3')
  expect(await figure(journey.driver, 'Key figures', 'Mean')).toBe('14.953 kg')
  await press('Put back what stood there')
  await see(journey.driver, '24 readings', '#evidence')
  expect(await figure(journey.driver, 'Key figures', 'Mean')).toBe('14.929 kg')
})

test.each([
  ['uneven.csv', 'a,b\n1,2\n3\n', 'The row on line 3 has 1 cell where the first row has 2'],
  ['empty.csv', '\n', 'The file is empty'],
  ['picture.csv', 'a\n\u0001\u0002', 'Line 2 holds characters that no text has'],
])('%s is refused with the place, and changes nothing', async (name, text, words) => {
  await choose(written(name, text))
  await see(journey.driver, words, '#evidence')
  expect(await figure(journey.driver, 'Key figures', 'Readings tested')).toBe('24')
})

test('the page complained of nothing', async () => {
  expect(await complaints(journey.driver)).toEqual([])
})
