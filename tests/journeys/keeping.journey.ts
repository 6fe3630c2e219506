import { readFileSync } from 'node:fs'
import path from 'node:path'
import { By, type WebDriver } from 'selenium-webdriver'
import { attribute, choose, click, follow, paste, see, textOf, type, untilSaved } from './browser'
import { kill, launch, serve, STARTING_MS, until } from './server'
import { atClaim, startJourney } from './journey'

const journey = startJourney(['--demo'], {
  arrive: atClaim('Brackwater pellet sacks', 'Mean net mass'),
  borne:
    /net::ERR_(CONNECTION_REFUSED|CONNECTION_RESET|EMPTY_RESPONSE|INCOMPLETE_CHUNKED_ENCODING)|importScripts.*failed to load|status of 409/,
})

test('what is stored survives SIGKILL, and the finding with it', async () => {
  await choose(journey.driver, 'Relation', 'at most')
  await type(journey.driver, 'Claimed value', '12.5')
  await paste(journey.driver, 'Readings', '12.1\n13.9\nhalf a reading\n14.0')
  await untilSaved(journey.driver)
  const claim = await journey.driver.getCurrentUrl()
  const finding = await textOf(journey.driver, 'aside')

  await kill(journey.server)
  journey.server = await serve(['--demo'], journey.server.data)
  await journey.driver.get(claim.replace(/^https?:\/\/[^/]+/, journey.server.address))
  await see(journey.driver, 'half a reading', 'main')
  expect(await attribute(journey.driver, 'Claimed value')).toBe('12.5')
  expect(await attribute(journey.driver, 'Readings')).toBe('12.1\n13.9\nhalf a reading\n14.0')
  await journey.driver.wait(async () => (await textOf(journey.driver, 'aside')) === finding, 40_000)
})

test('a server that is gone is noticed, and what was typed meanwhile is stored when it is back', async () => {
  // The whole page is there, with nothing still on its way.
  await journey.driver.navigate().refresh()
  await see(journey.driver, 'Contradicted', 'aside')
  const port = new URL(journey.server.address).port
  await kill(journey.server)
  await type(journey.driver, 'Quantity', 'gross mass')
  await see(journey.driver, 'Not saved. The server does not answer.', 'header')
  const { child, output } = launch(['--demo', '--data', journey.server.data, '--port', port])
  journey.server = { ...journey.server, process: child, output }
  await until(() => output().includes('True Weight is at'), STARTING_MS)
  await untilSaved(journey.driver)
  await journey.driver.navigate().refresh()
  expect(await attribute(journey.driver, 'Quantity')).toBe('gross mass')
})

test('a second window that has not seen the last change overwrites nothing', async () => {
  const first = await journey.driver.getWindowHandle()
  const address = await journey.driver.getCurrentUrl()
  await journey.driver.switchTo().newWindow('tab')
  await journey.driver.get(address)
  await untilCompared(journey.driver)
  await journey.driver.switchTo().window(first)
  await type(journey.driver, 'Quantity', 'mass of the first window')
  const [, caseId] = /cases\/([^/]+)/.exec(address)!
  const stored = async () => (await fetch(`${journey.server.address}/api/v1/cases/${caseId}`)).text()
  await until(async () => (await stored()).includes('mass of the first window'), 40_000)
  const [second] = (await journey.driver.getAllWindowHandles()).filter((handle) => handle !== first)
  await journey.driver.switchTo().window(second!)
  const quantityIs = (words: string) =>
    journey.driver.wait(
      async () => (await attribute(journey.driver, 'Quantity')) === words,
      40_000,
      `The quantity never was ${words}`,
    )
  // A window that is looked at again finds out.
  await quantityIs('mass of the first window')
  await changeElsewhere('mass of another window')
  await type(journey.driver, 'Quantity', 'mass of the second window')
  await see(journey.driver, 'Changed in another window', 'header')
  const seeBoth = () =>
    see(
      journey.driver,
      'Quantity mass of the second window mass of another window',
      '[aria-label="Two versions"]',
    )
  await seeBoth()
  // Whoever leaves without a choice is asked again.
  await follow(journey.driver, 'Docket')
  await see(journey.driver, 'Docket', 'main h1')
  await journey.driver.navigate().back()
  await seeBoth()
  await click(journey.driver, By.xpath('//button[.="Show the stored one"]'))
  await quantityIs('mass of another window')
  // Nothing is lost: what was typed here comes back, and is stored then.
  await click(journey.driver, By.xpath('//header//button[.="Undo"]'))
  await quantityIs('mass of the second window')
  await untilSaved(journey.driver)
  await journey.driver.navigate().refresh()
  await quantityIs('mass of the second window')
  await journey.driver.close()
  await journey.driver.switchTo().window(first)
  await journey.driver.navigate().refresh()
})

/** Another window's change, of which this one is not told. */
async function changeElsewhere(quantity: string): Promise<void> {
  const [, claimId] = /claims\/([^/?#]+)/.exec(await journey.driver.getCurrentUrl())!
  const place = `${journey.server.address}/api/claims/${claimId}`
  const { value } = await (await fetch(place)).json()
  const { draft, revision } = value
  const body = JSON.stringify({ draft: { ...draft, quantity }, revision, by: '' })
  const answer = await fetch(place, { method: 'PUT', headers: { 'Content-Type': 'application/json' }, body })
  if (!answer.ok) throw new Error(await answer.text())
}

/** Waits until the page has looked whether what it shows is what is stored, which it does once. */
async function untilCompared(driver: WebDriver): Promise<void> {
  const asked = 'return performance.getEntriesByType("resource").some((one) => /api.claims/.test(one.name))'
  await driver.wait(() => driver.executeScript<boolean>(asked), 40_000, 'The page never asked what is stored')
}

test('a change made just before leaving is on the docket', async () => {
  await type(journey.driver, 'Claimed value', '')
  await follow(journey.driver, 'Docket')
  await see(journey.driver, 'Claim without a value', 'main')
  await journey.driver.navigate().back()
  expect(await attribute(journey.driver, 'Claimed value')).toBe('')
})

test('a page that is come to right after a change goes on from it, and takes it for no other window’s', async () => {
  const { driver } = journey
  for (const reading of ['14.7', '14.8']) {
    await paste(driver, 'Readings', reading)
    await follow(driver, 'The whole sample')
    await type(driver, 'Name of the sample', `sacks of ${reading}`)
    await driver.navigate().back()
    expect(await attribute(driver, 'Readings')).toBe(reading)
  }
  await untilSaved(driver)
  await see(driver, 'sacks of 14.8', 'main')
})

test('a second process on the same data folder is told who holds it', async () => {
  const { child, output } = launch(['--data', journey.server.data])
  await until(() => child.exitCode !== null, STARTING_MS)
  expect(child.exitCode).toBe(1)
  expect(output()).toContain(`is in use by process ${journey.server.process.pid}`)
  const holder = JSON.parse(readFileSync(path.join(journey.server.data, 'in-use.json'), 'utf8'))
  expect(holder.pid).toBe(journey.server.process.pid)
})
