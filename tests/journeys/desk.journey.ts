import { execFileSync, spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { By, Key, until } from 'selenium-webdriver'
import { violations } from './access'
import { attribute, choose, click, complaints, follow, press, see, textOf, type } from './browser'
import { openCase, startJourney, step } from './journey'
import { serve } from './server'

const PATIENCE_MS = 40_000
const TRUE_WEIGHT = path.resolve(__dirname, '../../bin/true-weight')
const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-desk-'))
const journey = startJourney(['--demo'], {
  arrive: ({ driver }) => see(driver, '8 cases', '[role=search]'),
  borne: /altered\.zip .* status of 400/,
})

async function toReport() {
  await follow(journey.driver, 'Brackwater pellet sacks')
  await follow(journey.driver, 'Report')
  await see(journey.driver, 'Summary of findings')
}

const claims = async () => {
  const links = await journey.driver.findElements(By.css('ol[aria-label=Claims] a'))
  return Promise.all(links.map(async (link) => (await link.getText()).split('\n')[0]!.slice(0, 8)))
}
async function claimsAre(...expected: readonly string[]) {
  await journey.driver
    .wait(async () => (await claims()).join() === expected.join(), PATIENCE_MS)
    .catch(async () => expect(await claims()).toEqual(expected))
}
/** The case that is shown, as a file. */
async function download(what: string): Promise<string> {
  const [, id] = (await journey.driver.getCurrentUrl()).match(/cases\/([0-9a-f-]+)/)!
  const answer = await fetch(`${journey.server.address}/api/cases/${id}/${what}`)
  expect(answer.status).toBe(200)
  const file = path.join(folder, what.replace(/\W+/g, '-'))
  writeFileSync(file, Buffer.from(await answer.arrayBuffer()))
  return file
}

test('claims are put in another order by keyboard and by drag, and the trail tells of it', async () => {
  await step('claims are put in another order by keyboard and by drag, and stay so', async () => {
    const { driver } = journey
    const name = await driver.findElement(By.css('[aria-label="Your name, for the trail"]'))
    await name.sendKeys('A. Officer', Key.ENTER)
    await follow(driver, 'Brackwater pellet sacks')
    await claimsAre('Mean net', 'Ratio of')
    const handle = await driver.wait(until.elementLocated(By.css('[aria-label^="Move: Mean"]')), PATIENCE_MS)
    await driver.executeScript('arguments[0].focus()', handle)
    // What is told to those who do not see it says when a step of the move is done.
    const told = () =>
      driver.executeScript<string>('return document.querySelector("[id^=DndLiveRegion]")?.textContent ?? ""')
    const untilTold = async (act: () => Promise<void>) => {
      const before = await told()
      await act()
      await driver.wait(
        async () => (await told()) !== before,
        PATIENCE_MS,
        `Nothing was told after: ${before}`,
      )
    }
    for (const sent of [Key.SPACE, Key.ARROW_DOWN, Key.SPACE])
      await untilTold(() => driver.actions().sendKeys(sent).perform())
    await claimsAre('Ratio of', 'Mean net')
    const grip = await driver.findElement(By.css('[aria-label^="Move: Mean"]'))
    const other = await driver.findElement(By.css('[aria-label^="Move: Ratio"]'))
    await untilTold(() =>
      driver.actions().move({ origin: grip }).press().move({ origin: grip, y: -10 }).perform(),
    )
    await untilTold(() => driver.actions().move({ origin: other, y: -8, duration: 300 }).perform())
    await untilTold(() => driver.actions().release().perform())
    await claimsAre('Mean net', 'Ratio of')
    await driver.wait(async () => {
      await driver.navigate().refresh()
      return (await claims()).join() === 'Mean net,Ratio of'
    }, PATIENCE_MS)
    await see(driver, 'Holm’s adjustment', 'main')
    await type(driver, 'Reference', 'WH-014 b')
    await see(driver, /Saved \d/, 'main')
    expect(await violations(driver)).toEqual([])
  })
  await step('the trail tells who did what, before and after, and that its chain holds', async () => {
    const { driver } = journey
    await follow(driver, 'Trail')
    await see(driver, /The chain holds: all \d+ entries are as written/)
    await see(driver, 'A. Officer put the claims in another order', '[aria-label=Trail]')
    await see(
      driver,
      /order: claim: Ratio.*; claim: Mean.* → claim: Mean.*; claim: Ratio/,
      '[aria-label=Trail]',
    )
    await see(driver, 'reference: WH-014 → WH-014 b', '[aria-label=Trail]')
    await choose(driver, 'Action', 'changed the case')
    await see(driver, '1 entry', '[role=search]')
    expect(await violations(driver)).toEqual([])
    await driver.navigate().back()
  })
})

/** Words and figures of the report's tables that stand on two lines. */
const TORN_WORDS = `return [...document.querySelectorAll('.report th, .report td')].flatMap((cell) => {
  const text = cell.firstChild
  if (!text) return []
  return [...text.data.matchAll(/[^\\s-]+/g)].filter(({ 0: word, index }) => {
    const range = document.createRange()
    range.setStart(text, index)
    range.setEnd(text, index + word.length)
    return word.length < 25 && range.getClientRects().length > 1
  }).map(([word]) => word)
})`

test('the report shows what is chosen, and its files are those that the command line makes', async () => {
  const { driver } = journey
  await toReport()
  expect(await violations(driver)).toEqual([])
  expect(await driver.executeScript(TORN_WORDS)).toEqual([])
  await click(driver, By.xpath('//label[contains(., "cross-examination")]/input'))
  await driver.wait(
    async () => !(await textOf(driver, '.report')).includes('Would the finding stand'),
    PATIENCE_MS,
  )
  await choose(driver, 'How numbers are written', '1\u202f234,5')
  await see(driver, '14,929', '.report')
  await choose(driver, 'Decimals of the report', '2 decimals')
  await see(driver, '14,93 kg', '.report')
  expect(await complaints(driver)).toEqual([])

  const file = await download('file')
  for (const format of ['pdf', 'docx', 'html', 'md']) {
    const made = await download(`report?format=${format}&numbers=comma&decimals=2`)
    const other = path.join(folder, `other.${format}`)
    const options = ['--numbers', '1 234,5', '--decimals', '2', '--output', other]
    execFileSync(TRUE_WEIGHT, ['report', file, ...options])
    expect(Buffer.compare(readFileSync(made), readFileSync(other))).toBe(0)
  }
  expect(execFileSync(TRUE_WEIGHT, ['verify', file], { encoding: 'utf8' })).toContain('The chain holds')
})

test('a part of the report is copied as text and as a picture', async () => {
  const { driver } = journey
  await toReport()
  await driver.setPermission('clipboard-read', 'granted')
  const button = async (name: string) => {
    const found = await driver.findElement(By.css(`[aria-label^="${name}: Hypotheses, claim 1"]`))
    await driver.executeScript(
      'arguments[0].scrollIntoView({ block: "center" }); arguments[0].focus()',
      found,
    )
    await driver.actions().sendKeys(Key.ENTER).perform()
  }
  await button('Copy as text')
  const read = 'navigator.clipboard.readText().then(arguments[0])'
  await driver.wait(async () => /Null hypothesis/.test(await driver.executeAsyncScript(read)), PATIENCE_MS)
  await button('Copy as picture')
  const kinds = `navigator.clipboard.read().then(async ([item]) => {
    if (!item.types.includes('image/png')) return arguments[0](0)
    const picture = await createImageBitmap(await item.getType('image/png'))
    arguments[0](picture.width * picture.height)
  })`
  await driver.wait(async () => Number(await driver.executeAsyncScript(kinds)) > 100_000, PATIENCE_MS)
})

test('the HTML file is read from a disk, with no network', async () => {
  const { driver } = journey
  await toReport()
  const report = await download('report?format=html')
  const html = `${report}.html`
  renameSync(report, html)
  await complaints(driver)
  await driver.sendDevToolsCommand('Network.enable', {})
  await driver.sendDevToolsCommand('Network.emulateNetworkConditions', {
    offline: true,
    latency: 0,
    downloadThroughput: 0,
    uploadThroughput: 0,
  })
  await driver.get(`file://${html}`)
  await see(driver, 'Summary of findings')
  const fonts = await driver.executeAsyncScript(
    'document.fonts.ready.then(() => arguments[0]([...document.fonts].filter(({ status }) => status === "loaded").length))',
  )
  expect(fonts).toBeGreaterThan(3)
  expect(await driver.executeScript('return performance.getEntriesByType("resource").length')).toBe(0)
  expect(await complaints(driver)).toEqual([])
  const online = { offline: false, latency: 0, downloadThroughput: -1, uploadThroughput: -1 }
  await driver.sendDevToolsCommand('Network.emulateNetworkConditions', online)
})

test('a case is closed, archived, found again, opened again and duplicated', async () => {
  const { driver } = journey
  await follow(driver, 'Room thermostats')
  await press(driver, 'Close the case')
  await see(driver, 'The case is closed', 'main')
  await press(driver, 'Archive it')
  await see(driver, 'The case is archived', 'main')
  await driver.get(journey.server.address)
  await see(driver, '7 cases', '[role=search]')
  await choose(driver, 'State', 'archived')
  await see(driver, '1 case', '[role=search]')
  await follow(driver, 'Room thermostats')
  await press(driver, 'Open it again')
  await see(driver, 'The case is open', 'main')
  const pattern = await driver.getCurrentUrl()
  await press(driver, 'Duplicate as a template')
  await driver.wait(async () => (await driver.getCurrentUrl()) !== pattern, PATIENCE_MS)
  await claimsAre('Mean roo', 'Standard')
  expect(await attribute(driver, 'Reference')).toBe('')
  await see(driver, 'Open', 'ol[aria-label=Claims]')
})

test('a case file is brought in on another machine, and one that was altered is refused', async () => {
  const { driver } = journey
  await follow(driver, 'Brackwater pellet sacks')
  await see(driver, 'Claims made by', 'main')
  const file = readFileSync(await download('file'))
  const other = await serve([])
  await driver.get(other.address)
  const altered = path.join(folder, 'altered.zip')
  writeFileSync(altered, file.subarray(0, file.length - 300))
  const give = async (name: string) =>
    (await driver.findElement(By.css('input[type=file]'))).sendKeys(path.join(folder, name))
  await give('altered.zip')
  await see(driver, 'This is no case file that can be taken', '[role=alert]')
  await give('file')
  await see(driver, 'Claims made by', 'main')
  await claimsAre('Mean net', 'Ratio of')
  await follow(driver, 'Trail')
  await see(driver, 'brought the case in from a file', '[aria-label=Trail]')
  await see(driver, 'The chain holds')
})

test('everything is backed up and restored while the server runs', async () => {
  const { server, driver } = journey
  const file = path.join(folder, 'backup.zip')
  const keep = (what: string) =>
    spawnSync('npm', ['run', '--silent', what, '--', file, '--data', server.data], { encoding: 'utf8' })
  expect(keep('backup')).toMatchObject({ status: 0, stdout: expect.stringContaining(file) })
  await driver.get(server.address)
  await see(driver, '8 cases', '[role=search]')
  await openCase(driver, 'Something else')
  expect(keep('restore').stdout).toMatch(/8 cases\. What was there before is kept in .*before-restore/)
  await driver.get(server.address)
  await see(driver, '8 cases', '[role=search]')
  expect(keep('backup')).toMatchObject({ status: 1, stderr: expect.stringContaining('is there already') })
})
