import type { ClaimDraft } from '@/desk/claimDraft'
import type { SampleDraft } from '@/desk/sampleDraft'
import { type DecimalMark, LONGEST_PHRASE } from '@/desk/typed'
import { plainSpellings, readTypedNumber } from './number'
import type { UnreadReason } from './readings'
import { trimmed } from './trimmed'

export type Field = keyof ClaimDraft | keyof SampleDraft

/** A field whose text can't be used or is still needed: what was seen and what would do. */
export type FieldProblem<F extends string = Field> = Readonly<{
  field: F
  message: string
  /** Texts that would do in its place, of which somebody has to say that one is meant. */
  wouldDo?: readonly string[]
}>

export type Range = Readonly<{ holds: (value: number) => boolean; needed: string }>

export const ANY: Range = { holds: () => true, needed: '' }
export const NOT_NEGATIVE: Range = { holds: (value) => value >= 0, needed: 'it has to be 0 or more' }
export const POSITIVE: Range = { holds: (value) => value > 0, needed: 'it has to be more than 0' }
export const LEVEL: Range = {
  holds: (value) => value > 0 && value < 1,
  needed: 'it has to lie between 0 and 1, written such as 0.05 or 5 %',
}
export const SHARE: Range = {
  holds: (value) => value >= 0 && value <= 1,
  needed: 'a share lies between 0 and 1, or is written in percent, such as 95 %',
}
export const wholeFrom = (min: number, max = Infinity): Range => ({
  holds: (value) => Number.isInteger(value) && value >= min && value <= max,
  needed: `it has to be a whole number ${max === Infinity ? `of ${min} or more` : `from ${min} to ${max}`}`,
})

/** Reads typed texts as numbers and gathers what can't be used. An empty text is no number and no problem. */
export class FieldReader<F extends string> {
  readonly problems: FieldProblem<F>[] = []
  private readonly texts: Readonly<Partial<Record<F, unknown>>>
  private readonly decimalMark: DecimalMark

  constructor(texts: Readonly<Partial<Record<F, unknown>>>, decimalMark: DecimalMark) {
    this.texts = texts
    this.decimalMark = decimalMark
  }

  text(field: F): string {
    return trimmed(String(this.texts[field] ?? ''))
  }

  number(field: F, name: string, range: Range): number | undefined {
    return this.read({ field, name, range, text: this.text(field) })
  }

  /** A level as a share or a percentage: 0.95 or 95 %. */
  level(field: F, name: string): number | undefined {
    return this.share(field, name, LEVEL)
  }

  /** A share from 0 to 1, also written as a percentage: 0.625 or 62.5 %. */
  share(field: F, name: string, range: Range = SHARE): number | undefined {
    const text = this.text(field)
    const [, percent] = (text.length <= LONGEST_PHRASE && PERCENT.exec(text)) || []
    return this.read({ field, name, range, text: percent ?? text, isPercent: percent !== undefined })
  }

  private read(
    input: Readonly<{ field: F; name: string; range: Range; text: string; isPercent?: boolean }>,
  ): number | undefined {
    const { field, name, range, text, isPercent = false } = input
    if (text === '') return undefined
    // A power of ten in the text, because dividing by 100 can miss the nearest double.
    const reading = readTypedNumber(isPercent ? `${text}e-2` : text, this.decimalMark)
    if (reading.ok && range.holds(reading.value)) return reading.value
    const percent = (one: string) => `${one} %`
    const spellings = reading.ok
      ? isAsked(range, reading.value) && !isPercent
        ? [percent(text)]
        : []
      : plainSpellings(text, this.decimalMark).map((one) => (isPercent ? percent(one) : one))
    const wanted = reading.ok
      ? range.needed
      : spellings.length > 0
        ? spelled(spellings)
        : needed({ reason: reading.reason, text }, this.decimalMark)
    const message = `The ${name} is “${String(this.texts[field])}”; ${wanted}.`
    this.problems.push({ field, message, ...(spellings.length > 0 ? { wouldDo: spellings } : {}) })
    return undefined
  }
}

const PERCENT = /^(.*?)\s*(?:%|per ?cent)$/i

/** Whether a number that is no share may be meant as a percentage. */
const isAsked = (range: Range, value: number) =>
  (range === LEVEL || range === SHARE) && range.holds(value / 100)

function spelled([first, second]: readonly string[]): string {
  return second === undefined
    ? `its thousands are set apart. Write ${first}`
    : `the three digits behind the mark may be thousands or decimals. Write ${first} or ${second}, whichever is meant`
}

/** A mark that is not shown, by its number in Unicode. */
function unshownIn(text: string): string | undefined {
  const code = /\p{Cf}/u.exec(text)?.[0].codePointAt(0)
  return code === undefined ? undefined : `U+${code.toString(16).toUpperCase().padStart(4, '0')}`
}

/** What would do in place of a text that is no number. */
export function needed(
  { reason, text }: Readonly<{ reason: UnreadReason; text: string }>,
  decimalMark: DecimalMark,
): string {
  const unshown = unshownIn(text)
  switch (reason) {
    case 'other-decimal-mark':
      return decimalMark === 'point'
        ? 'the decimal mark is set to the point. Write a point, or set it to the comma'
        : 'the decimal mark is set to the comma. Write a comma, or set it to the point'
    case 'too-large':
      return 'it is beyond what this program can hold, about 1.8 × 10³⁰⁸'
    case 'several-columns':
      return 'its line has several entries, as that of a sheet has'
    case 'not-a-date':
      return 'write the day such as 2026-01-14 or 14/01/2026'
    case 'two-dates':
      return 'its day and its month can change places. Write the day such as 2026-01-14'
    case 'not-a-number':
      if (unshown) return `it holds a mark that is not shown (${unshown}). Type it anew`
      return 'write digits only, such as 14.93, without a unit or a thousands separator'
    default:
      return reason satisfies never
  }
}

type Stated<T> = { [K in keyof T]?: Exclude<T[K], undefined | ''> }

/** Leaves out what was not stated. */
export function stated<T extends Record<string, unknown>>(fields: T): Stated<T> {
  return Object.fromEntries(
    Object.entries(fields).filter(([, value]) => value !== undefined && value !== ''),
  ) as Stated<T>
}
