import PDFDocument from 'pdfkit'
import type { OfficeMark } from '@/desk/office'
import { MARK_WORDS, sizeOfMark } from '../document/mark'
import type { FontBook } from './fontBook'
import { type Line, linesOf, type Look, shortened } from './lines'

type Struct = PDFKit.PDFStructureElement
/** What pdfkit takes beside what its types say. */
type StructOptions = PDFKit.Mixins.StructureElementOptions &
  Readonly<{
    /** Of a head of a table: of what it is one. */
    scope?: 'Row' | 'Column'
    /** Left, top, right and bottom, from the upper left corner of the page. */
    bbox?: readonly [number, number, number, number]
    placement?: 'Block'
  }>

const A4 = { width: 595.28, height: 841.89 }
const MARGIN = 52
const FOOT = 40
/** Of the line above the text of a page. */
const HEAD = 28
export const CONTENT_WIDTH = A4.width - 2 * MARGIN
const CONTENT_HEIGHT = A4.height - MARGIN - FOOT - MARGIN / 2
/** A letter's height over its line, as a part of its size. */
const ASCENT = 0.8
const BELOW_MARK = 14
/** How far below the middle of its line a letter is struck through, as a part of its size. */
const STRIKE = 0.06

/** Writes text and shapes down the pages of a tagged PDF: every piece belongs to an element of the structure. */
export class Page {
  readonly document: PDFKit.PDFDocument
  readonly left = MARGIN
  y = MARGIN
  private readonly fonts: FontBook
  private readonly root: Struct
  /** The last bookmark of each level. */
  private readonly bookmarks: PDFKit.PDFOutline[] = []

  constructor(fonts: FontBook, info: Readonly<{ title: string; madeAt: Date }>) {
    this.fonts = fonts
    this.document = new PDFDocument({
      size: 'A4',
      margin: 0,
      bufferPages: true,
      pdfVersion: '1.7',
      tagged: true,
      lang: 'en',
      displayTitle: true,
      // No font of its own: every one that is used is embedded.
      font: null as unknown as string,
      info: { Title: info.title, Creator: 'True Weight', Producer: 'True Weight', CreationDate: info.madeAt },
    })
    for (const { key, written } of fonts.fonts()) this.document.registerFont(key, written)
    this.root = this.document.struct('Document')
    this.document.addStructure(this.root)
  }

  /** A new element of the structure, in another one or in the document itself. */
  element(type: string, within?: Struct, options: StructOptions = {}): Struct {
    const element = this.document.struct(type, options)
    ;(within ?? this.root).add(element)
    return element
  }

  /** Lists a title beside the pages, under the last one of the level above, with the page that it stands on. */
  bookmark(title: string, level: number): void {
    const [above, own] = [this.bookmarks[level - 2], level - 1]
    this.bookmarks[own] = (above ?? this.document.outline).addItem(title, { expanded: level === 1 })
    this.bookmarks.length = level
  }

  /** Of this page, counted from 1. */
  get number(): number {
    return this.document.bufferedPageRange().count
  }

  /** What is left of this page, in points. */
  get room(): number {
    return MARGIN + CONTENT_HEIGHT - this.y
  }

  get isFresh(): boolean {
    return this.y === MARGIN
  }

  nextPage(): void {
    this.document.addPage()
    this.y = MARGIN
  }

  /** Begins a new page where so much does not fit on this one. */
  need(height: number): void {
    if (height > this.room && !this.isFresh) this.nextPage()
  }

  space(height: number): void {
    if (!this.isFresh) this.y += Math.min(height, Math.max(0, this.room))
  }

  /** Breaks a text into lines of a width; a word that is longer is broken anywhere. */
  lines(text: string, look: Look, width: number): readonly Line[] {
    return linesOf(this.fonts, text, look, width)
  }

  /** The widths of the widest word and of the whole text, unbroken. */
  widths(text: string, { face, size }: Look): readonly [widestWord: number, whole: number] {
    let widest = 0
    let whole = 0
    for (const line of text.split(/\r\n|\r|\n/)) {
      const words = line.split(' ').map((word) => this.fonts.word(word, face).width * size)
      widest = words.reduce((max, one) => Math.max(max, one), widest)
      const space = this.fonts.word(' ', face).width * size
      whole = Math.max(
        whole,
        words.reduce((sum, one) => sum + one + space, -space),
      )
    }
    return [widest, whole]
  }

