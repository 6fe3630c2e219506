import type { Drawn } from '@/pictures/readings'
import { formatReading, withUnit } from '@/words/figures'

/** What is said of the reading of a row that is pointed at: "Row 15: 18 kg". */
export const rowWords =
  ({ valueOf, unit }: Drawn) =>
  (row: number): string => {
    const value = valueOf(row)
    return value === undefined ? '' : `Row ${row + 1}: ${withUnit(formatReading(value), unit)}`
  }
