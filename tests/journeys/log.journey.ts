import { choose, press, see, seeFigure, textOf, type, untilSaved } from './browser'
import { atClaim, startJourney } from './journey'

// A claim held against a log of 200,000 rows.

const journey = startJourney(['--demo'], {
  arrive: atClaim('Deliveries of the winter', 'Mean delivery time'),
})

const STOPPED = /Stopped, (\d+) of (\d+) answered/

test('a share is counted from the rows of a log, and the rows without an entry are told of', async () => {
  const { driver } = journey
  await see(driver, 'of 200,000 rows', '#evidence')
  await choose(driver, 'Parameter', 'share')
  await see(driver, 'Say which of the rows count', 'aside')
  await type(driver, 'Claimed value', '95 %')
  await choose(driver, 'Relation', 'at least')
  await press(driver, 'say which rows')
  await choose(driver, 'Column of counted condition 1', 'hours')
  await type(driver, 'Value of counted condition 1', '48')
  await see(
    driver,
    /of 200,000 rows(, [\d,]+ of them without an entry to tell by)?; [\d,]+ of [\d,]+ count\./,
    '#evidence',
  )
  await see(driver, 'Contradicted', 'aside')
  await seeFigure(driver, 'Key figures', 'Sample share', /^\d\d\.\d+ %$/)
})

test('figures of many readings stay, marked as old, while the new ones are computed', async () => {
  const { driver } = journey
  await choose(driver, 'Relation', 'at least')
  await type(driver, 'Claimed value', '2')
  await press(driver, '×')
  await see(driver, '200,000 of 200,000 rows', '#evidence')
  await see(driver, 'Contradicted', 'aside')
  await driver.executeScript(`
    window.seen = new Set()
    new MutationObserver(() => {
      if (document.querySelector('aside').innerText.includes('Old figures')) window.seen.add('old figures')
      if (document.querySelector('aside').innerText.includes('Nothing is computed')) window.seen.add('nothing')
    }).observe(document.querySelector('aside'), { subtree: true, childList: true, characterData: true })`)
  await type(driver, 'Significance level', '0.04')
  await see(driver, '96 % interval', '#test')
  expect(await driver.executeScript('return [...window.seen]')).toContain('old figures')
})

test('a finding on many readings is signed as it stands', async () => {
  const { driver } = journey
  await press(driver, '×')
  await see(driver, '200,000 of 200,000 rows', '#evidence')
  await untilSaved(driver)
  await type(driver, 'Signed by', 'A. Inspector')
  await press(driver, 'Sign the finding')
  await see(driver, 'This finding is signed as it stands.', '#finding')
})

test('a long cross-examination is stopped, and asked anew', async () => {
  const { driver } = journey
  await press(driver, '×')
  await see(driver, '200,000 of 200,000 rows', '#evidence')
  await choose(driver, 'Parameter', 'median')
  await see(driver, 'The median delivery time', 'aside')
  await press(driver, 'Stop asking')
  await see(driver, STOPPED, '#cross-examination')
  const [, answered, all] = STOPPED.exec(await textOf(driver, '#cross-examination'))!
  await see(driver, 'Its cross-examination was stopped.', 'aside')
  await press(driver, 'Ask all of them')
  // All of them take minutes on a slow machine; that those before are answered once more is enough.
  const asMany = Array.from({ length: Number(all) }, (_, more) => Number(answered) + more).join('|')
  await see(driver, new RegExp(`Asking, (${asMany}) of|it turns at`), '#cross-examination')
  // Each question once, though some were answered before.
  const keys = await driver.executeScript<readonly string[]>(
    'return [...document.querySelectorAll("[data-question]")].map((row) => row.dataset.question)',
  )
  expect(new Set(keys).size).toBe(keys.length)
})
