/** What an instrument shows: its digits as it wrote them. */
export type Shown = Readonly<{ text: string; value: number; unit: string }>

/** A line that an instrument says. */
export type ScaleLine =
  /** Absent where the instrument does not say whether it is still. */
  | (Readonly<{ is: 'reading'; isStable?: boolean }> & Shown)
  | (Readonly<{ is: 'tare' }> & Shown)
  | Readonly<{ is: 'instrument'; name: string }>
  | Readonly<{ is: 'unknown'; text: string }>

/** Longer than any line that says a reading. */
const LONGEST_LINE = 200

/** Makes lines of what comes in pieces; empty ones are none. */
export class Lines {
  private rest = ''

  /** @returns the lines that ended by it; of one that is too long its beginning, which is then no reading */
  add(piece: string): readonly string[] {
    const lines = `${this.rest}${piece}`.split(/\r\n|\r|\n/)
    // Whatever has no end is no line. One that is too long stays too long, however much more comes of it.
    this.rest = (lines.pop() ?? '').slice(0, LONGEST_LINE + 1)
    return lines.filter((line) => line.trim() !== '').map((line) => line.slice(0, LONGEST_LINE + 1))
  }
}

const NUMBER = /(?:([+-])[ \t]*)?(\d+(?:[.,]\d+)?)[ \t]*([\p{L}µ°%]{0,8})/gu

/**
 * Reads a line of docs/SCALE.md; of an instrument that speaks otherwise, one in which there is one number and no other, with its
 * unit behind it. What is read another way than it is meant would be a wrong reading: anything else is not understood.
 *
 * @example
 * readScaleLine('stable 14.932 kg') // { is: 'reading', isStable: true, text: '14.932', value: 14.932, unit: 'kg' }
 */
export function readScaleLine(line: string): ScaleLine {
  if (line.length > LONGEST_LINE) return { is: 'unknown', text: `${line.slice(0, 60)}…` }
  const text = line.trim()
  const name = /^instrument (.+)$/.exec(text)?.[1]
  if (name) return { is: 'instrument', name }
  const [, word, rest = ''] = /^(stable|moving|tare)\s+(.*)$/.exec(text) ?? []
  // Behind a word of ours there is the number, and nothing else.
  const shown = word && /^[^\d+-]/.test(rest) ? undefined : shownIn(word ? rest : text)
  if (!shown) return { is: 'unknown', text }
  if (word === 'tare') return { is: 'tare', ...shown }
  return { is: 'reading', ...(word ? { isStable: word === 'stable' } : {}), ...shown }
}

function shownIn(text: string): Shown | undefined {
  const numbers = [...text.matchAll(NUMBER)]
  const [first] = numbers
  // A second number, or a digit, a mark or a letter that touches the first, may make it another one.
  if (numbers.length !== 1 || !first) return undefined
  const [whole, sign, digits, unit] = first as unknown as readonly [
    string,
    string | undefined,
    string,
    string,
  ]
  const [before, after] = [text.slice(0, first.index), text.slice(first.index + whole.length)]
  if (/[\p{L}\d.,]$/u.test(before) || /^[\p{L}\d.,]/u.test(after)) return undefined
  const plain = `${sign === '-' ? '-' : ''}${digits.replace(',', '.')}`
  return { text: plain, value: Number(plain), unit }
}
