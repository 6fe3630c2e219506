import 'server-only'
import * as z from 'zod/mini'
import { keysOf, readKeyStatement } from '@/casefile/signature'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { addKeyEntry, holdRegister, listKeyEntries } from '@/data/keyRepository'
import type { Connection } from '@/data/client'
import { type KeyEntry, keysIn, type RegisteredKey } from '@/desk/trail/keyRegister'
import { keyName, MAX_JWS } from '@/desk/signature'
import { instantWords } from '@/words/en/trailWords'
import { bySchema } from '../doer'
import { readInput } from '../input'
import { database } from '../keeping/database'
import { notFound } from '../problems'
import { inTransaction } from '../transaction'

/** What was signed by a key is taken so long after it, and so long before where two clocks differ. */
const [MAX_AGE_MS, MAX_AHEAD_MS] = [15 * 60_000, 60_000]

/** The register, and the first entry of it that is not what was written. */
export type Register = Readonly<{
  entries: readonly KeyEntry[]
  keys: readonly RegisteredKey[]
  brokenAt: number | undefined
}>

export async function readRegister(): Promise<Register> {
  const entries = await listKeyEntries(await database())
  const read = await keysOf(entries)
  return { entries, keys: keysIn(entries), brokenAt: read.ok ? undefined : read.number }
}

/** The keys that stand for somebody: none where the register is not what was written. */
export async function registeredKeys(db: Connection): Promise<readonly RegisteredKey[]> {
  const read = await keysOf(await listKeyEntries(db))
  return read.ok ? read.keys : []
}

const entering = z.strictObject({ proof: z.string().check(z.maxLength(MAX_JWS)) })

/**
 * Enters a key on the register, under the name that it says of itself.
 *
 * @param input - `{ proof }`: the key's statement about itself, signed by it
 * @returns the problem `invalid`, `key` (it does not hold, or is too old), `key-known`, `name-has-key` or `register`
 */
export async function enterKey(input: unknown, now: Date): Promise<Outcome<Readonly<{ key: string }>>> {
  const read = readInput(entering, input)
  if (!read.ok) return read
  const { proof } = read.value
  const said = await readKeyStatement(proof)
  if (!said || said.statement.key !== said.key) return failure(NOT_PROVEN)
  const { key, statement } = said
  const name = statement.name.trim()
  if (name === '' || name !== statement.name) return failure(NAMELESS)
  if (!isFresh(statement.at, now)) return failure(tooOld(statement.at))
  return inTransaction(await database(), async (transaction) => {
    const entries = await holdRegister(transaction)
    const known = await keysOf(entries)
    if (!known.ok) return failure(broken(known.number))
    if (known.keys.some((one) => one.key === key)) return failure(KNOWN)
    const other = known.keys.find((one) => one.name === name && one.until === undefined)
    if (other) return failure(nameHasKey(name, other.key))
    const at = laterOf(now, entries).toISOString()
    await addKeyEntry(transaction, { at, who: name, action: 'entered', name, key, proof }, entries.at(-1))
    return success({ key })
  })
}

const withdrawing = z.strictObject({ key: keyName, by: bySchema })

/**
 * Withdraws a key: what was signed with it stays signed, and nothing more is.
 *
 * @param input - `{ key, by }`
 * @returns the problem `invalid`, `not-found`, `name-needed` or `register`
 */
export async function withdrawKey(input: unknown, now: Date): Promise<Outcome<null>> {
  const read = readInput(withdrawing, input)
  if (!read.ok) return read
  const { key } = read.value
  const who = read.value.by.trim()
  if (who === '')
    return failure({
      code: 'name-needed',
      path: 'by',
      message: 'Nobody is named. Write your name at the top of the page, then withdraw the key.',
    })
  return inTransaction(await database(), async (transaction) => {
    const entries = await holdRegister(transaction)
    const known = await keysOf(entries)
    if (!known.ok) return failure(broken(known.number))
    const found = known.keys.find((one) => one.key === key && one.until === undefined)
    if (!found) return failure(notFound('key', key))
    const at = laterOf(now, entries).toISOString()
    const entry = { at, who, action: 'withdrawn', name: found.name, key, proof: '' } as const
    await addKeyEntry(transaction, entry, entries.at(-1))
    return success(null)
  })
}

/** Entries are never dated before the one before them. */
const laterOf = (now: Date, entries: readonly KeyEntry[]): Date => {
  const last = entries.at(-1)
  return last && new Date(last.at) > now ? new Date(last.at) : now
}

export function isFresh(at: string, now: Date): boolean {
  const age = now.getTime() - new Date(at).getTime()
  return age <= MAX_AGE_MS && age >= -MAX_AHEAD_MS
}

const NOT_PROVEN: Problem = {
  code: 'key',
  path: 'proof',
  message:
    'The key does not say of itself whose it is. Make it on the page of keys, or bring in its file there.',
}
const NAMELESS: Problem = {
  code: 'key',
  path: 'proof',
  message: 'The key says no name, or one with blanks around it. Write your name, and make the key again.',
}
const KNOWN: Problem = {
  code: 'key-known',
  path: 'proof',
  message: 'This key is on the register, or was withdrawn. A key that was withdrawn is not entered again.',
}

function tooOld(at: string): Problem {
  return {
    code: 'key',
    path: 'proof',
    message: `The key's statement is of ${instantWords(at)}, and is taken for a quarter of an hour. Look whether the clock of this device is right, and enter the key again.`,
  }
}

function nameHasKey(name: string, key: string): Problem {
  return {
    code: 'name-has-key',
    path: 'proof',
    message: `${name} has a key on the register (${key.slice(0, 12)}…). Bring in its file on this device, or have it withdrawn first.`,
  }
}

function broken(number: number): Problem {
  return {
    code: 'register',
    path: 'register',
    message: `Entry ${number} of the register of keys is not what was written: no key is entered or withdrawn until a backup of the register is restored.`,
  }
}
