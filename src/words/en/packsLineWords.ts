import type { ContentResult } from '@/claims/checkAnswer'
import type { ContentDocument } from '@/claims/terms/contentRequest'
import { packsOf } from '@/claims/content/packs'
import { formatCount, formatFull, withoutMadeUpDigits, withUnit } from '../figures'

/** The error of every pack that was judged, with 0, −T and −2T, in the unit of the label. */
export type PacksLine = Readonly<{
  errors: readonly number[]
  /** Of each: 1 where it is short by more than T, 2 by more than 2T, else 0. */
  shorts: readonly number[]
  /** Where each of them stands among all packs, from 0. */
  indexes: readonly number[]
  mean: number
  marks: readonly Readonly<{ value: number; words: string }>[]
  description: string
}>

/** Of more packs a circle stands for many, and no error is read from it. */
const MAX_EXACT = 20_000

/** The picture of a control of net content, in figures and in words. */
export function packsLine({ content }: ContentDocument, result: ContentResult): PacksLine | undefined {
  const packs = packsOf(content)
  if (!packs.ok) return undefined
  const { nominal, unit, tolerableDeficiency: deficiency, beyondT, beyondTwiceT, average, n } = result.content
  const left = new Set(content.setAside)
  const indexes = packs.value.contents.flatMap((_, index) => (left.has(index) ? [] : [index]))
  const [beyond, farBeyond] = [new Set(beyondT.rows), new Set(beyondTwiceT.rows)]
  const shown = (value: number) => withUnit(formatFull(withoutMadeUpDigits(value)), unit)
  return {
    errors: indexes.map((index) =>
      indexes.length > MAX_EXACT ? packs.value.contents[index]! - nominal : packs.value.errorAt(index),
    ),
    shorts: indexes.map((index) => (farBeyond.has(index) ? 2 : beyond.has(index) ? 1 : 0)),
    indexes,
    mean: average.meanError,
    marks: [
      { value: -2 * deficiency, words: '−2T' },
      { value: -deficiency, words: `−T, ${shown(deficiency)}` },
      { value: 0, words: `label ${shown(nominal)}` },
    ],
    description: `Errors of the packs: a circle for each of ${formatCount(n)}, its content less the ${shown(nominal)} of the label. ${formatCount(beyondT.rows.length)} lie below −T, ${formatCount(beyondTwiceT.rows.length)} of them below −2T.`,
  }
}
