import 'server-only'
import { readFindingStatement, signatureOf } from '@/casefile/signature'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { type HeldCase, notBefore } from '@/data/trailRepository'
import type { SampleDraft } from '@/desk/sampleDraft'
import type { FindingStatement, Signature } from '@/desk/signature'
import type { RegisteredKey } from '@/desk/trail/keyRegister'
import { dateText, readDate } from '@/intake/reading/date'
import { readDay } from '@/intake/reading/day'
import { instantWords } from '@/words/en/trailWords'
import { fingerprintOf } from '../fingerprint'
import { isFresh } from './keys'

/** What a key is to sign: the whole text of a finding or of a plan, and the statement about it. */
export type ToSign = Readonly<{ signed: string; statement: FindingStatement }>

/** @param held - the case that it belongs to, as its trail stands */
export function toSignOf(signed: string, held: HeldCase, now: Date): ToSign {
  const { length, hash } = held
  const finding = fingerprintOf(signed)
  const at = notBefore(now, held).toISOString()
  return { signed, statement: { kind: 'true-weight-signature', finding, trail: { length, hash }, at } }
}

/**
 * The key that signed, held against the register and what is stored; undefined where it is signed by name alone.
 *
 * @param input.stale - what is said where it was signed of something else than what is stored
 */
export async function keyBehind(
  input: Readonly<{
    jws: string
    signedBy: string
    fingerprint: string
    held: HeldCase
    now: Date
    stale: Problem
  }>,
  keys: readonly RegisteredKey[],
): Promise<Outcome<string | undefined>> {
  const { jws, signedBy, fingerprint, held, now, stale } = input
  if (jws === '') {
    const own = keys.find(({ name, until }) => name === signedBy && until === undefined)
    return own ? failure(keyNeeded(signedBy, own.key)) : success(undefined)
  }
  const read = await readFindingStatement(jws)
  if (!read) return failure(NOT_SIGNED)
  const { finding, trail, at } = read.statement
  const isOver = finding === fingerprint && trail.length === held.length && trail.hash === held.hash
  if (!isOver || !isFresh(at, now)) return failure(stale)
  const { standing } = (await signatureOf({ jws, signedBy, createdAt: now }, keys)) as Extract<
    Signature,
    { by: 'key' }
  >
  return standing === 'registered' ? success(read.key) : failure(notRegistered(signedBy))
}

/** So far ahead of the clock of Greenwich is the first one that a day comes to. */
const FIRST_CLOCK_MS = 14 * 3_600_000

/** What keeps a signature from being one: nobody is named, or no day, or one that has come nowhere yet. */
export function signerProblem(
  { signedBy, signedOn }: Readonly<{ signedBy: string; signedOn: string }>,
  what: string,
  now: Date,
): Problem | undefined {
  if (signedBy.trim() === '')
    return { code: 'name-needed', path: 'signedBy', message: `Nobody is named. Write who signs the ${what}.` }
  if (!/^\d{4}-\d{2}-\d{2}$/.test(signedOn) || readDate(signedOn, 'year-first') === undefined)
    return dayProblem(`The day is “${signedOn}”. Write it such as 2026-01-14.`)
  const last = new Date(now.getTime() + FIRST_CLOCK_MS).toISOString().slice(0, 10)
  if (signedOn <= last) return undefined
  return dayProblem(
    `${signedOn} is to come: this server has ${instantWords(now.toISOString())}. Write the day on which the ${what} is signed.`,
  )
}

/** That a finding is signed on a day before its sample was drawn or measured, where the day of that is stated. */
export function beforeSampling(
  signedOn: string,
  { drawnWhen, measuredOn }: Pick<SampleDraft, 'drawnWhen' | 'measuredOn'>,
): Problem | undefined {
  const days = [readDay(drawnWhen), readDay(measuredOn)].flatMap((day) => (day?.ok ? [day.last] : []))
  const last = Math.max(...days)
  if (readDate(signedOn, 'year-first')! >= last) return undefined
  return dayProblem(
    `${signedOn} is before ${dateText(last)}, by when the sample was drawn and measured. Write the day on which the finding is signed, or mend that of the sample.`,
  )
}

const dayProblem = (message: string): Problem => ({ code: 'day-needed', path: 'signedOn', message })

const NOT_SIGNED: Problem = {
  code: 'key',
  path: 'jws',
  message: 'The signature is not what its key signed. Load the page again and sign it then.',
}

function keyNeeded(name: string, key: string): Problem {
  return {
    code: 'key-needed',
    path: 'jws',
    message: `${name} has a key on the register (${key.slice(0, 12)}…), so that nobody signs by this name without it. Sign on the device that holds it, or bring in its file on the page of keys.`,
  }
}

function notRegistered(name: string): Problem {
  return {
    code: 'key',
    path: 'jws',
    message: `The key of this device does not stand on the register for ${name}. Enter it on the page of keys, or sign by the name that it is entered under.`,
  }
}
