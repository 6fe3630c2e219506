import { createHash } from 'node:crypto'
import { unzipSync, zipSync } from 'fflate'

type Files = Record<string, Uint8Array>

/** A case file with some of its entries changed; with a manifest that fits them again where that is asked for. */
export function changedFile(
  bytes: Uint8Array,
  change: (entries: Files) => void,
  manifest: 'kept' | 'made anew' = 'kept',
): Uint8Array {
  const entries: Files = unzipSync(bytes)
  change(entries)
  if (manifest === 'made anew') {
    const known = JSON.parse(text(entries['manifest.json']!))
    known.files = Object.entries(entries)
      .filter(([path]) => path !== 'manifest.json')
      .map(([path, bytes]) => {
        const sha256 = createHash('sha256').update(bytes).digest('hex')
        return { path, bytes: bytes.length, sha256 }
      })
    entries['manifest.json'] = bytesOf(JSON.stringify(known))
  }
  return zipSync(entries)
}

export const text = (bytes: Uint8Array) => new TextDecoder().decode(bytes)
export const bytesOf = (words: string) => new TextEncoder().encode(words)
export const edit = (path: string, from: string | RegExp, to: string) => (entries: Files) => {
  const before = text(entries[path]!)
  const after = before.replace(from, to)
  if (after === before) throw new Error(`${path} has no ${String(from)}`)
  entries[path] = bytesOf(after)
}
