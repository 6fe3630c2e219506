import type { Look } from './lines'
import { CONTENT_WIDTH, type Page } from './page'

/** Where the number of a page stands behind a title. */
const NUMBER_WIDTH = 40

/**
 * Writes what is to follow, a line a title, before it is known on which page each begins.
 *
 * @returns puts the numbers of the pages behind the titles
 */
export function writeContents(
  page: Page,
  titles: readonly string[],
  look: Look,
): (numbers: readonly number[]) => void {
  const list = page.element('TOC')
  const entries = titles.map((title) => {
    const entry = page.element('TOCI', list)
    const lines = page.lines(title, look, CONTENT_WIDTH - NUMBER_WIDTH)
    page.need(lines.length * look.lineHeight)
    const { number, y } = page
    entry.add(() => page.draw(lines, look, { x: page.left, y }))
    page.y += lines.length * look.lineHeight
    return { entry, number, y: page.y - look.lineHeight }
  })
  return (numbers) => {
    for (const [at, { entry, number, y }] of entries.entries()) {
      page.document.switchToPage(number - 1)
      const lines = page.lines(String(numbers[at]), look, NUMBER_WIDTH)
      entry.add(() => page.draw(lines, look, { x: page.left, y, width: CONTENT_WIDTH }))
      entry.end()
    }
    list.end()
  }
}
