import 'server-only'
import { closeSync, fsyncSync, openSync, rmSync, statfsSync, statSync, writeSync } from 'node:fs'
import path from 'node:path'

const MEBIBYTE = 1024 * 1024
/** Kept in a file of its own, so that a change that is under way when the disk fills up can be ended. */
const RESERVE = 48 * MEBIBYTE
/** No change is begun with less than this: a few segments of the database's log, each of 16 MiB. */
const NEEDED = 32 * MEBIBYTE

/** Nothing can be written; what is there can be read. */
export class DiskFull extends Error {
  constructor(folder: string) {
    super(`The disk with ${folder} is full. Nothing was changed: make room, and try again. Reading goes on.`)
    this.name = 'DiskFull'
  }
}

/** The room on the disk of a data folder. */
export class DiskSpace {
  readonly #folder: string
  readonly #reserve: string

  constructor(folder: string) {
    this.#folder = folder
    this.#reserve = path.join(folder, 'reserve')
    this.#setAside()
  }

  /**
   * @param bytes - how much more than a few words the change takes
   * @throws DiskFull where a change might not come to its end
   */
  ensure(bytes = 0): void {
    this.#setAside()
    if (this.#free() < NEEDED + bytes) throw new DiskFull(this.#folder)
  }

  /** Lets a change that is under way come to its end. */
  release(): void {
    rmSync(this.#reserve, { force: true })
  }

  #setAside(): void {
    if (statSync(this.#reserve, { throwIfNoEntry: false })?.size === RESERVE) return
    if (this.#free() < RESERVE + NEEDED) return
    try {
      fill(this.#reserve)
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'ENOSPC') throw error
      this.release()
    }
  }

  #free(): number {
    const { bavail, bsize } = statfsSync(this.#folder)
    return bavail * bsize
  }
}

/** Written and not only lengthened, since a file's holes take no room. */
function fill(place: string): void {
  const file = openSync(place, 'w', 0o600)
  try {
    const piece = Buffer.alloc(MEBIBYTE, 1)
    for (let written = 0; written < RESERVE; written += piece.length) writeSync(file, piece)
    fsyncSync(file)
  } finally {
    closeSync(file)
  }
}
