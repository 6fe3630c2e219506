import { type Block, captionOf, type Part, type Report, struckIn } from '../document/document'
import { balance, colourOf } from '../drawing/balance'
import { type Drawing, INK, QUIET } from '../drawing/drawing'
import type { Face, FontFile } from '../document/fonts'
import { writeContents } from './contents'
import { drawPicture } from './drawings'
import { FontBook } from './fontBook'
import type { Look } from './lines'
import { CONTENT_WIDTH, Page } from './page'
import { type TableCell, writeTable } from './table'

const look = (face: Face, size: number, colour: string = INK): Look => ({
  face,
  size,
  colour,
  lineHeight: size * 1.4,
})
const TEXT = look('sans', 9.5)
const QUIET_TEXT = look('sans', 9.5, QUIET)
const FIGURE = look('mono', 8.5)
const FOOT = look('sans', 8, QUIET)
const LOOKS = { finding: look('serif', 12), quiet: QUIET_TEXT, quote: look('serif', 10.5) } as const
const TITLES = { 1: look('title', 22), 2: look('title', 15), 3: look('title', 11.5) } as const
/** A report of more pages than these has contents, and one of more parts; one of few has none. */
const LONG = 10
const [FEW, MANY] = [4, 60]
/** Below a title, and above it, so that it belongs to what follows; and how much has to follow it on its page. */
const BELOW = 4
const ABOVE = { 1: 0, 2: 22, 3: 12 } as const
const FOLLOWING = { 1: 90, 2: 170, 3: 90 } as const

/**
 * A report as a PDF: tagged, its fonts embedded, its pictures drawn as vectors. The same report gives the same bytes.
 *
 * @param files - from `printFonts`
 */
export async function pdfOf(report: Report, files: Files): Promise<Uint8Array> {
  const fonts = openFonts(files)
  const { length } = report.parts
  // To set one out a second time costs as much again: where it has many parts that is not waited for.
  const first = setOut(report, fonts, length > MANY)
  const isLong = length > FEW && length <= MANY && first.number > LONG
  const page = isLong ? setOut(report, fonts, true) : first
  const head = report.number ? `Report ${report.number}` : ''
  return page.finish({ head, foot: `${report.title}, ${report.asOf}` }, FOOT)
}

/** Every part down the pages; with contents, what begins on which page stands behind the first one. */
function setOut({ title, madeAt, parts, mark }: Report, fonts: FontBook, hasContents: boolean): Page {
  const page = new Page(fonts, { title, madeAt })
  if (mark) page.mark(mark)
  const [cover, ...others] = parts
  if (cover) writePart(page, fonts, cover)
  const isListed = ({ level }: Part) => level < 3
  if (hasContents) writeTitle(page, { title: 'Contents', level: 2 }, FOLLOWING[2])
  const titles = others.filter(isListed).map((part) => part.title)
  const numberContents = hasContents ? writeContents(page, titles, TEXT) : undefined
  const numbers = others.map((part) => ({ part, number: writePart(page, fonts, part) }))
  numberContents?.(numbers.filter(({ part }) => isListed(part)).map(({ number }) => number))
  return page
}

type Files = Readonly<Record<Face, readonly FontFile[]>>

let known: Readonly<{ files: Files; book: FontBook }> | undefined

/** Fonts take longer to open than a page to set: those of the last report are kept open. */
export function openFonts(files: Files): FontBook {
  if (known?.files !== files) known = { files, book: new FontBook(files) }
  return known.book
}

/** @returns the number of the page that it begins on */
function writePart(page: Page, fonts: FontBook, { title, level, blocks }: Part): number {
  const [first] = blocks
  const following =
    first?.is === 'picture' ? TITLES[level].lineHeight + BELOW + pictureHeight(first) : FOLLOWING[level]
  const number = writeTitle(page, { title, level }, following)
  for (const block of blocks) {
    writeBlock(page, fonts, block)
    page.space(6)
  }
  return number
}

