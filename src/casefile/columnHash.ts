import { createHash } from 'node:crypto'
import { setImmediate } from 'node:timers/promises'
import { canonicalJson } from '@/desk/canonicalJson'
import { bytesOfColumn } from '@/intake/sheet/columnBytes'
import type { KeptColumn } from '@/intake/sheet/columns'

/** SHA-256 of a column, in hexadecimal digits: of what it is, as canonical JSON, and of its cells as they are stored. */
export function columnHash(column: KeptColumn): string {
  const { head, chunks } = bytesOfColumn(column)
  const hash = createHash('sha256').update(`${canonicalJson(head)}\n`, 'utf8')
  for (const chunk of chunks) hash.update(chunk)
  return hash.digest('hex')
}

/** The hash of each column, by its name: what the trail keeps of a file that is brought in. */
export type Hashes = Readonly<Record<string, string>>

/** Others go on between the columns. */
export async function hashesOf(columns: readonly KeptColumn[]): Promise<Hashes> {
  const hashes: (readonly [string, string])[] = []
  for (const column of columns) {
    hashes.push([column.name, columnHash(column)])
    await setImmediate()
  }
  return Object.fromEntries(hashes)
}
