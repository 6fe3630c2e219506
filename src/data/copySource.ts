import 'server-only'
import type { PGlite } from '@electric-sql/pglite'

/** What of the database's module is asked for here. */
type Files = Readonly<{
  makedev: (major: number, minor: number) => number
  registerDevice: (device: number, operations: Readonly<{ read: Read }>) => void
  mkdev: (path: string, device: number) => unknown
  unlink: (path: string) => void
}>
type Read = (stream: Stream, memory: Int8Array, at: number, length: number) => number
type Stream = Readonly<{ node: Readonly<{ name: string }> }>

/** PGlite's own device has the minor number 0. */
const [MAJOR, MINOR] = [64, 1]

/**
 * Lets the embedded database read bytes as if they stood in a file: what PGlite has for this puts them together first, then
 * reads them one by one.
 */
export class CopySource {
  readonly #files: Files
  readonly #device: number
  readonly #unread = new Map<string, Uint8Array[]>()
  #count = 0

  /** @param client - once it is ready */
  constructor(client: PGlite) {
    this.#files = client.Module.FS as unknown as Files
    this.#device = this.#files.makedev(MAJOR, MINOR)
    this.#files.registerDevice(this.#device, { read: (...asked) => this.#read(...asked) })
  }

  /** Does something while the bytes can be read, once, at a path. */
  async reading<T>(parts: readonly Uint8Array[], work: (path: string) => Promise<T>): Promise<T> {
    const name = `copied-${(this.#count += 1)}`
    const path = `/dev/${name}`
    this.#unread.set(name, [...parts].reverse())
    this.#files.mkdev(path, this.#device)
    try {
      return await work(path)
    } finally {
      this.#files.unlink(path)
      this.#unread.delete(name)
    }
  }

  #read({ node }: Stream, memory: Int8Array, at: number, length: number): number {
    const unread = this.#unread.get(node.name)!
    const to = new Uint8Array(memory.buffer, memory.byteOffset + at, length)
    let done = 0
    while (done < length && unread.length > 0) {
      const part = unread.pop()!
      const taken = part.subarray(0, length - done)
      to.set(taken, done)
      done += taken.length
      if (taken.length < part.length) unread.push(part.subarray(taken.length))
    }
    return done
  }
}
