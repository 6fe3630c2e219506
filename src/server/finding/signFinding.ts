import 'server-only'
import { z } from 'zod'
import { canonicalJson } from '@/desk/canonicalJson'
import type { ClaimDraft } from '@/desk/claimDraft'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { storedText } from '@/desk/typed'
import { findClaim } from '@/data/claimRepository'
import type { Connection } from '@/data/client'
import { inTransaction } from '../transaction'
import { addFinding } from '@/data/findingRepository'
import { findSample } from '@/data/sampleRepository'
import { holdCase, notBefore } from '@/data/trailRepository'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { readDate } from '@/intake/reading/date'
import { computing, isLong } from '../compute/computing'
import { database } from '../keeping/database'
import { documentOf } from '../check/documentOf'
import { fingerprintOf, fingerprintOfValue } from './fingerprint'
import { isIdentifier, newIdentifier } from '../identifier'
import { readInput } from '../input'
import { notFound } from '../problems'
import { record } from '../record'

const signatureSchema = z.strictObject({
  signedBy: storedText(500),
  /** The day, as YYYY-MM-DD. */
  signedOn: storedText(20),
  /** Of the check document and the remarks that whoever signs has before them. */
  inputFingerprint: storedText(64),
})

/**
 * Signs the finding of a claim as it is stored: the inputs, the figures and the core's version are kept as they are, with a
 * fingerprint, whatever becomes of the claim.
 *
 * @param input - `{ signedBy, signedOn, inputFingerprint }`
 * @returns the number of the signed finding, or the problem `invalid`, `not-found`, `name-needed`, `day-needed`,
 *   `changed-elsewhere` (what is stored is not what was before the eyes of whoever signs) `discarded` or `nothing-to-sign`
 */
export async function signFinding(
  claimId: string,
  input: unknown,
  now: Date,
): Promise<Outcome<Readonly<{ number: number }>>> {
  const signature = readInput(signatureSchema, input)
  if (!signature.ok) return signature
  const problem = problemWith(signature.value)
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
    const at = notBefore(now, held)
    const { draft, caseId } = claim
    if (draft.isDiscarded) return failure(DISCARDED)
    const document = await documentOf(transaction, draft)
    const result = document && (await check(document))
    if (!document || !result?.ok) return failure(NOTHING_TO_SIGN)
    const inputFingerprint = fingerprintOfValue({ document, remarks: draft.remarks })
    if (inputFingerprint !== signature.value.inputFingerprint) return failure(NOT_WHAT_IS_STORED)
    const { signedBy, signedOn } = signature.value
    const signed = canonicalJson({
      kind: 'true-weight-signed-finding',
      claim: { id: claimId, caseId, draft },
      samples: await samplesOf(transaction, draft),
      document,
      result,
      signedBy: signedBy.trim(),
      signedOn,
    })
    const number = await addFinding(transaction, {
      id: newIdentifier(),
      claimId,
      signedBy: signedBy.trim(),
      signedOn,
      outcome: result.finding.outcome,
      coreVersion: result.coreVersion,
      inputFingerprint,
      signed,
      fingerprint: fingerprintOf(signed),
      createdAt: at,
    })
    await record(transaction, {
      caseId,
      claimId,
      at,
      who: signedBy,
      action: 'signed',
      detail: `Finding ${number}: ${OUTCOME_WORDS[result.finding.outcome]}, fingerprint ${fingerprintOf(signed)}`,
    })
    return success({ number })
  })
}

function problemWith({ signedBy, signedOn }: z.output<typeof signatureSchema>): Problem | undefined {
  if (signedBy.trim() === '')
    return { code: 'name-needed', path: 'signedBy', message: 'Nobody is named. Write who signs the finding.' }
  if (/^\d{4}-\d{2}-\d{2}$/.test(signedOn) && readDate(signedOn, 'year-first') !== undefined) return undefined
  const message = `The day is “${signedOn}”. Write it such as 2026-01-14.`
  return { code: 'day-needed', path: 'signedOn', message }
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
