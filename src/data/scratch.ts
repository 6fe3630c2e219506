import 'server-only'
import { randomUUID } from 'node:crypto'
import { closeSync, openSync, readSync, rmSync, writeSync } from 'node:fs'
import path from 'node:path'

/** A file for what is too large to be held in memory: it has no name, and is gone once it is closed or the process ends. */
export class Scratch {
  readonly #ensureRoom: (bytes: number) => void
  #file: number | undefined
  #end = 0

  /**
   * @param folder - on whose disk it stands
   * @param ensureRoom - throws where so many bytes more might not find room
   */
  constructor(folder: string, ensureRoom: (bytes: number) => void = () => {}) {
    this.#ensureRoom = ensureRoom
    const place = path.join(folder, `scratch-${randomUUID()}`)
    this.#file = openSync(place, 'wx+', 0o600)
    rmSync(place)
  }

  /** @returns the place at which the bytes begin */
  append(bytes: Uint8Array): number {
    this.#ensureRoom(bytes.length)
    const at = this.#end
    for (let done = 0; done < bytes.length;)
      done += writeSync(this.#open(), bytes, done, bytes.length - done, at + done)
    this.#end += bytes.length
    return at
  }

  /** @throws RangeError where not so many bytes stand there */
  read(at: number, length: number): Uint8Array<ArrayBuffer> {
    if (at + length > this.#end) throw new RangeError(`${this.#end} bytes are there, not ${at + length}`)
    const bytes = new Uint8Array(length)
    for (let done = 0; done < length;) done += readSync(this.#open(), bytes, done, length - done, at + done)
    return bytes
  }

  close(): void {
    if (this.#file !== undefined) closeSync(this.#file)
    this.#file = undefined
  }

  /** Its number may be another file's once it is closed. */
  #open(): number {
    if (this.#file === undefined) throw new Error('The scratch file is closed.')
    return this.#file
  }
}
