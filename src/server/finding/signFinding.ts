import 'server-only'
import * as z from 'zod/mini'
import { canonicalJson } from '@/desk/canonicalJson'
import type { ClaimResult } from '@/claims/checkAnswer'
import type { ClaimDraft } from '@/desk/claimDraft'
import { enteredByOf, MAX_JWS } from '@/desk/signature'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { storedText } from '@/desk/typed'
import { findClaim, type StoredClaim } from '@/data/claimRepository'
import type { Connection } from '@/data/client'
import { inTransaction } from '../transaction'
import { addFinding, listFindings } from '@/data/findingRepository'
import { findSample } from '@/data/sampleRepository'
import { type HeldCase, holdCase, notBefore } from '@/data/trailRepository'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { computing, isLong } from '../compute/computing'
import { database } from '../keeping/database'
import { documentOf } from '../check/documentOf'
import { bySchema } from '../doer'
import { fingerprintOf, fingerprintOfValue } from '../fingerprint'
import { registeredKeys } from '../keys/keys'
import { beforeSampling, keyBehind, signerProblem, toSignOf, type ToSign } from '../keys/signing'
import { isIdentifier, newIdentifier } from '../identifier'
import { readInput } from '../input'
import { notFound } from '../problems'
import { record } from '../record'

const REASON_LENGTH = 2000

const signatureSchema = z.strictObject({
  signedBy: storedText(500),
  /** Who works at the browser that it is signed at, for the trail. */
  by: bySchema,
  /** The day, as YYYY-MM-DD. */
  signedOn: storedText(20),
  /** Of the check document and the remarks that whoever signs has before them. */
  inputFingerprint: storedText(64),
  /** Why it replaces the finding of the claim that was signed before it. */
  reason: z._default(storedText(REASON_LENGTH), ''),
  /** The signature by a key, over what `readToSign` gave; absent: by name alone. */
  jws: z.optional(z.string().check(z.maxLength(MAX_JWS))),
})

/**
 * What a key signs of a finding, so that whoever holds it sees that it is what is before them.
 *
 * @param input - `{ signedBy, signedOn, inputFingerprint }`
 * @returns the text and the statement, or the problems of `signFinding`
 */
export async function readToSign(claimId: string, input: unknown, now: Date): Promise<Outcome<ToSign>> {
  return prepared(claimId, input, now, async (_, { signed, held }) => success(toSignOf(signed, held, now)))
}

/**
 * Signs the finding of a claim as it is stored: the inputs, the figures and the core's version are kept as they are, with a
 * fingerprint, whatever becomes of the claim.
 *
 * @param input - `{ signedBy, signedOn, inputFingerprint }`, `by`, `reason` where it replaces another, and `jws` where it is signed by a key
 * @returns the number of the signed finding, or the problem `invalid`, `not-found`, `name-needed`, `day-needed`,
 *   `changed-elsewhere` (what is stored is not what was before the eyes of whoever signs), `discarded`, `nothing-to-sign`,
 *   `key-needed` (who signs has a key on the register) or `key` (the signature does not hold)
 */
export async function signFinding(
  claimId: string,
  input: unknown,
  now: Date,
): Promise<Outcome<Readonly<{ number: number }>>> {
  return prepared(claimId, input, now, async (transaction, { signature, claim, result, signed, held }) => {
    const { signedBy, signedOn, inputFingerprint, jws = '' } = signature
    const fingerprint = fingerprintOf(signed)
    const keys = await registeredKeys(transaction)
    const key = await keyBehind({ jws, signedBy, fingerprint, held, now, stale: NOT_WHAT_IS_STORED }, keys)
    if (!key.ok) return key
    const at = notBefore(now, held)
    const { outcome } = result.finding
    const number = await addFinding(transaction, {
      ...{ id: newIdentifier(), claimId, signedBy, signedOn, outcome, coreVersion: result.coreVersion },
      ...{ inputFingerprint, signed, fingerprint, jws, createdAt: at },
    })
    const by = key.value === undefined ? '' : `, key ${key.value}`
    const enteredBy = enteredByOf(signature)
    const entered = enteredBy === undefined ? '' : `, entered by ${enteredBy}`
    await record(transaction, {
      ...{ caseId: claim.caseId, claimId, at, who: signedBy, action: 'signed' },
      detail: `Finding ${number}: ${OUTCOME_WORDS[outcome]}, fingerprint ${fingerprint}${by}${entered}`,
    })
    return success({ number })
  })
}

