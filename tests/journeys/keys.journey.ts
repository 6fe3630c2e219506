import { execFileSync } from 'node:child_process'
import { existsSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { violationsAt } from './access'
import { control, follow, press, see, type, untilSaved } from './browser'
import { lockPlan, startJourney } from './journey'

const TRUE_WEIGHT = path.resolve(__dirname, '../../bin/true-weight')
const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-keys-'))
const PASSPHRASE = 'sacks of pellets, weighed'

const journey = startJourney(['--demo'], { arrive: ({ driver }) => see(driver, 'Docket', 'main h1') })

/** Saves what an address of the server answers. */
async function saved(at: string, name: string): Promise<string> {
  const file = path.join(folder, name)
  writeFileSync(file, Buffer.from(await (await fetch(`${journey.server.address}${at}`)).arrayBuffer()))
  return file
}

async function openClaim(title: string): Promise<void> {
  const { driver } = journey
  await driver.get(journey.server.address)
  await follow(driver, 'Brackwater pellet sacks')
  await follow(driver, title)
  await see(driver, 'says the', 'main h1')
}

async function sign(): Promise<void> {
  await untilSaved(journey.driver)
  await press(journey.driver, 'Sign the finding')
}

const lock = (subject: string) => lockPlan(journey, { units: 30, subject })

test('a key is made with its file, signs, is taken to another device, and is withdrawn', async () => {
  const { driver } = journey
  await driver.sendDevToolsCommand('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder })
  await follow(driver, 'Keys')
  await see(driver, 'This browser holds no key.', 'main')
  expect(
    await violationsAt(driver, [
      { colours: 'light', width: 1280 },
      { colours: 'dark', width: 400 },
    ]),
  ).toEqual([])
  await type(driver, 'Name of the holder', 'A. Inspector')
  await type(driver, 'Passphrase', PASSPHRASE)
  await press(driver, 'Make a key with a file')
  await see(driver, 'It is on the register.', 'main')
  await see(driver, 'A. Inspector', '[aria-label="Register of keys"]')
  const keyFile = path.join(folder, 'key of A. Inspector.jwe')
  while (!existsSync(keyFile)) await wait(50)
  expect(readFileSync(keyFile, 'utf8').split('.')).toHaveLength(5)
  expect(
    await violationsAt(driver, [
      { colours: 'light', width: 1280 },
      { colours: 'dark', width: 400 },
    ]),
  ).toEqual([])

  await openClaim('Mean net mass')
  await see(driver, /You sign with the key \S+ of this device/, '#finding')
  await sign()
  await see(driver, 'by A. Inspector', '[aria-label="Signed findings"]')
  await see(driver, 'with a key', '[aria-label="Signed findings"]')
  await follow(driver, 'Signed finding 1')
  await see(driver, /with the key \S+, which the register has under this name/, 'main')

  await lock('Sacks of line 5')
  await see(driver, /A plan was locked .* by A\. Inspector on .*, with a key/, '#evidence')

  // Whoever has no key of that name does not sign in it; the file of the key, with its passphrase, is what it takes.
  await driver.get(`${journey.server.address}/keys`)
  await press(driver, 'Take it off this device')
  await driver.switchTo().alert().accept()
  await see(driver, 'This browser holds no key.', 'main')
  await openClaim('Ratio of variances')
  await see(driver, 'You sign by name, without a key.', '#finding')
  await sign()
  await see(driver, 'A. Inspector has a key on the register', '#finding')
  await lock('Sacks of line 6')
  await see(driver, 'A. Inspector has a key on the register', '[role=alert]')
  // Another key of that name is not entered, and none is kept that stands for nobody.
  await driver.get(`${journey.server.address}/keys`)
  await press(driver, 'Make a key for this device alone')
  await see(driver, 'A. Inspector has a key on the register', 'main')
  await see(driver, 'This browser holds no key.', 'main')
  await type(driver, 'Passphrase', `${PASSPHRASE}!`)
  await type(driver, 'Name of the holder', 'Somebody')
  await (await control(driver, 'File of a key')).sendKeys(keyFile)
  await press(driver, 'Bring the key in')
  await see(driver, 'its passphrase is another', 'main')
  await type(driver, 'Passphrase', PASSPHRASE)
  await press(driver, 'Bring the key in')
  await see(driver, 'It is on the register.', 'main')
  await openClaim('Ratio of variances')
  await sign()
  await see(driver, 'with a key', '[aria-label="Signed findings"]')

  const caseId = /cases\/([0-9a-f-]{36})/.exec(await driver.getCurrentUrl())![1]!
  await driver.get(`${journey.server.address}/cases/${caseId}/trail`)
  await press(driver, 'Have the trail sealed')
  await see(
    driver,
    'a time stamp (RFC 3161) of “Simulated time stamp authority of True Weight” says so',
    'main',
  )
  await see(driver, 'A. Inspector had the trail sealed', 'main')
  await press(driver, 'Have the trail sealed')
  await see(driver, 'The trail is sealed as it stands: nothing came since.', 'main')
  const caseFile = await saved(`/api/cases/${caseId}/file`, 'case.zip')
  const register = await saved('/api/keys/register', 'keys.json')
  const said = execFileSync(TRUE_WEIGHT, ['verify', caseFile, '--keys', register], { encoding: 'utf8' })
  expect(said.match(/which the register has under this name/g)).toHaveLength(2)
  expect(said).toContain('That authority is simulated')

  await driver.get(`${journey.server.address}/keys`)
  await press(driver, 'Withdraw ')
  await driver.switchTo().alert().accept()
  await see(driver, 'It was withdrawn: nothing is signed with it any more.', 'main')
})
