import { createHash } from 'node:crypto'
import { Readable } from 'node:stream'
import { finished } from 'node:stream/promises'
import { type Entry, fromBufferPromise, openPromise, type ZipFile as OpenedZip } from 'yauzl'
import { ZipFile } from 'yazl'
import type { Pieces } from '@/desk/pieces'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { Wrong } from './entries'

/** Quick enough for a million rows; a higher one makes files little smaller. */
const COMPRESSION = 3
/** Every entry has the same time, so that the same content is the same file. */
const NO_TIME = new Date(1980, 0, 1)
/** More than any case file has, and little enough to be held. */
const MAX_ENTRIES = 100_000
/** Below this size how well a file is packed does not matter; above it, what was measured never packs as well as this. */
const [SMALL, MAX_RATIO] = [128 * 1024 * 1024, 100]
export const MAX_UNPACKED = 1024 * 1024 * 1024

export type ZipEntry = Readonly<{ path: string; pieces: Pieces }>

const AS_PACKED = { mtime: NO_TIME, forceDosTimestamp: true, mode: 0o100644, compressionLevel: COMPRESSION }

/**
 * Packs entries as they come, a piece at a time; others go on meanwhile, since the packing itself is done in a thread. What is
 * larger than 4 GB becomes a file of the format's own kind for that, ZIP64.
 */
export async function* zipped(entries: AsyncIterable<ZipEntry>): AsyncGenerator<Uint8Array> {
  const zip = new ZipFile()
  const packed = zip.outputStream as Readable
  let made: Readable | undefined
  const addAll = async () => {
    for await (const { path, pieces } of entries) {
      // One piece is made when the one before is packed.
      made = Readable.from(pieces, { highWaterMark: 1 })
      // The packer keeps all that it was given until its end: not the stream, with what came through it.
      zip.addReadStreamLazy(path, AS_PACKED, (pack) => pack(null, made!))
      await finished(made)
    }
    zip.end()
  }
  // What goes wrong in making a piece ends the packing too.
  addAll().catch((error: Error) => packed.destroy(error))
  try {
    yield* packed
  } finally {
    made?.destroy()
  }
}

const problem = (path: string, message: string): Outcome<never> =>
  failure({
    code: 'case-file',
    path,
    message: `This is no case file that can be taken: ${message} Nothing was changed.`,
  })

/** A ZIP file that was looked into: what stands in it, unpacked where it is asked for. */
export type Archive = Readonly<{
  /** The bytes of each path, unpacked, as the file states them. */
  sizes: ReadonlyMap<string, number>
  /**
   * The bytes of a path, and their SHA-256 in hexadecimal digits; others go on meanwhile.
   *
   * @throws Wrong where it is missing or damaged, or has other bytes than stated
   */
  unpack: (path: string) => Promise<Readonly<{ bytes: Uint8Array; sha256: string }>>
  /** Nothing is unpacked afterwards. */
  close: () => void
}>

/**
 * Looks into a ZIP file, and unpacks nothing yet.
 *
 * @param source - its bytes, or where it stands on the disk: what is unpacked is then all that is in memory
 * @param isAllowed - whether a path may stand in it at all
 * @param limits.max - bytes, unpacked
 * @param limits.isOwn - from the office's own folder: however much is in it
 * @throws what the system says of a file that can't be read
 */
export async function opened(
  source: Uint8Array | Readonly<{ file: string }>,
  isAllowed: (path: string) => boolean,
  limits: Limits = {},
): Promise<Outcome<Archive>> {
  // Names are held against those that may stand in it as they are, and not mended before.
  const options = { lazyEntries: true, autoClose: false, decodeStrings: false }
  let zip: OpenedZip | undefined
  try {
    zip =
      'file' in source
        ? await openPromise(source.file, options)
        : await fromBufferPromise(Buffer.from(source.buffer, source.byteOffset, source.length), options)
    const archive = await archiveOf(zip, isAllowed, limits)
    if (!archive.ok) zip.close()
    return archive
  } catch (error) {
    if (!zip && (error as NodeJS.ErrnoException).code !== undefined) throw error
    zip?.close()
    return problem('', `it is no ZIP file, or is damaged (${messageOf(error)}).`)
  }
}

type Limits = Readonly<{ isOwn?: boolean; max?: number }>

async function archiveOf(
  zip: OpenedZip,
  isAllowed: (path: string) => boolean,
  limits: Limits,
): Promise<Outcome<Archive>> {
  const entries = new Map<string, Entry>()
  for await (const entry of zip.eachEntry()) {
    const path = entry.fileNameRaw.toString('utf8')
    if (!isAllowed(path)) return problem(path, `“${path.slice(0, 200)}” has no place in one.`)
    if (entries.has(path)) return problem(path, `“${path}” stands in it twice.`)
    if (!limits.isOwn && entries.size === MAX_ENTRIES)
      return problem('', `it has more than ${MAX_ENTRIES} entries.`)
    entries.set(path, entry)
  }
  const sizes = new Map([...entries].map(([path, { uncompressedSize }]) => [path, uncompressedSize]))
  const refused = whyNotUnpacked(sizes, zip.fileSize, limits)
  if (refused) return refused
  const unpack: Archive['unpack'] = (path) => unpacked(zip, entries.get(path), path)
  return success({ sizes, unpack, close: () => zip.close() })
}

/** What can be told from the sizes that a file states, before anything is unpacked. */
function whyNotUnpacked(
  sizes: ReadonlyMap<string, number>,
  packed: number,
  { max = MAX_UNPACKED, isOwn = false }: Limits,
): Outcome<never> | undefined {
  if (isOwn) return undefined
  const total = [...sizes.values()].reduce((sum, size) => sum + size, 0)
  if (total > max) return problem('', `unpacked it has more than ${max / 1024 / 1024} MB.`)
  const ratio = total / packed
  return total > SMALL && ratio > MAX_RATIO
    ? problem('', `unpacked it has ${Math.round(ratio)} times its size, which no measurements have.`)
    : undefined
}

async function unpacked(zip: OpenedZip, entry: Entry | undefined, path: string) {
  if (!entry) throw new Wrong(path, `${path} is missing.`)
  try {
    const bytes = new Uint8Array(entry.uncompressedSize)
    const hash = createHash('sha256')
    let at = 0
    for await (const piece of await zip.openReadStreamPromise(entry)) {
      bytes.set(piece as Uint8Array, at)
      hash.update(piece as Uint8Array)
      at += (piece as Uint8Array).length
    }
    return { bytes, sha256: hash.digest('hex') }
  } catch (error) {
    throw new Wrong(path, `${path} is damaged (${messageOf(error)}).`)
  }
}

const messageOf = (error: unknown): string => (error instanceof Error ? error.message : String(error))

export { problem as caseFileProblem }
