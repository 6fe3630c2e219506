import { createHash } from 'node:crypto'
import { pipeline, Readable } from 'node:stream'
import { crc32, createDeflateRaw } from 'node:zlib'
import { Zip, type ZipInputFile } from 'fflate'
import { type Entry, fromBufferPromise, type ZipFile } from 'yauzl'
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

const DEFLATED = 8

/** Packs entries as they come, a piece at a time; others go on meanwhile, since the packing itself is done in a thread. */
export async function* zipped(entries: AsyncIterable<ZipEntry>): AsyncGenerator<Uint8Array> {
  const ready: Uint8Array[] = []
  const zip = new Zip((error, data) => {
    if (error) throw error
    ready.push(data)
  })
  for await (const { path, pieces } of entries) {
    const entry: ZipInputFile = { filename: path, compression: DEFLATED, mtime: NO_TIME, size: 0, crc: 0 }
    zip.add(entry)
    for await (const packed of deflated(pieces, entry)) {
      entry.ondata!(null, packed, false)
      yield* ready.splice(0)
    }
    entry.ondata!(null, new Uint8Array(0), true)
    yield* ready.splice(0)
  }
  zip.end()
  yield* ready.splice(0)
}

/** What pieces are when packed; how many bytes they have, and their check sum, are counted into the entry as they pass. */
function deflated(pieces: Pieces, entry: ZipInputFile): AsyncIterable<Uint8Array<ArrayBuffer>> {
  const counted = async function* () {
    for await (const piece of pieces) {
      entry.size += piece.length
      entry.crc = crc32(piece, entry.crc)
      yield piece
    }
  }
  // One piece is made when the one before is packed, and what goes wrong in making it ends the packing too.
  const made = Readable.from(counted(), { highWaterMark: 1 })
  return pipeline(made, createDeflateRaw({ level: COMPRESSION }), () => {})
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
}>

/**
 * Looks into a ZIP file, and unpacks nothing yet.
 *
 * @param isAllowed - whether a path may stand in it at all
 * @param limits.max - bytes, unpacked
 * @param limits.isOwn - from the office's own folder, whatever its ratio
 */
export async function opened(
  bytes: Uint8Array,
  isAllowed: (path: string) => boolean,
  limits: Readonly<{ max?: number; isOwn?: boolean }> = {},
): Promise<Outcome<Archive>> {
  try {
    const buffer = Buffer.from(bytes.buffer, bytes.byteOffset, bytes.byteLength)
    // Names are held against those that may stand in it as they are, and not mended before.
    const zip = await fromBufferPromise(buffer, { lazyEntries: true, autoClose: false, decodeStrings: false })
    const entries = new Map<string, Entry>()
    for await (const entry of zip.eachEntry()) {
      const path = entry.fileNameRaw.toString('utf8')
      if (!isAllowed(path)) return problem(path, `“${path.slice(0, 200)}” has no place in one.`)
      if (entries.has(path)) return problem(path, `“${path}” stands in it twice.`)
      if (entries.size === MAX_ENTRIES) return problem('', `it has more than ${MAX_ENTRIES} entries.`)
      entries.set(path, entry)
    }
    const sizes = new Map([...entries].map(([path, { uncompressedSize }]) => [path, uncompressedSize]))
    const refused = whyNotUnpacked(sizes, bytes.length, limits)
    return refused ?? success({ sizes, unpack: (path) => unpacked(zip, entries.get(path), path) })
  } catch (error) {
    return problem('', `it is no ZIP file, or is damaged (${messageOf(error)}).`)
  }
}

/** What can be told from the sizes that a file states, before anything is unpacked. */
function whyNotUnpacked(
  sizes: ReadonlyMap<string, number>,
  packed: number,
  { max = MAX_UNPACKED, isOwn = false }: Readonly<{ max?: number; isOwn?: boolean }>,
): Outcome<never> | undefined {
  const total = [...sizes.values()].reduce((sum, size) => sum + size, 0)
  if (total > max) return problem('', `unpacked it has more than ${max / 1024 / 1024} MB.`)
  const ratio = total / packed
  return !isOwn && total > SMALL && ratio > MAX_RATIO
    ? problem('', `unpacked it has ${Math.round(ratio)} times its size, which no measurements have.`)
    : undefined
}

async function unpacked(zip: ZipFile, entry: Entry | undefined, path: string) {
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
