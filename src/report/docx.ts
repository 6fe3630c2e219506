import {
  BookmarkEnd,
  BookmarkStart,
  Document,
  HeadingLevel,
  Packer,
  Paragraph,
  type ParagraphChild,
  Table,
  TableCell,
  type TableOfContents,
  TableRow,
  TextRun,
  WidthType,
} from 'docx'
import { unzipSync, zipSync, type Zippable } from 'fflate'
import type { DocxTemplate } from '@/desk/office'
import { anchorOf, contentsOf } from './docxContents'
import { shareRoom, wideAmong } from './document/columnWidths'
import { type Block, captionOf, type Part, type Report, type Struck, struckIn } from './document/document'
import { balance, colourOf } from './drawing/balance'
import {
  BULLETS,
  footerOf,
  headerOf,
  hex,
  NUMBERING,
  type StyleName,
  styleOf,
  STYLES,
  TEXT_WIDTH,
} from './docxStyles'
import { image, markOf } from './docxPictures'
import { withTemplate } from './docxTemplate'
import { RULE } from './drawing/drawing'
import { legible } from './drawing/escape'
import type { Rasterise } from './rasterise'

const LEVELS = {
  1: HeadingLevel.HEADING_1,
  2: HeadingLevel.HEADING_2,
  3: HeadingLevel.HEADING_3,
} as const
const FULL_WIDTH = { size: 100, type: WidthType.PERCENTAGE } as const
/** The room that a letter takes, in twentieths of a point, in whatever font stands in for ours where that is not at hand. */
const LETTER = 125
/** Behind the text of each cell. */
const CELL_GAP = 120
/** Letters of a word, and of a figure, that a column is made wide enough for. */
const [LONGEST_WORD, LONGEST_FIGURE] = [24, 20]

/**
 * A report as a DOCX file, with styles, real tables and lists, and pictures that are vectors where they can be shown. The same
 * report gives the same bytes.
 *
 * @param rasterise - makes the picture that stands in where vectors can't be shown
 * @param template - whose styles take the place of those of the same name
 */
export async function docxOf(
  report: Report,
  rasterise: Rasterise,
  template?: DocxTemplate,
): Promise<Uint8Array> {
  const children: (Paragraph | Table | TableOfContents)[] = report.mark ? [markOf(report.mark)] : []
  const contents = contentsOf(report.parts)
  for (const [at, part] of report.parts.entries()) {
    children.push(...(await partOf(part, at, rasterise)))
    if (at === 0) children.push(...contents)
  }
  children.push(paragraph(`Made with True Weight from the case ${report.asOf}.`, 'quiet'))
  const document = new Document({
    title: legible(report.title),
    creator: 'True Weight',
    styles: STYLES,
    numbering: NUMBERING,
    sections: [
      {
        ...(report.number ? { headers: { default: headerOf(report.number) } } : {}),
        footers: { default: footerOf(report) },
        children,
      },
    ],
  })
  const parts = unzipSync(await Packer.toBuffer(document))
  return withoutTimes(template ? withTemplate(parts, template) : parts, report.madeAt)
}

async function partOf(
  { title, level, blocks }: Part,
  at: number,
  rasterise: Rasterise,
): Promise<(Paragraph | Table)[]> {
  const children = [
    new BookmarkStart(anchorOf(at), at),
    new TextRun(legible(title)),
    new BookmarkEnd(at),
  ] as unknown as ParagraphChild[]
  const made: (Paragraph | Table)[] = [new Paragraph({ heading: LEVELS[level], children })]
  for (const block of blocks) made.push(...(await blockOf(block, rasterise)))
  return made
}

async function blockOf(block: Block, rasterise: Rasterise): Promise<readonly (Paragraph | Table)[]> {
  switch (block.is) {
    case 'paragraph':
      return [paragraph(block.text, block.look ?? 'plain')]
    case 'list':
      return block.items.map(
        (item) => new Paragraph({ numbering: { reference: BULLETS, level: 0 }, children: runs(item) }),
      )
    case 'facts':
      return block.rows.length === 0 ? [] : [tableOf(undefined, block.rows, []), spacer()]
    case 'table':
      return [tableOf(block.heads, block.rows, block.numbers, block.struck), spacer()]
    case 'outcome':
      return [
        new Paragraph({
          style: styleOf('outcome'),
          children: [
            await image(balance(block.outcome), { title: '', scale: 0.5 }, rasterise),
            new TextRun({ text: `  ${legible(block.words)}`, color: hex(colourOf(block.outcome)) }),
          ],
        }),
      ]
    case 'picture':
      return [
        new Paragraph({
          keepNext: true,
          children: [await image(block.drawing, { title: block.description, scale: 0.95 }, rasterise)],
        }),
        paragraph(captionOf(block), 'caption'),
      ]
    case 'formula':
      return [paragraph(block.name, 'quiet'), paragraph(block.text, 'formula')]
    default:
      return block satisfies never
  }
}

