import {
  AlignmentType,
  Footer,
  Header,
  type IParagraphStyleOptions,
  type IStylesOptions,
  LevelFormat,
  PageNumber,
  Paragraph,
  TabStopType,
  TextRun,
} from 'docx'
import type { Report } from './document/document'
import { INK, QUIET } from './drawing/drawing'
import { legible } from './drawing/escape'

/** Between the margins of an A4 page, in twentieths of a point. */
export const TEXT_WIDTH = 9026
const TITLE_FONT = 'Source Serif 4'
export const BULLETS = 'bullets'
export const hex = (colour: string) => colour.slice(1)

const [TEXT, FIGURES] = ['IBM Plex Sans', 'IBM Plex Mono']
/** Half points. */
const SIZES = { text: 20, outcome: 28, finding: 24, figures: 18, small: 17, foot: 16 } as const

const heading = (size: number) => ({
  run: { font: TITLE_FONT, size, bold: true, color: hex(INK) },
  paragraph: { spacing: { before: 240, after: 80 }, keepNext: true },
})

type Face = NonNullable<IParagraphStyleOptions['run']>
const style = (name: string, run: Face, paragraph: IParagraphStyleOptions['paragraph'] = {}) =>
  ({ id: name.replaceAll(' ', ''), name, basedOn: 'Normal', quickFormat: true, run, paragraph }) as const
const apart = { spacing: { after: 80 } } as const
const quiet = { color: hex(QUIET) } as const

/** Every look that a paragraph has, by its name: whoever changes a style changes all that is written in it. */
const PARAGRAPHS = {
  plain: style('Report text', {}, apart),
  outcome: style('Report outcome', { font: TITLE_FONT, bold: true, size: SIZES.outcome }),
  finding: style('Report finding', { font: TITLE_FONT, size: SIZES.finding }, apart),
  quiet: style('Report note', quiet, apart),
  quote: style('Report claim', { font: TITLE_FONT, italics: true }, apart),
  caption: style('Report caption', { ...quiet, size: SIZES.small }, apart),
  formula: style('Report formula', { font: FIGURES, size: SIZES.figures }, { indent: { left: 240 } }),
  cell: style('Report cell', {}),
  head: style('Report cell head', quiet),
  figure: style('Report figure', { font: FIGURES, size: SIZES.figures }, { alignment: AlignmentType.RIGHT }),
  figureHead: style('Report figure head', quiet, { alignment: AlignmentType.RIGHT }),
  contents: { ...style('toc 1', {}), id: 'TOC1' },
  foot: style('Report foot', { ...quiet, size: SIZES.foot }),
} as const
export type StyleName = keyof typeof PARAGRAPHS

export const styleOf = (name: StyleName): string => PARAGRAPHS[name].id

export const STYLES: IStylesOptions = {
  default: {
    document: { run: { font: TEXT, size: SIZES.text, color: hex(INK), language: { value: 'en-GB' } } },
    heading1: heading(44),
    heading2: heading(30),
    heading3: heading(23),
  },
  paragraphStyles: Object.values(PARAGRAPHS),
}

export const NUMBERING = {
  config: [
    {
      reference: BULLETS,
      levels: [{ level: 0, format: LevelFormat.BULLET, text: '•', alignment: AlignmentType.LEFT }],
    },
  ],
}

/** What stands at the head of every page: by which number the report is known. */
export const headerOf = (number: string): Header =>
  new Header({
    children: [
      new Paragraph({ style: styleOf('foot'), children: [new TextRun(legible(`Report ${number}`))] }),
    ],
  })

/** What stands at the foot of every page: what the report is, and which page of how many. */
export function footerOf({ title, asOf }: Report): Footer {
  return new Footer({
    children: [
      new Paragraph({
        style: styleOf('foot'),
        tabStops: [{ type: TabStopType.RIGHT, position: TEXT_WIDTH }],
        children: [
          new TextRun(legible(`${title}, ${asOf}`)),
          new TextRun({ children: ['\t', PageNumber.CURRENT, ' / ', PageNumber.TOTAL_PAGES] }),
        ],
      }),
    ],
  })
}