type Prepared = Readonly<{
  signature: z.output<typeof signatureSchema>
  claim: StoredClaim
  result: ClaimResult
  signed: string
  held: HeldCase
}>

/** Everything that can keep a finding from being signed is met here; the case is held while it is signed. */
async function prepared<T>(
  claimId: string,
  input: unknown,
  now: Date,
  then: (transaction: Connection, prepared: Prepared) => Promise<Outcome<T>>,
): Promise<Outcome<T>> {
  const read = readInput(signatureSchema, input)
  if (!read.ok) return read
  const signature = { ...read.value, signedBy: read.value.signedBy.trim() }
  const problem = signerProblem(signature, 'finding', now)
  if (problem) return failure(problem)
  if (!isIdentifier(claimId)) return failure(notFound('claim', claimId))
  const db = await database()
  const { check } = computing()
  // A check that takes long is made before the case is held, and known while it is.
  const seen = await findClaim(db, claimId)
  const ahead = seen && (await documentOf(db, seen.draft))
  if (ahead && isLong(ahead)) await check(ahead)
  return inTransaction(db, async (transaction) => {
    const known = await findClaim(transaction, claimId)
    const held = known && (await holdCase(transaction, known.caseId))
    const claim = held && (await findClaim(transaction, claimId))
    if (!claim) return failure(notFound('claim', claimId))
    const { draft, caseId } = claim
    if (draft.isDiscarded) return failure(DISCARDED)
    const document = await documentOf(transaction, draft)
    const result = document && (await check(document))
    if (!document || !result?.ok) return failure(NOTHING_TO_SIGN)
    const inputFingerprint = fingerprintOfValue({ document, remarks: draft.remarks })
    if (inputFingerprint !== signature.inputFingerprint) return failure(NOT_WHAT_IS_STORED)
    const samples = await samplesOf(transaction, draft)
    const early = samples
      .map((sample) => beforeSampling(signature.signedOn, sample.draft))
      .find((one) => one !== undefined)
    if (early) return failure(early)
    const [last] = await listFindings(transaction, claimId)
    const enteredBy = enteredByOf(signature)
    const signed = canonicalJson({
      kind: 'true-weight-signed-finding',
      claim: { id: claimId, caseId, draft },
      samples,
      document,
      result,
      signedBy: signature.signedBy,
      ...(enteredBy !== undefined && { enteredBy }),
      signedOn: signature.signedOn,
      ...(last && {
        replaces: {
          ...{ number: last.number, fingerprint: last.fingerprint, reason: signature.reason.trim() },
        },
      }),
    })
    return then(transaction, { signature, claim, result, signed, held })
  })
}

const DISCARDED: Problem = {
  code: 'discarded',
  path: 'claim',
  message: 'The claim is discarded: a finding of it would be in no report. Take it up again first.',
}

const NOTHING_TO_SIGN: Problem = {
  code: 'nothing-to-sign',
  path: 'claim',
  message: 'There is no finding yet. Complete the claim and its evidence first.',
}

const NOT_WHAT_IS_STORED: Problem = {
  code: 'changed-elsewhere',
  path: 'inputFingerprint',
  message:
    'What is stored is not what this page shows: another window may have changed it. Load the page again, look at the finding and sign it then.',
}

/** The samples as they are described, beside the readings in the document. */
async function samplesOf(db: Connection, { sampleId, secondSampleId }: ClaimDraft) {
  const ids = secondSampleId === null || secondSampleId === sampleId ? [sampleId] : [sampleId, secondSampleId]
  const samples = []
  for (const id of ids) {
    const sample = await findSample(db, id)
    if (sample) samples.push({ id, draft: sample.draft, file: sample.file })
  }
  return samples
}
