import { isMissingWord } from './missingWords'
import { isKnownUnit } from './units'
import { unitAt, type Writing } from './entry'

/** A word: no slip of the finger makes one of a number. */
const WORD = /^["'“(]?\p{L}.*\p{L}{2}|^["'“(]?\p{L}{2}/u

/**
 * Whether the first of the entries names the column: a text in words that is no number and stands for none, above others of
 * which the next is one.
 */
export function isHeader([first = '', ...others]: readonly string[], writing: Writing): boolean {
  if (writing.rules.some(({ rule }) => rule === 'entry')) return false
  const unit = unitAt(first)?.unit
  const isName = WORD.test(first) && !isMissingWord(first) && !(unit !== undefined && isKnownUnit(unit))
  return isName && !others.includes(first) && others.length > 0 && /\d/.test(others[0]!)
}
