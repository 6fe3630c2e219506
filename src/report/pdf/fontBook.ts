import { create, type Font, type GlyphRun } from 'fontkit'
import { keepLast } from '@/desk/keepLast'
import type { Face, FontFile } from '../document/fonts'

/** A run of letters of one font, with the width that it has at a size of 1. */
export type Run = Readonly<{ font: string; text: string; width: number }>
/** A word with the width that it has at a size of 1. */
export type Word = Readonly<{ runs: readonly Run[]; width: number }>

/** A font file: as texts are measured by it, and as they are written in it. */
type Known = Readonly<{ key: string; font: Font; written: Written }>
/** pdfkit takes an open font, beside what its types say. */
type Written = PDFKit.Mixins.PDFFontSource

/** Stands for a character that no font here has. */
const NO_GLYPH = '\ufffd'
/** Carry no shape of their own. */
const UNSEEN = /[\u200b-\u200f\u2060\ufe0e\ufe0f]/gu

/** So many words of a font, and of a face, are kept: those of some dozen reports. */
const MAX_KEPT = 10_000

/** Which font has the letters of a text, and how wide it is in them. */
export class FontBook {
  private readonly faces: ReadonlyMap<Face, readonly Known[]>
  private readonly words = new Map<string, Word>()
  private readonly places = new Map<string, Known | undefined>()

  constructor(files: Readonly<Record<Face, readonly FontFile[]>>) {
    const faces = Object.entries(files) as (readonly [Face, readonly FontFile[]])[]
    this.faces = new Map(
      faces.map(([face, list]) => [
        face,
        list.map(({ key, bytes }) => {
          const font = create(bytes) as Font
          return { key, font, written: shapedOnce(font) }
        }),
      ]),
    )
  }

  /** Every font, by its name in a document. */
  fonts(): readonly Readonly<{ key: string; written: Written }>[] {
    return [...this.faces.values()].flat()
  }

  /** The letters of a text that no font has, each once. */
  lacking(text: string): readonly string[] {
    const letters = [...new Set(text.replace(UNSEEN, ''))]
    return letters.filter((letter) => /\S/u.test(letter) && !this.fontFor(letter, 'sans'))
  }

  word(text: string, face: Face): Word {
    const key = `${face} ${text}`
    const known = this.words.get(key)
    if (known) return known
    const runs = this.runsOf(text.replace(UNSEEN, ''), face)
    const width = runs.reduce((sum, run) => sum + run.width, 0)
    const word = { runs, width }
    keepLast(this.words, key, word, MAX_KEPT)
    return word
  }

  private runsOf(text: string, face: Face): readonly Run[] {
    const runs: { known: Known; text: string }[] = []
    for (const letter of text) {
      const found = this.fontFor(letter, face)
      const shown = found ? letter : NO_GLYPH
      const known = found ?? this.fontFor(NO_GLYPH, face)!
      const last = runs.at(-1)
      if (last?.known === known) last.text += shown
      else runs.push({ known, text: shown })
    }
    return runs.map(({ known: { key, font }, text: shown }) => ({
      font: key,
      text: shown,
      width: font.layout(shown).advanceWidth / font.unitsPerEm,
    }))
  }

  private fontFor(letter: string, face: Face): Known | undefined {
    const key = `${face} ${letter}`
    if (this.places.has(key)) return this.places.get(key)
    const point = letter.codePointAt(0)!
    const found = this.faces.get(face)!.find(({ font }) => font.hasGlyphForCodePoint(point))
    this.places.set(key, found)
    return found
  }
}

/** A font that shapes each text once for all documents: most of the work of setting one. */
function shapedOnce(font: Font): Written {
  const runs = new Map<string, GlyphRun>()
  const shaped = (text: string): GlyphRun => {
    // What a glyph stands for is kept with it where it is first met, and is to come from this text alone.
    Object.assign(font, { _glyphs: {} })
    return font.layout(text)
  }
  const layout = (text: string) => {
    const run = runs.get(text) ?? shaped(text)
    keepLast(runs, text, run, MAX_KEPT)
    const { glyphs, advanceWidth } = run
    // Whoever writes them scales the positions in place.
    return { glyphs, advanceWidth, positions: run.positions.map((position) => ({ ...position })) }
  }
  return Object.create(font, { layout: { value: layout } }) as Written
}
