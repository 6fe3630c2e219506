import type { ClaimDraft } from '@/desk/claimDraft'
import type { SampleDraft } from '@/desk/sampleDraft'
import { typedCells } from './sheet/typedSheet'
import { columnFor } from './takenFrom'

/**
 * With how many decimals each entry of a typed column was written, by its row: of "14.90" there are two, which its value has lost.
 *
 * @returns undefined for a row of which that is not known: of a file, of a column made of others, of powers of ten
 */
export function typedDecimals(
  draft: Pick<ClaimDraft, 'column'>,
  sample: SampleDraft,
): (row: number) => number | undefined {
  const { kind, columns, made, decimalMark } = sample
  const name = columnFor(draft, sample)
  if (kind !== 'typed' || made.some((one) => one.name === name)) return () => undefined
  const at = Math.max(
    0,
    columns.findIndex((column) => column.name === name),
  )
  const cells = typedCells(sample)
  const mark = decimalMark === 'comma' ? ',' : '.'
  return (row) => {
    const text = cells[row]?.[at] ?? ''
    if (/\de[+−-]?\d/i.test(text)) return undefined
    const [, behind = ''] = text.split(mark)
    return /^\d*/.exec(behind)![0].length
  }
}
