import type { Face } from '../document/fonts'
import type { FontBook, Run, Word } from './fontBook'

export type Look = Readonly<{ face: Face; size: number; colour: string; lineHeight: number }>
/** A word, or a part of one that goes on in the next. */
type Piece = Word & Readonly<{ isCut?: boolean }>
/** Words on one line, with their width in points. */
export type Line = Readonly<{ runs: readonly Run[]; width: number }>

/** So much of a point may the rounding of sums come to: a column that is as wide as its widest cell holds it. */
const SLACK = 1e-6
/** What stands behind words that do not end on their line. */
const MORE = '\u2009…'

/** Breaks a text into lines of a width; a word that is longer is broken anywhere. */
export const linesOf = (fonts: FontBook, text: string, look: Look, width: number): readonly Line[] =>
  text.split(/\r\n|\r|\n/).flatMap((paragraph) => wrapped(fonts, paragraph, look, width))

/** A text on one line, with a sign where it does not end there. */
export function shortened(fonts: FontBook, text: string, look: Look, width: number): Line {
  const [whole, ...more] = linesOf(fonts, text, look, width)
  if (more.length === 0) return whole!
  const [sign] = linesOf(fonts, MORE, look, Infinity)
  const [first] = linesOf(fonts, text, look, width - sign!.width)
  const begun = first!.runs.map((run) => run.text).join('')
  return linesOf(fonts, `${begun.trimEnd()}${MORE}`, look, Infinity)[0]!
}

function wrapped(fonts: FontBook, paragraph: string, { face, size }: Look, width: number): readonly Line[] {
  const space = fonts.word(' ', face)
  const lines: Line[] = []
  let words: Piece[] = []
  let used = 0
  const push = () => {
    // The space that parts it from the next line is read, and not seen.
    const after = words.at(-1)?.isCut ? [] : space.runs
    lines.push({ runs: joined(words, space, after), width: used })
    words = []
    used = 0
  }
  const queue = paragraph.split(' ').flatMap((text) => fitting(fonts, text, face, width / size))
  for (const word of queue) {
    const more = word.width * size + (words.length > 0 ? space.width * size : 0)
    if (words.length > 0 && used + more > width + SLACK) push()
    used += word.width * size + (words.length > 0 ? space.width * size : 0)
    words.push(word)
  }
  push()
  return lines
}

/** A word, or its pieces where it is wider than a line. */
function fitting(fonts: FontBook, text: string, face: Face, width: number): readonly Piece[] {
  const word = fonts.word(text, face)
  if (word.width <= width + SLACK) return [word]
  const letters = [...text]
  const each = Math.max(1, Math.floor((letters.length * width) / word.width) - 1)
  const pieces: Piece[] = []
  for (let at = 0; at < letters.length; at += each) {
    const piece = fonts.word(letters.slice(at, at + each).join(''), face)
    pieces.push({ ...piece, isCut: at + each < letters.length })
  }
  return pieces
}

/** Words with spaces between and something after them, neighbours of one font as one run. */
function joined(words: readonly Word[], space: Word, after: readonly Run[]): readonly Run[] {
  const runs: { font: string; text: string; width: number }[] = []
  const all = words.flatMap((word, at) => (at === 0 ? word.runs : [...space.runs, ...word.runs]))
  for (const run of [...all, ...after]) {
    const last = runs.at(-1)
    if (last?.font === run.font) {
      last.text += run.text
      last.width += run.width
    } else runs.push({ ...run })
  }
  return runs
}
