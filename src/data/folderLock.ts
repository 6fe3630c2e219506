import 'server-only'
import { randomUUID } from 'node:crypto'
import {
  closeSync,
  fsyncSync,
  linkSync,
  openSync,
  readdirSync,
  readFileSync,
  readlinkSync,
  rmSync,
  statSync,
  utimesSync,
  writeFileSync,
} from 'node:fs'
import { hostname } from 'node:os'
import path from 'node:path'
import { setTimeout as wait } from 'node:timers/promises'
import * as z from 'zod/mini'

const LOCK_FILE = 'in-use.json'
/** Longer than another process takes between reading a stale lock and removing it. */
const SETTLING_MS = 50
const MAX_TRIES = 5
/** A holder says so often that it lives; one that nothing else is known of is gone when it has not for so long. */
const BEAT_MS = 5_000
const SILENT_MS = 60_000

const holderSchema = z.object({
  token: z.string(),
  pid: z.int().check(z.positive()),
  host: z.string(),
  /** Tells a process from a later one with the same number; empty where the system does not say. */
  born: z.string(),
  /** The kernel and the space of processes in which its number means something; empty where the system does not say. */
  space: z._default(z.string(), ''),
  since: z.iso.datetime(),
  /** Where it answers requests, which have to give its token; empty for a process that answers none. */
  address: z._default(z.string(), ''),
})
type Holder = z.infer<typeof holderSchema>

/** On the global object, because a server may load this file more than once. */
const held = globalThis as typeof globalThis & { trueWeightToken?: string }

/** What only those know who may read the lock file of this process; undefined where it holds no folder. */
export const heldToken = (): string | undefined => held.trueWeightToken

/** Who holds a folder, as far as its lock file says; undefined where nobody does. */
export function holderOf(folder: string): Holder | undefined {
  const file = path.join(folder, LOCK_FILE)
  const holder = read(file)
  return holder && (lives(holder) ?? silenceOf(file, Date.now()) < SILENT_MS) ? holder : undefined
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

type Waiting = Readonly<{ say: (words: string) => void; silentMs: number; onLost: () => void }>

/** Whoever wrote on into a folder that is another's would lose what both wrote. */
function endHere(): void {
  console.error('Another process has taken the data folder while this one did not answer: it ends here.')
  process.exit(1)
}

/**
 * Takes a folder for this process until it ends, however it ends. A lock left by a process that is gone is taken over: by one of
 * this machine at once, by one of another, or of an unreadable lock, once nothing was heard of it for a minute.
 *
 * @param options.say - is told what is waited for, and what was taken over
 * @param options.onLost - called where another took the folder meanwhile; the process ends where it is left out
 * @param options.silentMs - after so long without a word a holder of which nothing else is known is gone
 * @returns what lets the folder go before that
 * @throws FolderInUse where a process that lives holds it, or one of which that can't be told yet
 */
export async function lockFolder(folder: string, options: Partial<Waiting> = {}): Promise<() => void> {
  const waiting = { say: console.warn, silentMs: SILENT_MS, onLost: endHere, ...options }
  const file = path.join(folder, LOCK_FILE)
  const own: Holder = {
    token: randomUUID(),
    pid: process.pid,
    host: hostname(),
    born: birthOf(process.pid),
    space: spaceHere(),
    since: new Date().toISOString(),
    address: process.env.TRUE_WEIGHT_ADDRESS ?? '',
  }
  for (let attempt = 0; attempt < MAX_TRIES; attempt += 1) {
    const { isOurs, now } = claim(file, own)
    if (isOurs) {
      await wait(SETTLING_MS)
      const holder = read(file)
      if (holder?.token !== own.token) throw new FolderInUse(folder, holder)
      held.trueWeightToken = own.token
      sweep(folder)
      return keep(file, own.token, waiting.onLost)
    }
    const holder = read(file)
    if ((holder && lives(holder)) ?? (await isHeard(file, now, waiting)))
      throw new FolderInUse(folder, holder)
    waiting.say(
      holder
        ? `The data folder was left by process ${holder.pid} on ${holder.host}, which is gone: it is taken over.`
        : `The data folder has a lock file that can't be read, and nobody keeps it: it is taken over.`,
    )
    rmSync(file, { force: true })
  }
  throw new FolderInUse(folder, read(file))
}

/**
 * Puts a lock in its place whole, and only where there is none: it is written beside it, put on the disk, and linked.
 *
 * @returns whether it is there, and the time by the clock of the folder's own file system
 */
function claim(file: string, holder: Holder): Readonly<{ isOurs: boolean; now: number }> {
  const beside = `${file}.${holder.token}`
  try {
    writeFileSync(beside, JSON.stringify(holder), { flag: 'wx', mode: 0o600 })
    const opened = openSync(/* turbopackIgnore: true */ beside, 'r')
    fsyncSync(opened)
    closeSync(opened)
    const now = statSync(/* turbopackIgnore: true */ beside).mtimeMs
    try {
      linkSync(beside, file)
      return { isOurs: true, now }
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code === 'EEXIST') return { isOurs: false, now }
      throw error
    }
  } finally {
    rmSync(beside, { force: true })
  }
}

