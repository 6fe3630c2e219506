import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { By, Key } from 'selenium-webdriver'
import { attribute, click, control, follow, press, see, seeFigure, type } from './browser'
import { atClaim, startJourney, step } from './journey'

const MASS = atClaim('Brackwater', 'Mean net mass')

// By another name than this machine's own the page is that of any other machine: browsers keep their cryptography and their clipboard from it.
const journey = startJourney(['--demo', '--allow-host', 'office.example:PORT'], {
  arrive: async ({ driver, server }) => {
    await driver.get(server.address.replace('127.0.0.1', 'office.example'))
    await MASS(journey)
  },
  // Chromium says so of each page of this kind.
  borne: /Cross-Origin-Opener-Policy/,
})

const MASSES = '14.93\n15.02\n14.88\n14.97\n14.91\n'

async function bringIn(times: number): Promise<void> {
  const { driver } = journey
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'true-weight-network-')), 'sacks.csv')
  writeFileSync(file, `mass\n${MASSES.repeat(times)}`)
  await (await control(driver, 'File to bring in')).sendKeys(file)
  await press(driver, 'Take it in')
  await seeFigure(driver, 'Key figures', 'Readings tested', (5 * times).toLocaleString('en'))
}

test('a claim is decided and signed over the network, without HTTPS', async () => {
  const { driver } = journey
  expect(await driver.executeScript('return [isSecureContext, typeof crypto.subtle]')).toEqual([
    false,
    'undefined',
  ])
  await step('a file is taken in', () => bringIn(1))
  await step('a figure is copied with all its digits', async () => {
    await seeFigure(driver, 'Key figures', 'Mean', '14.942 kg')
    await click(driver, By.css('[aria-label^="Mean: 14.942"]'))
    await driver.wait(async () => (await driver.findElements(By.css('[data-full=Copied]'))).length === 1)
    const field = await control(driver, 'Quantity')
    await field.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.chord(Key.CONTROL, 'v'))
    expect(await attribute(driver, 'Quantity')).toMatch(/^14\.942/)
    await type(driver, 'Quantity', 'net mass')
  })
  await step('the finding is signed with its fingerprint', async () => {
    await type(driver, 'Signed by', 'A. Inspector')
    await press(driver, 'Sign the finding')
    await follow(driver, 'Signed finding 1')
    await see(driver, /[0-9a-f]{64}/, 'main')
  })
  await step('so is one of so many readings that its fingerprint is made beside the page', async () => {
    await driver.navigate().back()
    await see(driver, 'says the', 'main h1')
    await bringIn(5000)
    await press(driver, 'Sign the finding')
    await follow(driver, 'Signed finding 2')
    await see(driver, /[0-9a-f]{64}/, 'main')
  })
  await step('a key is not offered, and why', async () => {
    await driver.get(journey.server.address.replace('127.0.0.1', 'office.example') + '/keys')
    await see(driver, 'This page came over a network without HTTPS', 'main')
  })
})
