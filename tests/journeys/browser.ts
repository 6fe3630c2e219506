import chromium from '../../scripts/chromium.json'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { Builder, By, error, Key, logging, type WebDriver, type WebElement } from 'selenium-webdriver'
import { type Driver, Options, ServiceBuilder } from 'selenium-webdriver/chrome'

/** Far longer than anything takes, on a machine that is busy with something else too. */
export const PATIENCE_MS = 40_000
/** How long after a look it is looked again. */
const PAUSE_MS = 100

/** Waits until something is so, looking often. */
const waitFor = (driver: WebDriver, isSo: () => Promise<boolean>, problem?: string): Promise<boolean> =>
  driver.wait(isSo, PATIENCE_MS, problem, PAUSE_MS) as Promise<boolean>

/** A headless Chromium with a profile of its own, that may reach nothing but this machine. */
export async function openBrowser(): Promise<Driver> {
  const options = new Options()
  options.setChromeBinaryPath(chromium.binary)
  const profile = mkdtempSync(path.join(tmpdir(), 'true-weight-profile-'))
  options.addArguments(...chromium.arguments, `--user-data-dir=${profile}`)
  const logs = new logging.Preferences()
  logs.setLevel(logging.Type.BROWSER, logging.Level.ALL)
  options.setLoggingPrefs(logs)
  const driver = (await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new ServiceBuilder(chromium.driver))
    .build()) as Driver
  await prefer(driver, 'light')
  return driver
}

/** Does something with an element once it is there, and with the one in its place where it was drawn anew. */
async function using<Found>(
  driver: WebDriver,
  where: By,
  act: (element: WebElement) => Promise<Found>,
): Promise<Found> {
  let outcome: { readonly found: Found } | undefined
  const attempt = async () => {
    const [element] = await driver.findElements(where)
    if (!element) return false
    outcome = await act(element).then(
      (found) => ({ found }),
      (problem: unknown) => {
        if (problem instanceof error.StaleElementReferenceError) return undefined
        throw problem
      },
    )
    return outcome !== undefined
  }
  await waitFor(driver, attempt, `There is no ${where.toString()}`)
  return outcome!.found
}

const named = (name: string) => By.css(`main [aria-label="${name}"]`)

/** The one visible control with this name. */
export function control(driver: WebDriver, name: string): Promise<WebElement> {
  return using(driver, named(name), async (element) => element)
}

/** What an attribute of a control holds; of a field, unless another is asked for, what is typed in it. */
export function attribute(driver: WebDriver, name: string, wanted = 'value'): Promise<string> {
  return using(driver, named(name), async (element) => (await element.getAttribute(wanted)) ?? '')
}

/** Clicks what is found so, once it is there, where nothing that stays in view lies over it. */
export function click(driver: WebDriver, where: By): Promise<void> {
  return using(driver, where, async (element) => {
    await driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', element)
    await element.click()
  })
}

/** Clicks the link whose words begin so. */
export function follow(driver: WebDriver, words: string): Promise<void> {
  return click(driver, By.partialLinkText(words))
}

/** Clicks the button whose words hold these. */
export function press(driver: WebDriver, words: string): Promise<void> {
  return click(driver, By.xpath(`//main//button[contains(., "${words}")]`))
}

/** The word that is chosen in a list. */
export function chosen(driver: WebDriver, name: string): Promise<string> {
  return using(driver, named(name), (list) =>
    driver.executeScript<string>('return arguments[0].selectedOptions[0].textContent', list),
  )
}

/** Types a text in place of the one that a control holds. */
export function type(driver: WebDriver, name: string, text: string): Promise<void> {
  return using(driver, named(name), (field) =>
    field.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.BACK_SPACE, text),
  )
}

export function choose(driver: WebDriver, name: string, words: string): Promise<void> {
  return using(driver, named(name), (list) =>
    list.findElement(By.xpath(`./option[normalize-space()="${words}"]`)).click(),
  )
}

/** Puts a text into a control at once, as pasting does. */
export async function paste(driver: WebDriver, name: string, text: string): Promise<void> {
  const field = await control(driver, name)
  await driver.executeScript('arguments[0].focus(); arguments[0].select()', field)
  await driver.executeScript('document.execCommand("insertText", false, arguments[0])', text)
}

