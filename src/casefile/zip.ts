import { setImmediate } from 'node:timers/promises'
import { unzipSync, Zip, ZipDeflate } from 'fflate'
import { failure, type Outcome, success } from '@/claims/terms/outcome'

/** Quick enough for a million rows; a higher one makes files little smaller. */
const COMPRESSION = 3
/** Every entry has the same time, so that the same content is the same file. */
const NO_TIME = new Date(1980, 0, 1)
/** More than any case file has, and little enough to be held. */
const MAX_ENTRIES = 100_000
/** Below this size how well a file is packed does not matter; above it, what was measured never packs as well as this. */
const [SMALL, MAX_RATIO] = [128 * 1024 * 1024, 100]
export const MAX_UNPACKED = 1024 * 1024 * 1024

export type ZipEntry = Readonly<{ path: string; pieces: Iterable<Uint8Array> }>

/** Packs entries as they come, a piece at a time, and lets others go on meanwhile. */
export async function* zipped(entries: AsyncIterable<ZipEntry>): AsyncGenerator<Uint8Array> {
  const ready: Uint8Array[] = []
  const zip = new Zip((error, data) => {
    if (error) throw error
    ready.push(data)
  })
  for await (const { path, pieces } of entries) {
    const entry = new ZipDeflate(path, { level: COMPRESSION })
    entry.mtime = NO_TIME
    zip.add(entry)
    for (const piece of pieces) {
      entry.push(piece)
      yield* ready.splice(0)
      await setImmediate()
    }
    entry.push(new Uint8Array(0), true)
    yield* ready.splice(0)
  }
  zip.end()
  yield* ready.splice(0)
}

const problem = (path: string, message: string): Outcome<never> =>
  failure({
    code: 'case-file',
    path,
    message: `This is no case file that can be taken: ${message} Nothing was changed.`,
  })

/**
 * Unpacks a ZIP file into memory.
 *
 * @param isAllowed - whether a path may stand in it at all
 * @param limits.max - bytes, unpacked
 * @param limits.isOwn - from the office's own folder, whatever its ratio
 */
export function unzipped(
  bytes: Uint8Array,
  isAllowed: (path: string) => boolean,
  limits: Readonly<{ max?: number; isOwn?: boolean }> = {},
): Outcome<ReadonlyMap<string, Uint8Array>> {
  const names: string[] = []
  try {
    const refused = whyNotUnpacked(bytes, isAllowed, limits)
    if (refused) return refused
    const entries = unzipSync(bytes, {
      filter: ({ name }) => {
        names.push(name)
        return true
      },
    })
    return success(new Map(Object.entries(entries)))
  } catch (error) {
    const reason = error instanceof Error ? error.message : String(error)
    // The one that was being unpacked.
    const last = names.at(-1)
    return last === undefined || canBeUnpacked(bytes, last)
      ? problem('', `it is no ZIP file, or is damaged (${reason}).`)
      : problem(last, `${last} is damaged (${reason}).`)
  }
}

/** What can be told from the sizes and names that a file states, before anything is unpacked. */
function whyNotUnpacked(
  bytes: Uint8Array,
  isAllowed: (path: string) => boolean,
  { max = MAX_UNPACKED, isOwn = false }: Readonly<{ max?: number; isOwn?: boolean }>,
): Outcome<never> | undefined {
  const names = new Set<string>()
  let unpacked = 0
  let refused: Outcome<never> | undefined
  unzipSync(bytes, {
    filter: ({ name, originalSize }) => {
      unpacked += originalSize
      if (!isAllowed(name)) refused ??= problem(name, `“${name.slice(0, 200)}” has no place in one.`)
      if (names.has(name)) refused ??= problem(name, `“${name}” stands in it twice.`)
      names.add(name)
      return false
    },
  })
  if (refused) return refused
  if (names.size > MAX_ENTRIES) return problem('', `it has more than ${MAX_ENTRIES} entries.`)
  if (unpacked > max) return problem('', `unpacked it has more than ${max / 1024 / 1024} MB.`)
  const ratio = unpacked / bytes.length
  return !isOwn && unpacked > SMALL && ratio > MAX_RATIO
    ? problem('', `unpacked it has ${Math.round(ratio)} times its size, which no measurements have.`)
    : undefined
}

function canBeUnpacked(bytes: Uint8Array, path: string): boolean {
  try {
    unzipSync(bytes, { filter: ({ name }) => name === path })
    return true
  } catch {
    return false
  }
}

export { problem as caseFileProblem }
