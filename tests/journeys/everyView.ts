import { Key } from 'selenium-webdriver'
import { follow, openBrowser, paste, press, see, type, untilSaved, violations, violationsAt } from './browser'
import { startJourney } from './journey'

/**
 * A journey past every view, which everyone can use: what axe finds in these colours. The claim's page, which changes most, is
 * looked at in every width.
 */
export function pastEveryView(colours: 'light' | 'dark', widths: readonly number[]): void {
  const journey = startJourney(['--demo'], { arrive: ({ driver }) => see(driver, 'Docket', 'main h1') })
  test(`axe finds nothing on any view, in ${colours} colours`, async () => {
    const other = await openBrowser(colours)
    try {
      await other.get(journey.server.address)
      await see(other, 'Docket', 'main h1')
      expect(await violationsAt(other, widths)).toEqual([])
      await follow(other, 'Brackwater pellet sacks')
      await see(other, 'Claims made by')
      expect(await violationsAt(other, widths)).toEqual([])
      await follow(other, 'Mean net mass')
      await see(other, 'says the', 'main h1')
      await paste(other, 'Readings', '12.1\n13.9\nhalf a reading\n14.0')
      await type(other, 'Claimed value', colours === 'light' ? '12.5' : '12.6')
      await see(other, '1 entry is not read: “half a reading” in row 3', 'aside')
      expect(await violations(other)).toEqual([])
      await type(other, 'Why the entries are set aside', 'the scale was switched off')
      await type(other, 'Your name', 'A. Inspector')
      await press(other, 'Set this entry aside')
      await see(other, 'Not contradicted', 'aside')
      await press(other, 'Show the working')
      await see(other, 'Standard error', '[aria-label=Working]')
      await see(other, /Stands in \d+ of \d+\./, '#cross-examination')
      expect(await violationsAt(other, [1280, 1024, 400])).toEqual([])
      await other.executeScript('document.activeElement.blur()')
      await other.actions().sendKeys('?').perform()
      await see(other, 'Keyboard', 'dialog[open]')
      expect(await violations(other)).toEqual([])
      await other.actions().sendKeys(Key.ESCAPE).perform()
      await untilSaved(other)
      await press(other, 'Sign the finding')
      await follow(other, 'Signed finding')
      await see(other, 'every figure is the same', 'main')
      expect(await violationsAt(other, widths)).toEqual([])
      for (const view of ['Report', 'Trail']) {
        await other.get(journey.server.address)
        await follow(other, 'Brackwater pellet sacks')
        await follow(other, view)
        await see(other, 'Brackwater', 'main')
        expect(await violationsAt(other, widths)).toEqual([])
      }
      await other.get(journey.server.address)
      await follow(other, 'Brackwater pellet sacks')
      await follow(other, 'Ratio of variances')
      await see(other, /Stands in \d+ of \d+\./, '#cross-examination')
      expect(await violationsAt(other, widths)).toEqual([])
    } finally {
      await other.quit()
    }
  })
}
