import 'server-only'
import * as z from 'zod/mini'
import { CASE_STATES, type CaseState, type CaseWords, caseWordsSchema } from '@/desk/caseWords'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { EMPTY_SAMPLE } from '@/desk/sampleDraft'
import type { TrailAction } from '@/desk/trail/chain'
import { changeBetween } from '@/desk/trail/change'
import { type CaseWithClaims, findCase, updateCase } from '@/data/caseRepository'
import { orderClaims } from '@/data/claimRepository'
import type { Connection } from '@/data/client'
import { inTransaction, unlessFull } from '../transaction'
import { holdCase } from '@/data/trailRepository'
import { calendarDay } from '@/intake/reading/date'
import { addCaseToday } from './addCase'
import { bySchema, type Doer } from '../doer'
import { addClaimWithSample } from '../claim/addClaim'
import { addSample } from '../sample/addSample'
import { database } from '../keeping/database'
import { isIdentifier } from '../identifier'
import { readInput } from '../input'
import { notFound } from '../problems'
import { record } from '../record'

const newCaseSchema = z.strictObject({
  reference: caseWordsSchema.shape.reference,
  subject: caseWordsSchema.shape.subject,
  party: caseWordsSchema.shape.party,
})
type NewCaseWords = Partial<z.infer<typeof newCaseSchema>>

/**
 * Opens a case of which something is known: an empty one would be litter.
 *
 * @param input - `{ reference, subject, party }`
 * @returns the problem `invalid`, or `nothing-known` where all are empty
 */
export async function openKnownCase(
  input: unknown,
  doer: Doer,
): Promise<Outcome<Readonly<{ caseId: string }>>> {
  const words = readInput(newCaseSchema, input)
  if (!words.ok) return words
  if (Object.values(words.value).every((text) => text.trim() === '')) return failure(NOTHING_KNOWN)
  return unlessFull(async () => success(await openCase(doer, words.value)))
}

const NOTHING_KNOWN: Problem = {
  code: 'nothing-known',
  path: 'subject',
  message: 'Nothing is known of the case yet. Write its reference, its subject or who makes the claims.',
}

/** Opens a case with what is known of it, and one claim that is still to be filled in. */
export async function openCase(
  doer: Doer,
  words: NewCaseWords = {},
): Promise<Readonly<{ caseId: string; claimId: string }>> {
  return (await database()).inTransaction(async (transaction) => {
    const caseId = await addCaseToday(transaction, words, doer)
    return { caseId, claimId: await addClaimWithSample(transaction, caseId, doer) }
  })
}

/** Adds a claim, still to be filled in, to a case. */
export async function addEmptyClaim(
  caseId: string,
  doer: Doer,
): Promise<Outcome<Readonly<{ claimId: string }>>> {
  return inCase(caseId, async (transaction) =>
    success({ claimId: await addClaimWithSample(transaction, caseId, doer) }),
  )
}

/** Adds a sample, still to be brought in, to a case. */
export async function addEmptySample(
  caseId: string,
  doer: Doer,
): Promise<Outcome<Readonly<{ sampleId: string }>>> {
  return inCase(caseId, async (transaction) =>
    success({ sampleId: await addSample(transaction, { caseId, draft: EMPTY_SAMPLE }, doer) }),
  )
}

const changeSchema = z.strictObject({ words: z.partial(caseWordsSchema), by: bySchema })

/**
 * Stores what a case is called, what it is about and who makes its claims.
 *
 * @param input - `{ words, by }`: only the words that changed, so that another window's changes of the others stay
 */
export async function saveCase(
  caseId: string,
  input: unknown,
  now: Date,
): Promise<Outcome<Readonly<{ savedAt: string }>>> {
  const parsed = readInput(changeSchema, input)
  if (!parsed.ok) return parsed
  const { by } = parsed.value
  const words = Object.fromEntries(
    Object.entries(parsed.value.words).filter(([, text]) => text !== undefined),
  ) as Partial<CaseWords>
  return inCase(caseId, async (transaction, known) => {
    const change = changeBetween(wordsOf(known, words), words)
    if (change) {
      await updateCase(transaction, caseId, words)
      await record(transaction, { caseId, at: now, who: by, action: 'changed', change })
    }
    return success({ savedAt: now.toISOString() })
  })
}

function wordsOf(known: CaseWithClaims, words: Partial<CaseWords>): Partial<CaseWords> {
  return Object.fromEntries(Object.keys(words).map((key) => [key, known[key as keyof CaseWords]]))
}

const STATE_ACTIONS: Readonly<Record<CaseState, TrailAction>> = {
  open: 'reopened',
  closed: 'closed',
  archived: 'archived',
}

/** Closes a case, opens it again, or puts it away; closing writes down the day where none is written yet. */
export async function changeState(
  caseId: string,
  wanted: unknown,
  { by, now }: Doer,
): Promise<Outcome<null>> {
  const read = readInput(z.enum(CASE_STATES), wanted)
  if (!read.ok) return read
  const state = read.value
  return inCase(caseId, async (transaction, known) => {
    if (known.state === state) return success(null)
    const before = { state: known.state, closedOn: known.closedOn }
    const closedOn = state === 'open' ? '' : known.closedOn || calendarDay(now)
    await updateCase(transaction, caseId, { state, closedOn })
    const change = changeBetween(before, { state, closedOn })
    await record(transaction, { caseId, at: now, who: by, action: STATE_ACTIONS[state], change })
    return success(null)
  })
}

const orderSchema = z.strictObject({ claimIds: z.array(z.uuid()).check(z.maxLength(10_000)), by: bySchema })

/**
 * Gives the claims of a case another order.
 *
 * @param input - `{ claimIds, by }`: all of the case's claims, the first first
 */
export async function reorderClaims(caseId: string, input: unknown, now: Date): Promise<Outcome<null>> {
  const parsed = readInput(orderSchema, input)
  if (!parsed.ok) return parsed
  const { claimIds, by } = parsed.value
  return inCase(caseId, async (transaction, known) => {
    const order = known.claims.map(({ id }) => id)
    if (claimIds.toSorted().join() !== order.toSorted().join()) return failure(OTHER_CLAIMS)
    const change = changeBetween({ order }, { order: claimIds })
    if (!change) return success(null)
    await orderClaims(transaction, [...claimIds, ...known.discarded.map(({ id }) => id)])
    await record(transaction, { caseId, at: now, who: by, action: 'claims-reordered', change })
    return success(null)
  })
}

const OTHER_CLAIMS: Problem = {
  code: 'changed-elsewhere',
  path: 'claimIds',
  message: 'The case has other claims by now, so the order was left as it is. Load the page again.',
}

/** Does something in a case that nobody else changes meanwhile. */
export async function inCase<T>(
  caseId: string,
  work: (transaction: Connection, known: CaseWithClaims) => Promise<Outcome<T>>,
): Promise<Outcome<T>> {
  if (!isIdentifier(caseId)) return failure(notFound('case', caseId))
  return inTransaction(await database(), async (transaction) => {
    const isThere = await holdCase(transaction, caseId)
    const known = isThere && (await findCase(transaction, caseId))
    return known ? work(transaction, known) : failure(notFound('case', caseId))
  })
}
