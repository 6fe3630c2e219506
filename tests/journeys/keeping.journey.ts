import { readFileSync } from 'node:fs'
import path from 'node:path'
import { By } from 'selenium-webdriver'
import type { Driver } from 'selenium-webdriver/chrome'
import {
  choose,
  follow,
  complaints,
  control,
  openBrowser,
  paste,
  see,
  textOf,
  type,
  untilSaved,
} from './browser'
import { kill, launch, killAll, serve, STARTING_MS, type Served, until } from './server'

let server: Served
let driver: Driver

beforeAll(async () => {
  server = await serve(['--demo'])
  driver = await openBrowser()
})
afterAll(async () => {
  await driver?.quit()
  await killAll()
})

test('a claim is there to be changed', async () => {
  await driver.get(server.address)
  await follow(driver, 'Brackwater pellet sacks')
  await follow(driver, 'Mean net mass')
  await see(driver, 'Contradicted', 'aside')
})

test('what is stored survives SIGKILL, and the finding with it', async () => {
  await choose(driver, 'Relation', 'at most')
  await type(driver, 'Claimed value', '12.5')
  await paste(driver, 'Readings', '12.1\n13.9\nhalf a reading\n14.0')
  await untilSaved(driver)
  const claim = await driver.getCurrentUrl()
  const finding = await textOf(driver, 'aside')

  await kill(server)
  server = await serve(['--demo'], server.data)
  await driver.get(claim.replace(/^https?:\/\/[^/]+/, server.address))
  await see(driver, 'half a reading', 'main')
  expect(await (await control(driver, 'Claimed value')).getAttribute('value')).toBe('12.5')
  expect(await (await control(driver, 'Readings')).getAttribute('value')).toBe(
    '12.1\n13.9\nhalf a reading\n14.0',
  )
  await driver.wait(async () => (await textOf(driver, 'aside')) === finding, 40_000)
})

test('a server that is gone is noticed, and what was typed meanwhile is stored when it is back', async () => {
  const port = new URL(server.address).port
  await kill(server)
  await type(driver, 'Quantity', 'gross mass')
  await see(driver, 'Not saved. The server does not answer.', 'header')
  const { child, output } = launch(['--demo', '--data', server.data, '--port', port])
  server = { ...server, process: child, output }
  await until(() => output().includes('True Weight is at'), STARTING_MS)
  await untilSaved(driver)
  await driver.navigate().refresh()
  expect(await (await control(driver, 'Quantity')).getAttribute('value')).toBe('gross mass')
})

test('a second window that has not seen the last change overwrites nothing', async () => {
  const first = await driver.getWindowHandle()
  const address = await driver.getCurrentUrl()
  await driver.switchTo().newWindow('tab')
  await driver.get(address)
  await control(driver, 'Quantity')
  await driver.switchTo().window(first)
  await type(driver, 'Quantity', 'mass of the first window')
  await untilSaved(driver)
  const [second] = (await driver.getAllWindowHandles()).filter((handle) => handle !== first)
  await driver.switchTo().window(second!)
  await type(driver, 'Quantity', 'mass of the second window')
  await see(driver, 'Changed in another window', 'header')
  await driver.findElement(By.xpath('//button[.="Show the stored one"]')).click()
  await driver.wait(
    async () =>
      (await (await control(driver, 'Quantity')).getAttribute('value')) === 'mass of the first window',
    40_000,
  )
  await driver.close()
  await driver.switchTo().window(first)
})

test('a change made just before leaving is on the docket', async () => {
  await type(driver, 'Claimed value', '')
  await follow(driver, 'Docket')
  await see(driver, 'Claim without a value', 'main')
  await driver.navigate().back()
  expect(await (await control(driver, 'Claimed value')).getAttribute('value')).toBe('')
})

test('a second process on the same data folder is told who holds it', async () => {
  const { child, output } = launch(['--data', server.data])
  await until(() => child.exitCode !== null, STARTING_MS)
  expect(child.exitCode).toBe(1)
  expect(output()).toContain(`is in use by process ${server.process.pid}`)
  const holder = JSON.parse(readFileSync(path.join(server.data, 'in-use.json'), 'utf8'))
  expect(holder.pid).toBe(server.process.pid)
})

test('the browser complained of nothing on the way but the server that was gone', async () => {
  const gone =
    /net::ERR_(CONNECTION_REFUSED|CONNECTION_RESET|EMPTY_RESPONSE|INCOMPLETE_CHUNKED_ENCODING)|status of 409/
  expect((await complaints(driver)).filter((message) => !gone.test(message))).toEqual([])
})
