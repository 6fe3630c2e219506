// A file of 1,000,000 rows by 8 columns handed to the browser: until it is stored and shown, its finding and its
// cross-examination included, and the longest time in which the page could not answer a key.
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { By, until } from 'selenium-webdriver'
import { LOG_ROWS, LOG_ROWS_WRITTEN, writeLog } from './log.mjs'
import { withWorkbench } from './workbench.mjs'

const GOAL_MS = 6000
const PATIENCE_MS = 600_000

export async function measureDrop() {
  const { shown, found, examined, longest } = await timesOfDrop(LOG_ROWS)
  console.log(
    `${LOG_ROWS_WRITTEN} rows by 8 columns in the browser: stored and shown after ${shown.toFixed(0)} ms (goal ${GOAL_MS}), from the column's choice its finding after ${found.toFixed(0)} ms (goal 1500 for 600,000), cross-examined after ${examined.toFixed(0)} ms (goal 5000); the page stood still for ${longest.toFixed(0)} ms at most`,
  )
}

/** A file of so many rows handed to the browser: how long each step takes, in milliseconds. */
export async function timesOfDrop(rows) {
  const written = rows.toLocaleString('en')
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-bench-'))
  try {
    const file = await writeLog(path.join(folder, 'log.csv'), rows)
    return await withWorkbench(async (driver) => {
      const there = (xpath) => driver.wait(until.elementLocated(By.xpath(xpath)), PATIENCE_MS)
      await driver.executeScript(`
        let last = performance.now()
        window.longest = 0
        setInterval(() => {
          const now = performance.now()
          window.longest = Math.max(window.longest, now - last)
          last = now
        }, 5)`)
      await driver.findElement(By.css('input[type=file]')).sendKeys(file)
      const take = await there('//button[contains(., "Take it in")]')
      const start = performance.now()
      await driver.executeScript('arguments[0].click()', take)
      const column = await there('//select[@aria-label="Column of the readings"]/option[.="mass"]')
      const chosen = performance.now()
      await column.click()
      await there(`//*[contains(., "${written} of ${written} rows")]`)
      const shown = performance.now() - start
      await there(`//table[@aria-label="Key figures"]//td[contains(., "${written}")]`)
      const found = performance.now()
      // The last words, whatever they are: what they say depends on the finding.
      await there(
        '//*[@id="cross-examination"][not(.//progress)]//*[@role="status" and not(starts-with(normalize-space(), "Asking"))]',
      )
      const examined = performance.now()
      const longest = await driver.executeScript('return window.longest')
      return { shown, found: found - chosen, examined: examined - chosen, longest }
    })
  } finally {
    rmSync(folder, { recursive: true })
  }
}
