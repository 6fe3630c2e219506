import 'server-only'
import * as z from 'zod/mini'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { canonicalJson } from '@/desk/canonicalJson'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import type { LockedPlan } from '@/desk/lockedPlan'
import { claimOfPlan, type PlanDraft, planDraftSchema } from '@/desk/planDraft'
import { EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { MAX_JWS } from '@/desk/signature'
import { storedText } from '@/desk/typed'
import type { Connection } from '@/data/client'
import { type HeldCase, holdCase, notBefore } from '@/data/trailRepository'
import { planDetail } from '@/words/en/lockedPlanWords'
import { addCaseToday } from '../case/addCase'
import { inCase } from '../case/changeCase'
import { addClaim } from '../claim/addClaim'
import { inThread, unlessGivenUp } from '../compute/pool'
import type { Doer } from '../doer'
import { fingerprintOf } from '../fingerprint'
import { isIdentifier } from '../identifier'
import { readInput } from '../input'
import { database } from '../keeping/database'
import { registeredKeys } from '../keys/keys'
import { keyBehind, signerProblem, toSignOf, type ToSign } from '../keys/signing'
import { notFound } from '../problems'
import { record } from '../record'
import { addSample } from '../sample/addSample'
import { inTransaction } from '../transaction'

const locking = z.strictObject({
  draft: planDraftSchema,
  lockedBy: storedText(500),
  /** The day, as YYYY-MM-DD. */
  lockedOn: storedText(20),
  /** The signature by a key, over what `readPlanToSign` gave; absent: by name alone. */
  jws: z.optional(z.string().check(z.maxLength(MAX_JWS))),
})

/**
 * What a key signs of a plan, so that whoever holds it sees that it is what is before them.
 *
 * @param input - `{ draft, lockedBy, lockedOn }`
 * @returns the text and the statement, or the problems of `lockPlan`
 */
export async function readPlanToSign(caseId: string, input: unknown, now: Date): Promise<Outcome<ToSign>> {
  return prepared(caseId, input, now, async (_, { plan, held }) =>
    success(toSignOf(canonicalJson(plan), held, now)),
  )
}

/**
 * Locks a plan in a case: a sample with no reading yet, a claim that is held against it for each of the plan, and on the trail
 * the plan itself, signed.
 *
 * @param input - `{ draft, lockedBy, lockedOn }`, and `jws` where it is signed by a key
 * @returns the first claim, or the problem `invalid`, `not-found`, `not-open`, `name-needed`, `day-needed`, `not-planned`,
 *   `changed-elsewhere` (the case has changed since it was signed), `key-needed` or `key`
 */
export async function lockPlan(
  caseId: string,
  input: unknown,
  now: Date,
): Promise<Outcome<Readonly<{ claimId: string }>>> {
  return prepared(caseId, input, now, async (db, { plan, draft, held, jws }) => {
    const { lockedBy } = plan
    const fingerprint = fingerprintOf(canonicalJson(plan))
    const keys = await registeredKeys(db)
    const about = { jws, signedBy: lockedBy, fingerprint, held, now, stale: CASE_CHANGED }
    const key = await keyBehind(about, keys)
    if (!key.ok) return key
    const doer = { by: lockedBy, now: notBefore(now, held) }
    const sampleId = await addSample(db, { caseId, draft: sampleFor(draft, plan) }, doer)
    const claimIds: string[] = []
    for (const [place, { test }] of plan.claims.entries()) {
      const claim = { ...EMPTY_CLAIM, ...claimOfPlan(draft, place, test.method), sampleId }
      const claimId = await addClaim(db, { caseId, draft: claim }, doer)
      await record(db, {
        ...{ caseId, claimId, sampleId, at: doer.now, who: lockedBy, action: 'planned' },
        detail: planDetail(plan, place + 1, { fingerprint, key: key.value }),
        change: { before: '', after: canonicalJson({ place: place + 1, plan, jws }) },
      })
      claimIds.push(claimId)
    }
    return success({ claimId: claimIds[0]! })
  })
}

/** A case that a plan is locked in, before there is anything else in it. */
export async function openCaseFor(
  subject: unknown,
  doer: Doer,
): Promise<Outcome<Readonly<{ caseId: string }>>> {
  const read = readInput(storedText(500), subject)
  if (!read.ok) return read
  if (read.value.trim() === '') return failure(NO_SUBJECT)
  return inTransaction(await database(), async (transaction) =>
    success({ caseId: await addCaseToday(transaction, { subject: read.value }, doer) }),
  )
}

/** What is known of the sample before it is taken. */
const sampleFor = ({ lotSize, layers, decimalMark }: PlanDraft, { claims }: LockedPlan) => ({
  ...EMPTY_SAMPLE,
  decimalMark,
  // Layers make a lot whose size nobody typed.
  lotSize: lotSize.trim() || String(claims[0]!.assume.lotSize ?? ''),
  strataSizes: layers
    .split(';')
    .map((layer) => layer.trim())
    .filter((layer) => layer !== '')
    .join('\n'),
})

type Prepared = Readonly<{ plan: LockedPlan; draft: PlanDraft; held: HeldCase; jws: string }>

/** Everything that can keep a plan from being locked is met here; the case is held while it is. */
async function prepared<T>(
  caseId: string,
  input: unknown,
  now: Date,
  then: (transaction: Connection, prepared: Prepared) => Promise<Outcome<T>>,
): Promise<Outcome<T>> {
  const read = readInput(locking, input)
  if (!read.ok) return read
  const { draft, lockedOn, jws = '' } = read.value
  const lockedBy = read.value.lockedBy.trim()
  const problem = signerProblem({ signedBy: lockedBy, signedOn: lockedOn }, 'plan', now)
  if (problem) return failure(problem)
  if (!isIdentifier(caseId)) return failure(notFound('case', caseId))
  return unlessGivenUp(async () => {
    // What exact tests find can take long to work out: no case is held for it.
    const ready = await inThread('planToLock', draft)
    if (!ready.ok) return ready
    const plan = { ...ready.value, caseId, lockedBy, lockedOn }
    return inCase(caseId, async (transaction, { state }) => {
      if (state !== 'open') return failure(NOT_OPEN)
      const held = (await holdCase(transaction, caseId))!
      return then(transaction, { plan, draft, held, jws })
    })
  })
}

const NOT_OPEN: Problem = {
  code: 'not-open',
  path: 'caseId',
  message: 'The case is closed. Open it again, or choose another one.',
}

const NO_SUBJECT: Problem = {
  code: 'nothing-known',
  path: 'subject',
  message: 'The case has no subject. Write what it is about.',
}

const CASE_CHANGED: Problem = {
  code: 'changed-elsewhere',
  path: 'jws',
  message: 'The case has changed since the plan was signed. Lock it once more.',
}