  /** Draws lines one under another, which have to fit on this page. */
  draw(lines: readonly Line[], look: Look, place: Readonly<{ x: number; y: number; width?: number }>): void {
    const { document } = this
    document.fillColor(look.colour)
    for (const [at, line] of lines.entries()) {
      // To the right where a width is given.
      let x = place.width === undefined ? place.x : place.x + place.width - line.width
      const y = place.y + at * look.lineHeight + (look.lineHeight - look.size) / 2 + ASCENT * look.size
      for (const { font, text, width } of line.runs) {
        document.font(font).fontSize(look.size)
        document.text(text, x, y, { lineBreak: false, baseline: 'alphabetic' })
        x += width * look.size
      }
    }
  }

  /** The mark of an office, at the head of the page. */
  mark(mark: OfficeMark): void {
    const { width, height } = sizeOfMark(mark)
    const { left, y } = this
    const bbox = [left, y, left + width, y + height] as const
    const figure = this.element('Figure', undefined, { alt: MARK_WORDS, bbox, placement: 'Block' })
    figure.add(() => this.document.image(Buffer.from(mark.png, 'base64'), left, y, { width, height }))
    figure.end()
    this.y += height + BELOW_MARK
  }

  /** Strikes what was drawn in a line of text through, from one place of it to another. */
  strike({ from, to, y }: Readonly<{ from: number; to: number; y: number }>, look: Look): void {
    const middle = y + look.lineHeight / 2 + STRIKE * look.size
    this.document.lineWidth(0.8).strokeColor(look.colour).undash()
    this.document.moveTo(from, middle).lineTo(to, middle).stroke()
  }

  /** Writes a text as an element of its own, over as many pages as it takes. */
  write(
    type: string,
    text: string,
    look: Look,
    options: Readonly<{ within?: Struct; indent?: number }> = {},
  ): void {
    const { within, indent = 0 } = options
    const element = this.element(type, within)
    let rest = this.lines(text, look, CONTENT_WIDTH - indent)
    // A first line alone at the foot of a page is hard to read on from.
    this.need(look.lineHeight * Math.min(2, rest.length))
    while (rest.length > 0) {
      const count = Math.max(1, Math.floor(this.room / look.lineHeight))
      const [here, later] = [rest.slice(0, count), rest.slice(count)]
      const { y } = this
      element.add(() => this.draw(here, look, { x: this.left + indent, y }))
      this.y += here.length * look.lineHeight
      if (later.length > 0) this.nextPage()
      rest = later
    }
    element.end()
  }

  /** What is no part of the text: rules, heads that come again. */
  asArtifact(draw: () => void): void {
    this.document.markContent('Artifact', { type: 'Layout' })
    draw()
    this.document.endMarkedContent()
  }

  /** Writes the head and the foot of every page with its number, ends the document and gives its bytes. */
  async finish(words: Readonly<{ head: string; foot: string }>, look: Look): Promise<Uint8Array> {
    const { document, left } = this
    const { count } = document.bufferedPageRange()
    const numberOf = (page: number) => this.lines(`${page} / ${count}`, look, CONTENT_WIDTH)
    const [widest] = numberOf(count)
    const head = shortened(this.fonts, words.head, look, CONTENT_WIDTH)
    const foot = shortened(this.fonts, words.foot, look, CONTENT_WIDTH - widest!.width - 20)
    const y = A4.height - FOOT
    for (let at = 0; at < count; at += 1) {
      document.switchToPage(at)
      document.markContent('Artifact', { type: 'Pagination' })
      this.draw([head], look, { x: left, y: HEAD })
      this.draw([foot], look, { x: left, y })
      this.draw(numberOf(at + 1), look, { x: left, y, width: CONTENT_WIDTH })
      document.endMarkedContent()
    }
    this.root.end()
    document.end()
    const pieces: Uint8Array[] = []
    for await (const piece of document as unknown as AsyncIterable<Uint8Array>) pieces.push(piece)
    return Buffer.concat(pieces)
  }
}
