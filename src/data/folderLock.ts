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
const MAX_TRIES = 5

const holderSchema = z.object({
  token: z.string(),
  pid: z.int().positive(),
  host: z.string(),
  /** Tells a process from a later one with the same number; empty where the system does not say. */
  born: z.string(),
  since: z.iso.datetime(),
  /** Where it answers requests, which have to give its token; empty for a process that answers none. */
  address: z.string().default(''),
})
type Holder = z.infer<typeof holderSchema>

/** On the global object, because a server may load this file more than once. */
const held = globalThis as typeof globalThis & { trueWeightToken?: string }

/** What only those know who may read the lock file of this process; undefined where it holds no folder. */
export const heldToken = (): string | undefined => held.trueWeightToken

/** Who holds a folder, as far as its lock file says; undefined where nobody does. */
export function holderOf(folder: string): Holder | undefined {
  const holder = read(path.join(folder, LOCK_FILE))
  return holder && isAlive(holder) ? holder : undefined
}

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
 * @returns what lets the folder go before that
 * @throws FolderInUse where a process that lives, or one on another machine, holds it
 */
export async function lockFolder(folder: string): Promise<() => void> {
  const file = path.join(folder, LOCK_FILE)
  const own: Holder = {
    token: randomUUID(),
    pid: process.pid,
    host: hostname(),
    born: birthOf(process.pid),
    since: new Date().toISOString(),
    address: process.env.TRUE_WEIGHT_ADDRESS ?? '',
  }
  for (let attempt = 0; attempt < MAX_TRIES; attempt += 1) {
    if (create(file, own)) {
      await wait(SETTLING_MS)
      const holder = read(file)
      if (holder?.token === own.token) {
        held.trueWeightToken = own.token
        const release = () => {
          if (read(file)?.token === own.token) rmSync(file, { force: true })
        }
        process.once('exit', release)
        return release
      }
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
    writeFileSync(file, JSON.stringify(holder), { flag: 'wx', mode: 0o600 })
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
