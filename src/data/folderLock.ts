import 'server-only'
import { randomUUID } from 'node:crypto'
import { readFileSync, rmSync, writeFileSync } from 'node:fs'
import { hostname } from 'node:os'
import path from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import { z } from 'zod'

const LOCK_FILE = 'in-use.json'
/** Longer than another process takes between reading a stale lock and removing it. */
const SETTLING_MS = 50
const MOST_TRIES = 5

const holderSchema = z.object({
  token: z.string(),
  pid: z.int().positive(),
  host: z.string(),
  /** Tells a process from a later one with the same number; empty where the system does not say. */
  born: z.string(),
  since: z.iso.datetime(),
})
type Holder = z.infer<typeof holderSchema>

export class FolderInUse extends Error {
  constructor(folder: string, holder: Holder | undefined) {
    const who = holder
      ? `process ${holder.pid} on ${holder.host}, since ${holder.since}`
      : `a process that its lock file ${LOCK_FILE} does not name readably`
    super(
      `The data folder ${folder} is in use by ${who}. Two processes on one folder would lose data: ` +
        `stop that one first, or give another folder with --data.`,
    )
    this.name = 'FolderInUse'
  }
}

/**
 * Takes a folder for this process until it ends, however it ends: a lock left by a process that is gone is taken over.
 *
 * @throws FolderInUse where a process that lives, or one on another machine, holds it
 */
export async function lockFolder(folder: string): Promise<void> {
  const file = path.join(folder, LOCK_FILE)
  const own: Holder = {
    token: randomUUID(),
    pid: process.pid,
    host: hostname(),
    born: birthOf(process.pid),
    since: new Date().toISOString(),
  }
  for (let attempt = 0; attempt < MOST_TRIES; attempt += 1) {
    if (create(file, own)) {
      await wait(SETTLING_MS)
      const holder = read(file)
      if (holder?.token === own.token) return releaseAtExit(file, own)
      throw new FolderInUse(folder, holder)
    }
    const holder = read(file)
    if (!holder || isAlive(holder)) throw new FolderInUse(folder, holder)
    rmSync(file, { force: true })
  }
  throw new FolderInUse(folder, read(file))
}

function create(file: string, holder: Holder): boolean {
  try {
    writeFileSync(file, JSON.stringify(holder), { flag: 'wx' })
    return true
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'EEXIST') return false
    throw error
  }
}

function read(file: string): Holder | undefined {
  try {
    return holderSchema.parse(JSON.parse(readFileSync(file, 'utf8')))
  } catch {
    return undefined
  }
}

function releaseAtExit(file: string, own: Holder): void {
  process.once('exit', () => {
    if (read(file)?.token === own.token) rmSync(file, { force: true })
  })
}

/** A holder on another machine counts as alive, since nothing here can tell. */
function isAlive(holder: Holder): boolean {
  if (holder.host !== hostname()) return true
  try {
    process.kill(holder.pid, 0)
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ESRCH') return false
  }
  return birthOf(holder.pid) === holder.born
}

/** When a process began, as the system counts it: field 22 of /proc/PID/stat, behind the name in brackets. */
function birthOf(pid: number): string {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8')
    return stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19] ?? ''
  } catch {
    return ''
  }
}
