import { createHash } from 'node:crypto'
import { existsSync, mkdtempSync, readdirSync, readFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { By, Key, until as located } from 'selenium-webdriver'
import { click, control, plain, press, see, untilSaved } from './browser'
import { atClaim, startJourney, step } from './journey'
import { until } from './server'

const journey = startJourney(['--demo'], { arrive: atClaim('Brackwater pellet sacks', 'Mean net mass') })
const WAIT_MS = 40_000

test('pictures and figures are taken out', async () => {
  await step('every picture is saved as PNG and as SVG, whose texts stay texts', async () => {
    const { driver } = journey
    const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-pictures-'))
    await driver.sendDevToolsCommand('Browser.setDownloadBehavior', {
      behavior: 'allow',
      downloadPath: folder,
    })
    const names = ['sampling distribution', 'claim line', 'histogram', 'box plot', 'normal quantile plot']
    for (const name of names) {
      for (const kind of ['PNG', 'SVG']) {
        await click(driver, By.css(`[aria-label="Save the ${name} as ${kind}"]`))
        const file = `${name.replaceAll(' ', '-')}.${kind.toLowerCase()}`
        const whole = kind === 'PNG' ? /^.PNG[^]*IEND....$/ : /^<svg[^>]*xmlns[^]*<path[^]*<\/svg>$/
        const saved = () =>
          readdirSync(folder).includes(file) ? readFileSync(path.join(folder, file), 'latin1') : ''
        await until(() => whole.test(saved()), WAIT_MS)
      }
    }
    const svg = (name: string) => plain(readFileSync(path.join(folder, `${name}.svg`), 'utf8'))
    expect(svg('sampling-distribution')).toContain('critical −1.714')
    expect(svg('sampling-distribution')).toContain('t = −3.245')
    expect(svg('claim-line')).toContain('claimed 15 kg')
    expect(svg('claim-line')).toContain('IBM Plex Mono')
  })
  await step('a picture is copied, and a figure with every digit or as it is shown', async () => {
    const { driver } = journey
    await driver.setPermission('clipboard-read', 'granted')
    await driver.setPermission('clipboard-write', 'granted')
    await press(driver, 'Copy the finding')
    expect(plain(await driver.executeScript<string>('return navigator.clipboard.readText()'))).toContain(
      'The mean net mass is estimated 0.071 kg below the claimed value; 95 % interval 0.026 kg to 0.116 kg below. (n = 24, mean 14.929 kg, 95 % interval 14.884 to 14.974; t test, t = −3.245, 23 degrees of freedom, p = 0.0018.)',
    )
    const mean = await driver.findElement(By.css('[aria-label^="Mean: "]'))
    await driver.executeScript('arguments[0].focus()', mean)
    await mean.sendKeys(Key.chord(Key.SHIFT, Key.ENTER))
    await driver.wait(async () => (await mean.getAttribute('data-full')) === 'Copied', WAIT_MS)
    expect(plain(await driver.executeScript<string>('return navigator.clipboard.readText()'))).toBe(
      '14.929 kg',
    )
    const copy = await driver.findElement(By.css('[aria-label="Copy the sampling distribution"]'))
    await driver.executeScript('arguments[0].click()', copy)
    await driver.wait(
      async () =>
        (await driver.executeScript<string>(
          'return navigator.clipboard.read().then((items) => items[0].types.join())',
        )) === 'image/png',
      WAIT_MS,
    )
  })
})

test('a picture out of sight is drawn anew once it is seen, printed or taken out', async () => {
  const { driver } = journey
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-pictures-'))
  await driver.sendDevToolsCommand('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: folder })
  const scrollTo = (selector: string) =>
    driver.executeScript('document.querySelector(arguments[0]).scrollIntoView({ block: "center" })', selector)
  const drawn = async () =>
    createHash('sha256')
      .update(await driver.executeScript<string>('return document.querySelector("#test canvas").toDataURL()'))
      .digest('hex')
  const typeAtEnd = async (key: string, t: string) => {
    await (await control(driver, 'Readings')).sendKeys(Key.chord(Key.CONTROL, Key.END), key)
    await see(driver, `t ${t}`, '[aria-label="Three ways to decide"]')
    await untilSaved(driver)
  }
  await driver.wait(located.elementLocated(By.css('#test canvas')), WAIT_MS)
  await see(driver, 'Stands in 5 of 5.', 'aside')
  await scrollTo('[aria-label=Readings]')
  const before = await drawn()
  await typeAtEnd('9', '−3.243')
  expect(await drawn()).toBe(before)
  await driver.executeScript('dispatchEvent(new Event("beforeprint"))')
  const printed = await drawn()
  expect(printed).not.toBe(before)
  await driver.executeScript('dispatchEvent(new Event("afterprint"))')
  await typeAtEnd(Key.BACK_SPACE, '−3.245')
  expect(await drawn()).toBe(printed)
  await driver.executeScript(
    'document.querySelector("[aria-label=\\"Save the sampling distribution as SVG\\"]").click()',
  )
  const saved = path.join(folder, 'sampling-distribution.svg')
  await until(() => existsSync(saved) && readFileSync(saved, 'utf8').includes('</svg>'), WAIT_MS)
  expect(plain(readFileSync(saved, 'utf8'))).toContain('t = −3.245')
  const taken = await drawn()
  expect(taken).not.toBe(printed)
  await typeAtEnd('9', '−3.243')
  expect(await drawn()).toBe(taken)
  await scrollTo('#test canvas')
  await driver.wait(async () => (await drawn()) !== taken, WAIT_MS)
})
