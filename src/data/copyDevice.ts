import 'server-only'
import type { PGlite } from '@electric-sql/pglite'

/** What of the database's module is asked for here. */
type Files = Readonly<{
  makedev: (major: number, minor: number) => number
  registerDevice: (device: number, operations: Readonly<{ read: Transfer; write: Transfer }>) => void
  mkdev: (path: string, device: number) => unknown
  unlink: (path: string) => void
}>
/** @returns how many of the bytes that stand in the memory, or have room there, were taken over */
type Transfer = (stream: Stream, memory: Int8Array, at: number, length: number) => number
type Stream = Readonly<{ node: Readonly<{ name: string }> }>

/** PGlite's own device has the minor number 0. */
const [MAJOR, MINOR] = [64, 1]

/**
 * What the embedded database copies from and to, as if it were a file: PGlite's own device puts all bytes together first, and
 * reads them one by one.
 */
export class CopyDevice {
  readonly #files: Files
  readonly #device: number
  /** By the name of each file: what is still to be read, the next part last; or what was written, in its order. */
  readonly #parts = new Map<string, Uint8Array[]>()
  #count = 0

  /** @param client - once it is ready */
  constructor(client: PGlite) {
    this.#files = client.Module.FS as unknown as Files
    this.#device = this.#files.makedev(MAJOR, MINOR)
    this.#files.registerDevice(this.#device, {
      read: ({ node }, ...memory) => readInto(bytesAt(...memory), this.#parts.get(node.name)!),
      write: ({ node }, ...memory) => {
        const written = bytesAt(...memory).slice()
        this.#parts.get(node.name)!.push(written)
        return written.length
      },
    })
  }

  /** Does something while the parts can be read, once, at a path. */
  async reading(parts: readonly Uint8Array[], copy: (path: string) => Promise<unknown>): Promise<void> {
    await this.#at(parts.toReversed(), copy)
  }

  /** @returns what is written at a path while something is done */
  async written(copy: (path: string) => Promise<unknown>): Promise<Uint8Array> {
    return Buffer.concat(await this.#at([], copy))
  }

  async #at(parts: Uint8Array[], copy: (path: string) => Promise<unknown>): Promise<Uint8Array[]> {
    const name = `copy-${(this.#count += 1)}`
    const path = `/dev/${name}`
    this.#parts.set(name, parts)
    this.#files.mkdev(path, this.#device)
    try {
      await copy(path)
      return parts
    } finally {
      this.#files.unlink(path)
      this.#parts.delete(name)
    }
  }
}

const bytesAt = ({ buffer, byteOffset }: Int8Array, at: number, length: number) =>
  new Uint8Array(buffer, byteOffset + at, length)

function readInto(room: Uint8Array, unread: Uint8Array[]): number {
  let done = 0
  while (done < room.length && unread.length > 0) {
    const part = unread.pop()!
    const taken = part.subarray(0, room.length - done)
    room.set(taken, done)
    done += taken.length
    if (taken.length < part.length) unread.push(part.subarray(taken.length))
  }
  return done
}
