// From a keystroke in the readings to the new finding on the page: the script time that it takes.
import { By, Key } from 'selenium-webdriver'
import { median } from './log.mjs'
import { sized } from './sizes.mjs'
import { withWorkbench } from './workbench.mjs'

const GOALS = [
  [24, 16],
  [10_000, 50],
]
const KEYSTROKES = sized(30, 2)

export async function measureKeystroke() {
  await keystrokesAmong(
    GOALS.map(([count]) => count),
    (count, times) => {
      const goal = GOALS.find(([one]) => one === count)[1]
      console.log(
        `keystroke to finding, ${count} readings: median ${median(times).toFixed(1)} ms, worst ${Math.max(...times).toFixed(1)} ms ` +
          `of ${times.length} (goal: under ${goal} ms)`,
      )
    },
  )
}

/** Has `report` told how long keystrokes took among so many readings, for each of some counts. */
export async function keystrokesAmong(counts, report) {
  await withWorkbench(async (driver) => {
    await driver.setPermission('clipboard-read', 'granted')
    await driver.setPermission('clipboard-write', 'granted')
    // The demo's lot is smaller than the larger of the samples.
    const lot = await driver.findElement(By.css('[aria-label="Size of the lot"]'))
    await driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', lot)
    await lot.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.BACK_SPACE)
    const field = await driver.findElement(By.css('[aria-label=Readings]'))
    for (const count of counts) {
      const readings = Array.from({ length: count }, (_, i) =>
        (14.9 + Math.sin(i * 12.9898) * 0.1).toFixed(3),
      )
      await driver.executeScript('return navigator.clipboard.writeText(arguments[0])', readings.join('\n'))
      await field.sendKeys(Key.chord(Key.CONTROL, 'a'), Key.chord(Key.CONTROL, 'v'))
      await driver.executeScript(OBSERVE)
      // A digit comes and goes behind the last reading, so that every keystroke changes the figures.
      for (let i = 0; i < KEYSTROKES; i += 1) {
        await field.sendKeys(i % 2 === 0 ? '9' : Key.BACK_SPACE)
        await driver.sleep(500)
      }
      report(count, await driver.executeScript('return window.keystrokes'))
    }
  })
}

/** The page changes within the task of the input event, so from its start to the change is script time. */
const OBSERVE = `
  window.keystrokes = []
  window.observer?.disconnect()
  window.observing ??= addEventListener('input', () => { window.began = performance.now() }, { capture: true }) ?? true
  window.observer = new MutationObserver(() => {
    if (window.began === undefined) return
    window.keystrokes.push(performance.now() - window.began)
    window.began = undefined
  })
  window.observer.observe(document.querySelector('table[aria-label="Key figures"]'), { subtree: true, characterData: true, childList: true, attributes: true })`
