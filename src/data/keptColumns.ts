import 'server-only'
import { LRUCache } from 'lru-cache'
import type { ColumnBytes } from '@/desk/columnBytes'

/** In bytes: four columns of a million numbers. */
const MAX_KEPT = 32 << 20

/** Columns of stored sheets that were read lately: whoever tries another filter reads the same ones again. */
export type KeptColumns = LRUCache<string, ColumnBytes>

/** @returns none yet; one that is larger than all of them together may be is never kept */
export const newKeptColumns = (): KeptColumns =>
  new LRUCache({ maxSize: MAX_KEPT, sizeCalculation: ({ chunks }) => sizeOf(chunks) })

/** A size of 0 would be refused. */
function sizeOf(chunks: Iterable<Uint8Array>): number {
  let size = 1
  for (const { byteLength } of chunks) size += byteLength
  return size
}
