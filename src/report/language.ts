import { inThousands } from '@/words/figures'
import type { Language } from '@/desk/reportOptions'

const NARROW_SPACE = '\u202f'
const MARKS = {
  point: { decimal: '.', group: ',' },
  comma: { decimal: ',', group: NARROW_SPACE },
} as const
const LATEX_MARKS = {
  point: { decimal: '.', group: '{,}' },
  comma: { decimal: '{,}', group: '\\,' },
} as const

/** A number as the core writes it, in groups or not: no part of a word, of a date or of a version. */
const NUMBER = /(?<![\p{L}\d.,_]|\d-|e[-−])(\d{1,3}(?:,\d{3})+|\d+)(\.\d+)?(?!\d|-\d|\.\d|,\d)/gu

/**
 * Writes the numbers of a text in a language.
 *
 * @param verbatim - texts of people's, which stay as they are wherever they stand
 */
export type Writer = (text: string) => string

export function writerFor(language: Language, verbatim: readonly string[]): Writer {
  // Only what has a number in it could be changed, and a lone number is found wherever a figure is.
  const kept = [...new Set(verbatim)]
    .filter((text) => /\d/.test(text) && /[\p{L}“]/u.test(text))
    .sort((a, b) => b.length - a.length)
  if (kept.length === 0) return (text) => withMarks(text, MARKS[language])
  const pattern = new RegExp(`(${kept.map(escaped).join('|')})`, 'u')
  return (text) =>
    text
      .split(pattern)
      .map((piece, at) => (at % 2 === 1 ? piece : withMarks(piece, MARKS[language])))
      .join('')
}

/** The numbers of a formula in LaTeX, in a language. */
export function latexIn(language: Language, latex: string): string {
  return withMarks(latex, LATEX_MARKS[language])
}

function withMarks(text: string, { decimal, group }: Readonly<{ decimal: string; group: string }>): string {
  return text.replace(NUMBER, (_, whole: string, fraction: string | undefined) => {
    const digits = whole.replaceAll(',', '')
    // 007 is a code and no number.
    const isCode = digits.length > 1 && digits.startsWith('0')
    const grouped = isCode ? digits : inThousands(digits, group)
    return `${grouped}${fraction ? `${decimal}${fraction.slice(1)}` : ''}`
  })
}

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\/-]/g, '\\$&')