/** @param following - how much has to follow it on its page */
function writeTitle(page: Page, { title, level }: Pick<Part, 'title' | 'level'>, following: number): number {
  page.need(ABOVE[level] + following)
  page.space(ABOVE[level])
  const { number } = page
  page.bookmark(title, level)
  page.write(`H${level}`, title, TITLES[level])
  page.space(BELOW)
  return number
}

function writeBlock(page: Page, fonts: FontBook, block: Block): void {
  switch (block.is) {
    case 'paragraph':
      return page.write('P', block.text, block.look ? LOOKS[block.look] : TEXT)
    case 'list':
      return writeList(page, block.items)
    case 'facts': {
      const rows = block.rows.map(([name, value]): readonly TableCell[] => [
        { text: name, look: QUIET_TEXT, type: 'TH' },
        { text: value, look: TEXT, type: 'TD' },
      ])
      return rows.length > 0 ? writeTable(page, block.label, undefined, rows) : undefined
    }
    case 'table':
      return writeFigures(page, block)
    case 'outcome':
      return writeOutcome(page, fonts, block)
    case 'picture':
      return writePicture(page, fonts, block)
    case 'formula':
      page.need(3 * TEXT.lineHeight)
      page.write('P', block.name, QUIET_TEXT)
      return page.write('P', block.text, FIGURE, { indent: 12 })
    default:
      return block satisfies never
  }
}

function writeList(page: Page, items: readonly string[]): void {
  const list = page.element('L')
  for (const item of items) {
    const entry = page.element('LI', list)
    page.write('LBody', `• ${item}`, TEXT, { within: entry, indent: 8 })
    entry.end()
  }
  list.end()
}

function writeFigures(
  page: Page,
  { label, heads, rows, numbers, struck }: Extract<Block, { is: 'table' }>,
): void {
  const struckOf = struckIn(struck)
  const side = (at: number) => (numbers[at] ? { toTheRight: true } : {})
  const head = heads.map((text, at): TableCell => ({ text, look: QUIET_TEXT, type: 'TH', ...side(at) }))
  const body = rows.map((row, place) => {
    const lengths = struckOf(place)
    return row.map((text, at): TableCell => {
      const cell = numbers[at] ? FIGURE : TEXT
      return { text, look: cell, type: at === 0 ? 'TH' : 'TD', ...side(at), struck: lengths[at] ?? 0 }
    })
  })
  writeTable(page, label, head, body)
}

const MARK_SCALE = 0.6

function writeOutcome(page: Page, fonts: FontBook, block: Extract<Block, { is: 'outcome' }>): void {
  const mark = balance(block.outcome)
  const height = mark.height * MARK_SCALE
  page.need(height)
  const { y } = page
  const words = look('title', 14, colourOf(block.outcome))
  page.asArtifact(() => drawPicture(page.document, fonts, mark, { x: page.left, y, scale: MARK_SCALE }))
  page.y = y + (height - words.lineHeight) / 2
  page.write('P', block.words, words, { indent: mark.width * MARK_SCALE + 12 })
  page.y = y + height + 2
}

const scaleOf = ({ width }: Drawing) => Math.min(1, CONTENT_WIDTH / width)

/** With the lines of its caption. */
function pictureHeight({ drawing }: Extract<Block, { is: 'picture' }>): number {
  return drawing.height * scaleOf(drawing) + 3 * FOOT.lineHeight
}

function writePicture(page: Page, fonts: FontBook, block: Extract<Block, { is: 'picture' }>): void {
  const { drawing, description } = block
  const scale = scaleOf(drawing)
  const height = drawing.height * scale
  page.need(pictureHeight(block))
  const { y } = page
  const bbox = [page.left, y, page.left + drawing.width * scale, y + height] as const
  const figure = page.element('Figure', undefined, { alt: description, bbox, placement: 'Block' })
  figure.add(() => drawPicture(page.document, fonts, drawing, { x: page.left, y, scale }))
  figure.end()
  page.y += height + 4
  page.write('Caption', captionOf(block), FOOT)
}