/** A lock that was written aside by a process that was cut short before it was put in its place. */
function sweep(folder: string): void {
  for (const name of readdirSync(folder))
    if (name.startsWith(`${LOCK_FILE}.`)) rmSync(path.join(folder, name), { force: true })
}

/** Says from time to time that this process lives, and ends it where another has taken the folder meanwhile. */
function keep(file: string, token: string, onLost: () => void): () => void {
  const isOurs = () => read(file)?.token === token
  const beat = setInterval(() => {
    if (isOurs()) return touch(file)
    clearInterval(beat)
    onLost()
  }, BEAT_MS)
  beat.unref()
  const release = () => {
    clearInterval(beat)
    if (isOurs()) rmSync(file, { force: true })
  }
  process.once('exit', release)
  return release
}

function touch(file: string): void {
  const now = new Date()
  try {
    utimesSync(file, now, now)
  } catch {
    // A full or a read-only disk: what it keeps from being written is told elsewhere.
  }
}

function read(file: string): Holder | undefined {
  try {
    return holderSchema.parse(JSON.parse(readFileSync(file, 'utf8')))
  } catch {
    return undefined
  }
}

/** Waits until a holder says that it lives, or has been silent for too long. */
async function isHeard(file: string, now: number, { say, silentMs }: Waiting): Promise<boolean> {
  const before = statSync(file, { throwIfNoEntry: false })?.mtimeMs
  const left = silentMs - silenceOf(file, now)
  if (left <= 0) return false
  say(`The data folder may be in use: waiting up to ${Math.ceil(left / 1000)} s for a sign of its holder.`)
  for (const until = Date.now() + left; Date.now() < until; await wait(Math.min(1000, left))) {
    const seen = statSync(file, { throwIfNoEntry: false })?.mtimeMs
    if (seen !== before) return seen !== undefined
  }
  return false
}

/** How long nothing was heard of a lock's holder; for ever where it is gone. */
function silenceOf(file: string, now: number): number {
  const seen = statSync(file, { throwIfNoEntry: false })
  return seen ? now - seen.mtimeMs : Infinity
}

/** Whether a holder lives; undefined where nothing here can tell: it is on another machine, or its space is another one. */
function lives({ host, pid, born, space }: Holder): boolean | undefined {
  const isHere = space === '' ? host === hostname() : space === spaceHere()
  if (!isHere) return undefined
  try {
    process.kill(pid, 0)
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ESRCH') return false
  }
  return birthOf(pid) === born
}

/** The boot of the kernel and the space in which it counts processes. */
function spaceHere(): string {
  try {
    const boot = readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim()
    return `${boot} ${readlinkSync('/proc/self/ns/pid')}`
  } catch {
    return ''
  }
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
