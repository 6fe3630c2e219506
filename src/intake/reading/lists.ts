import { readEntry, unquoted, withoutUnit, type Writing } from './entry'
import { readNumber } from './number'

/** A number that may begin one with spaces or commas between its thousands, and what may follow it. */
const GROUP_START = /^[+-]?[1-9]\d{0,2}$/
const GROUP_NEXT = /^\d{3}([.,]\d+)?$/
const WHOLE = /^[+-]?\d+$/
const QUOTED_LIST = /^"[^"]*"(?:[, ]+"[^"]*")+,?$/

/**
 * The readings of one line where it can be nothing but a list: parted by spaces or commas, each a number by itself, and no two
 * of them one number with its thousands set apart.
 *
 * @returns undefined where it is no list, or may be something else too
 */
export function listIn(text: string, writing: Writing): readonly string[] | undefined {
  if (QUOTED_LIST.test(text)) return allRead(text.match(/"[^"]*"/g)!.map(unquoted), writing)
  const tokens = tokensOf(text)
  const pieces: string[] = []
  for (const [at, { text: token, isBeforeComma }] of tokens.entries()) {
    const parts = partsOf(token, writing)
    if (!parts) return undefined
    const next = tokens[at + 1]?.text
    if (next !== undefined && mayBeOne(parts.at(-1)!, next, isBeforeComma, writing)) return undefined
    for (const part of parts) pieces.push(part)
  }
  return pieces.length > 1 || (pieces.length === 1 && pieces[0] !== text) ? pieces : undefined
}

/** Thousands and decimals behind another mark: nobody writes two readings so. */
const ONE_NUMBER = /^[+-]?[1-9]\d{0,2}((,\d{3})+\.\d+|(\.\d{3})+,\d+)$/

/** Each as a reading by itself, wherever they may be parted. */
export function piecesApart(text: string, writing: Writing): readonly number[] | undefined {
  if (ONE_NUMBER.test(text)) return undefined
  const pieces = piecesOf(text, writing)
  return pieces?.map((piece) => (readEntry(piece, writing) as { value: number }).value)
}

/** The same as texts: what blanks part, or commas where there are no blanks. */
export function piecesOf(text: string, writing: Writing): readonly string[] | undefined {
  const isOne = writing.mark === 'point' && !/[\s;]/.test(text)
  const pieces = text.split(isOne ? ',' : /[,;]?\s+|;/).filter((piece) => piece !== '')
  return pieces.length > 1 ? allRead(pieces, writing) : undefined
}

function allRead(pieces: readonly string[], writing: Writing): readonly string[] | undefined {
  return pieces.every((piece) => readEntry(piece, writing).ok) ? pieces : undefined
}

type Token = Readonly<{ text: string; isBeforeComma: boolean }>

/** What stands between spaces, without a comma behind it. */
function tokensOf(text: string): readonly Token[] {
  const tokens: Token[] = []
  for (const one of text.split(/ +/)) {
    const isBeforeComma = one.endsWith(',')
    const token = isBeforeComma ? one.slice(0, -1) : one
    const last = tokens.at(-1)
    if (token !== '') tokens.push({ text: token, isBeforeComma })
    else if (isBeforeComma && last && !last.isBeforeComma)
      tokens[tokens.length - 1] = { ...last, isBeforeComma }
    else if (isBeforeComma) tokens.push({ text: token, isBeforeComma })
  }
  return tokens
}

/** One reading, or several with commas and nothing else between them. */
function partsOf(token: string, writing: Writing): readonly string[] | undefined {
  if (readEntry(token, writing).ok) return [token]
  if (writing.mark === 'comma') return undefined
  const parts = token.split(',')
  // Without a decimal point the commas may be decimal marks.
  const isOther = parts.every((part) => WHOLE.test(part))
  const isGrouped = parts.some(
    (part, at) => at > 0 && GROUP_START.test(parts[at - 1]!) && GROUP_NEXT.test(part),
  )
  const isPointGrouped = /^[+-]?[1-9]\d{0,2}(\.\d{3})+,\d+$/.test(token)
  const isPlain = parts.every((part) => readNumber(part, writing.mark).ok)
  return isPlain && !isOther && !isGrouped && !isPointGrouped ? parts : undefined
}

/** Whether two that stand side by side may be one number: "1 234", and "1, 5" where the comma is the decimal mark. */
function mayBeOne(one: string, next: string, isBeforeComma: boolean, { mark, rules }: Writing): boolean {
  const [before, behind] = [one, next].map((text) => withoutUnit(text, rules)) as [string, string]
  if (isBeforeComma) return mark === 'comma' && WHOLE.test(before) && WHOLE.test(behind)
  return GROUP_START.test(before) && GROUP_NEXT.test(behind.split(',')[0]!)
}
