import type { SheetFormat } from '@/intake/sheet/format'
import { cellText, type Column } from '@/intake/sheet/columns'
import { readSheet, type Sheet } from '@/intake/sheet/readSheet'

export const bytesOf = (text: string) => new TextEncoder().encode(text)
export const PLAIN: SheetFormat = {
  separator: ',',
  encoding: 'utf-8',
  decimalMark: 'point',
  thousands: 'none',
  dateOrder: 'day-first',
  header: 'first-row',
}

/** A file cut into pieces of so many bytes, as a stream would give it. */
export function* piecesOf(bytes: Uint8Array, size: number) {
  for (let at = 0; at < bytes.length; at += size) yield bytes.slice(at, at + size)
}

export async function read(
  text: string | Uint8Array,
  format: Partial<SheetFormat> = {},
  size = 1 << 16,
): Promise<Sheet> {
  const bytes = typeof text === 'string' ? bytesOf(text) : text
  const sheet = await readSheet({ source: () => piecesOf(bytes, size), format: { ...PLAIN, ...format } })
  if (!sheet.ok) throw new Error(sheet.problem.message)
  return sheet.value
}

export const textsOf = (column: Column) =>
  Array.from({ length: column.length }, (_, row) => cellText(column, row))