/** Waits until a text stands on the page, and fails with what stood there instead. */
export function see(driver: WebDriver, text: string | RegExp, within = 'body'): Promise<void> {
  const isRight = (shown: string) => (typeof text === 'string' ? shown.includes(text) : text.test(shown))
  return until(driver, () => textOf(driver, within), isRight, `“${text}” did not appear within ${within}`)
}

/** Waits until a figure of a table, by its name, is what it should be, and fails with what it was instead. */
export function seeFigure(
  driver: WebDriver,
  table: string,
  name: string,
  value: string | RegExp,
): Promise<void> {
  const cell = By.xpath(`${rowOf(table, name)}/td`)
  const isRight = (shown: string) => (typeof value === 'string' ? shown === value : value.test(shown))
  return until(
    driver,
    () => using(driver, cell, (found) => found.getText()),
    isRight,
    `${name} is not ${value}`,
  )
}

async function until(
  driver: WebDriver,
  read: () => Promise<string>,
  isRight: (shown: string) => boolean,
  problem: string,
): Promise<void> {
  let shown = ''
  const isShown = async () => {
    shown = plain(await read())
    return isRight(shown)
  }
  await waitFor(driver, isShown).catch(() => {
    throw new Error(`${problem}. What stood there:\n${shown}`)
  })
}

const rowOf = (table: string, name: string) =>
  `//table[@aria-label="${table}"]//tr[normalize-space(translate(th, "\u202f", " "))="${name}"]`

/** What is to be read within a part of the page, which the browser tells far sooner than its driver. */
export async function textOf(driver: WebDriver, selector: string): Promise<string> {
  const read = 'return document.querySelector(arguments[0])?.innerText ?? ""'
  const text = await driver.executeScript<string>(read, selector)
  return text
    .replace(/\t/g, ' ')
    .replace(/\s*\n\s*/g, '\n')
    .trim()
}

/** Thin and unbreakable spaces as plain ones. */
export function plain(text: string): string {
  return text.replace(/[\u00a0\u2002\u2009\u202f]/g, ' ')
}

/** The formulas within a part of the page, in plain text. */
export async function formulas(driver: WebDriver, within: string): Promise<readonly string[]> {
  const found = await driver.findElements(By.css(`${within} [role=math]`))
  return Promise.all(found.map(async (one) => plain((await one.getAttribute('aria-label')) ?? '')))
}

/** Every digit of a figure of a table, by its name, once it is what it should be. */
export async function fullFigure(
  driver: WebDriver,
  table: string,
  name: string,
  isRight: (value: number) => boolean,
): Promise<number> {
  let seen = Number.NaN
  const read = async () => {
    const [button] = await driver.findElements(By.xpath(`${rowOf(table, name)}//button`))
    const full = await button?.getAttribute('data-full').catch(() => null)
    seen = Number((full ?? 'NaN').replace('\u2212', '-'))
    return isRight(seen)
  }
  await waitFor(driver, read).catch(() => undefined)
  return seen
}

export async function untilSaved(driver: WebDriver): Promise<void> {
  await waitFor(
    driver,
    async () => (await driver.findElements(By.css('[data-saving=saved]'))).length === 1,
    'The page never said that it is saved',
  )
}

/** How a page is looked at: the colours that its reader prefers, and how wide it is. */
export type Look = Readonly<{ colours: 'light' | 'dark'; width: number }>

export function prefer(driver: Driver, value: Look['colours']): Promise<void> {
  const features = [{ name: 'prefers-color-scheme', value }]
  return driver.sendDevToolsCommand('Emulation.setEmulatedMedia', { features })
}

const PRELOADED = 'was preloaded using link preload but not used'

/** What the browser complained of since it was last asked: errors, and breaches of the content policy. */
export async function complaints(driver: WebDriver): Promise<readonly string[]> {
  const entries = await driver.manage().logs().get(logging.Type.BROWSER)
  const said = entries.filter(({ level }) => level.value >= logging.Level.WARNING.value)
  // On a machine that is busy, what is asked for early is there before it is used.
  return said.map(({ message }) => message).filter((message) => !message.includes(PRELOADED))
}

/** Leaves the page, and has nothing left that the browser kept for the pages of an address. */
export async function forget(driver: Driver, address: string): Promise<void> {
  await driver.get('about:blank')
  await driver.sendDevToolsCommand('Storage.clearDataForOrigin', { origin: address, storageTypes: 'all' })
}
