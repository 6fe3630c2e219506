import { shareRoom, wideAmong } from '../document/columnWidths'
import { RULE } from '../drawing/drawing'
import type { Line, Look } from './lines'
import { CONTENT_WIDTH, type Page } from './page'

export type TableCell = Readonly<{
  text: string
  look: Look
  toTheRight?: boolean
  type: 'TH' | 'TD'
  /** How many of its first letters are struck through. */
  struck?: number
}>

const GAP = 10
const PADDING = 3
/** A row that takes more of a page than this is begun where it stands. */
const TALL = 300
const LONGEST_FIGURE = 110

/** A table whose columns are as wide as what they hold needs; its head comes again on every page. */
export function writeTable(
  page: Page,
  label: string,
  head: readonly TableCell[] | undefined,
  rows: readonly (readonly TableCell[])[],
): void {
  const all = head ? [head, ...rows] : rows
  const widths = columnWidths(page, all)
  const table = page.element('Table', undefined, { title: label })
  const place = (row: readonly TableCell[]) =>
    row.map(({ text, look }, at) => page.lines(text, look, widths[at]!))
  const headLines = head && place(head)
  const headHeight = head && headLines ? heightOf(head, headLines) : 0
  const drawHead = () => {
    if (!head || !headLines) return
    page.asArtifact(() => drawCells(page, head, headLines, widths))
    page.y += headHeight
  }
  for (const [at, row] of all.entries()) {
    const element = page.element('TR', table)
    const cells = row.map(({ type }, column) =>
      page.element(
        type,
        element,
        type === 'TH' ? { scope: column === 0 && row !== head ? 'Row' : 'Column' } : {},
      ),
    )
    let lines = place(row)
    const height = heightOf(row, lines)
    // The head never stands alone, and a row stays whole where it can.
    const wanted = at === 0 && head && all[1] ? height + heightOf(all[1], place(all[1])) : height
    if (wanted > page.room && !page.isFresh && wanted < TALL) {
      page.nextPage()
      if (at > 0) drawHead()
    }
    if (at > 0) rule(page)
    for (;;) {
      const fits = row.map(({ look }) => Math.max(1, Math.floor((page.room - 2 * PADDING) / look.lineHeight)))
      const here = lines.map((list, column) => list.slice(0, fits[column]))
      const { y } = page
      for (const [column, cell] of cells.entries())
        cell.add(() =>
          drawCell(page, row[column]!, here[column]!, {
            x: offset(widths, column),
            y,
            width: widths[column]!,
          }),
        )
      page.y += heightOf(row, here)
      lines = lines.map((list, column) => list.slice(fits[column]))
      if (lines.every((list) => list.length === 0)) break
      page.nextPage()
      drawHead()
    }
    for (const cell of cells) cell.end()
    element.end()
  }
  table.end()
}

const offset = (widths: readonly number[], column: number) =>
  widths.slice(0, column).reduce((sum, width) => sum + width + GAP, 0)

function heightOf(row: readonly TableCell[], lines: readonly (readonly Line[])[]): number {
  return (
    row.reduce((max, { look }, at) => Math.max(max, lines[at]!.length * look.lineHeight), 0) + 2 * PADDING
  )
}

function drawCells(
  page: Page,
  row: readonly TableCell[],
  lines: readonly (readonly Line[])[],
  widths: readonly number[],
): void {
  for (const [column, cell] of row.entries())
    drawCell(page, cell, lines[column]!, { x: offset(widths, column), y: page.y, width: widths[column]! })
}

function drawCell(
  page: Page,
  { text, look, toTheRight, struck = 0 }: TableCell,
  lines: readonly Line[],
  { x, y, width }: Readonly<{ x: number; y: number; width: number }>,
): void {
  page.draw(lines, look, { x: page.left + x, y: y + PADDING, ...(toTheRight ? { width } : {}) })
  const [first] = lines
  if (struck === 0 || !first) return
  const begin = page.left + x + (toTheRight ? width - first.width : 0)
  const [, length] = page.widths(text.slice(0, struck), look)
  page.strike({ from: begin, to: begin + length, y: y + PADDING }, look)
}

function rule(page: Page): void {
  page.asArtifact(() => {
    page.document.lineWidth(0.5).strokeColor(RULE).undash()
    page.document
      .moveTo(page.left, page.y)
      .lineTo(page.left + CONTENT_WIDTH, page.y)
      .stroke()
  })
}

function columnWidths(page: Page, rows: readonly (readonly TableCell[])[]): readonly number[] {
  const columns = rows[0]!.map((_, at) => rows.map((row) => row[at]!))
  const room = CONTENT_WIDTH - GAP * (columns.length - 1)
  const wishes = columns.map((cells) => {
    const wish = { min: 0, max: 0 }
    for (const { text, look, toTheRight } of cells) {
      const [word, whole] = page.widths(text, look)
      // A figure is not torn from its sign or its unit.
      const unbroken = toTheRight && whole < LONGEST_FIGURE ? whole : word
      wish.min = Math.max(wish.min, Math.min(unbroken, room / 2))
      wish.max = Math.max(wish.max, whole)
    }
    return wish
  })
  const isFigure = rows[0]!.map(({ toTheRight }) => toTheRight === true)
  return shareRoom(wishes, room, wideAmong(isFigure))
}
