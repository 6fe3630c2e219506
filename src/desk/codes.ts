import { LONGEST_PHRASE } from './typed'

/** What a code of a column means. */
export type Code = Readonly<{ code: string; meaning: string }>

/** Room for a code and what it means; a longer line is told of as no code. */
const LONGEST_LINE = 2 * LONGEST_PHRASE
const LINE = /^(\S.*?)\s*(?:=|\t|;|:)\s*(.*)$/

/** Reads a code list: one code a line, then "=" (or a tab, a semicolon or a colon) and what it means. */
export function readCodes(text: string): readonly Code[] {
  return text.split(/\r\n|\r|\n/).flatMap((line) => {
    const [, code, meaning] = (line.length <= LONGEST_LINE && LINE.exec(line.trim())) || []
    return code === undefined || meaning === undefined || meaning === '' ? [] : [{ code, meaning }]
  })
}

/** The lines of a code list that are no codes, counted from 1. */
export function unreadCodeLines(text: string): readonly number[] {
  return text
    .split(/\r\n|\r|\n/)
    .flatMap((line, at) => (line.trim() === '' || readCodes(line).length === 1 ? [] : [at + 1]))
}
