import { unzipSync } from 'fflate'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { workbookProblems } from './workbookProblems'

/** More than any workbook of measurements holds; an archive that says so is made to fill the memory. */
const MAX_UNPACKED = 400_000_000

export type Zip = Readonly<{
  has: (name: string) => boolean
  /** The text of a part, a piece at a time; throws where it is damaged or missing. */
  text: (name: string) => Iterable<string>
}>

const PIECE = 256 * 1024

/** Opens a ZIP archive without unpacking it: each part is unpacked when it is asked for, into as many bytes as it states. */
export function openZip(bytes: Uint8Array): Outcome<Zip> {
  const sizes = new Map<string, number>()
  try {
    unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        sizes.set(name, originalSize)
        return false
      },
    })
  } catch (error) {
    return failure(workbookProblems.damaged(error instanceof Error ? error.message : String(error)))
  }
  const total = [...sizes.values()].reduce((sum, size) => sum + size, 0)
  if (total > MAX_UNPACKED) return failure(workbookProblems.tooLarge(total, MAX_UNPACKED))
  return success({
    has: (name) => sizes.has(name),
    text: function* (name) {
      const part = unzipSync(bytes, { filter: (file) => file.name === name })[name]
      if (!part) throw new Error(`it has no part ${name}`)
      const decoder = new TextDecoder('utf-8', { fatal: true })
      for (let at = 0; at < part.length; at += PIECE)
        yield decoder.decode(part.subarray(at, at + PIECE), { stream: true })
      yield decoder.decode()
    },
  })
}
