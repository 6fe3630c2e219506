import { create, type Font } from 'fontkit'
import type { Face, FontFile } from '../document/fonts'

/** A run of letters of one font, with the width that it has at a size of 1. */
export type Run = Readonly<{ font: string; text: string; width: number }>
/** A word with the width that it has at a size of 1. */
export type Word = Readonly<{ runs: readonly Run[]; width: number }>

type Known = Readonly<{ key: string; font: Font; bytes: Buffer }>

/** Stands for a character that no font here has. */
const NO_GLYPH = '\ufffd'
/** Carry no shape of their own. */
const UNSEEN = /[\u200b-\u200f\u2060\ufe0e\ufe0f]/gu

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
        list.map(({ key, bytes }) => ({ key, bytes, font: create(bytes) as Font })),
      ]),
    )
  }

  /** Every font file, by its name in a document. */
  files(): readonly Readonly<{ key: string; bytes: Buffer }>[] {
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
    this.words.set(key, word)
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