/** Lines that a person wrote stay lines. */
function runs(text: string): TextRun[] {
  return text
    .split(/\r\n|\r|\n/)
    .map((line, at) => new TextRun({ text: legible(line), ...(at > 0 ? { break: 1 } : {}) }))
}

/** @param struck - how many of its first letters are struck through */
function paragraph(text: string, style: StyleName, struck = 0): Paragraph {
  const cut = struck > 0 ? [new TextRun({ text: legible(text.slice(0, struck)), strike: true })] : []
  return new Paragraph({ style: styleOf(style), children: [...cut, ...runs(text.slice(struck))] })
}

/** Two tables with nothing between them would become one. */
const spacer = () => new Paragraph({ spacing: { after: 40 }, children: [] })

function tableOf(
  heads: readonly string[] | undefined,
  rows: readonly (readonly string[])[],
  numbers: readonly boolean[],
  struck?: readonly Struck[],
): Table {
  const widths = columnWidths(heads ? [heads, ...rows] : rows, numbers)
  const line = { style: 'single', size: 4, color: hex(RULE) } as const
  const none = { style: 'none', size: 0, color: 'auto' } as const
  const struckOf = struckIn(struck)
  const cell = (text: string, at: number, style: StyleName, length = 0) =>
    new TableCell({
      width: { size: widths[at]!, type: WidthType.DXA },
      margins: { top: 40, bottom: 40, left: 0, right: CELL_GAP },
      children: [paragraph(text, style, length)],
    })
  const headCells = heads?.map((text, at) => cell(text, at, numbers[at] ? 'figureHead' : 'head'))
  const headRow = headCells && new TableRow({ tableHeader: true, children: headCells })
  const body = rows.map((cells, row) => {
    const lengths = struckOf(row)
    const styleAt = (at: number) => (numbers[at] ? 'figure' : at === 0 && !heads ? 'head' : 'cell')
    const children = cells.map((text, at) => cell(text, at, styleAt(at), lengths[at]))
    return new TableRow({ cantSplit: true, children })
  })
  return new Table({
    width: FULL_WIDTH,
    columnWidths: widths,
    borders: {
      top: none,
      bottom: line,
      left: none,
      right: none,
      insideHorizontal: line,
      insideVertical: none,
    },
    rows: headRow ? [headRow, ...body] : body,
  })
}

/** In twentieths of a point; no word is torn, and no figure from its sign or its unit, if it can be helped. */
function columnWidths(rows: readonly (readonly string[])[], numbers: readonly boolean[]): number[] {
  const wishes = rows[0]!.map((_, at) => {
    const texts = rows.map((row) => row[at]!)
    const max = longest(texts)
    const word = longest(texts.flatMap((text) => text.split(' ')))
    const unbroken = numbers[at] && max <= LONGEST_FIGURE ? max : Math.min(word, LONGEST_WORD)
    return { min: unbroken * LETTER + CELL_GAP, max: max * LETTER + CELL_GAP }
  })
  return shareRoom(wishes, TEXT_WIDTH, wideAmong(numbers)).map(Math.floor)
}

const longest = (texts: readonly string[]) => texts.reduce((max, { length }) => Math.max(max, length), 0)

const NO_TIME = new Date(1980, 0, 1)

/** The file without the time of writing, which would make every one another one. */
function withoutTimes(entries: Readonly<Record<string, Uint8Array>>, madeAt: Date): Uint8Array {
  const core = 'docProps/core.xml'
  const text = new TextDecoder().decode(entries[core])
  const stated = `>${madeAt.toISOString().slice(0, 19)}Z<`
  const dated = text.replace(/>\d{4}-\d\d-\d\dT[\d:.]+Z</g, stated)
  const files: Zippable = Object.fromEntries(
    Object.entries({ ...entries, [core]: new TextEncoder().encode(dated) }).map(([name, data]) => [
      name,
      [data, { mtime: NO_TIME }],
    ]),
  )
  return zipSync(files)
}
