import 'server-only'
import { z } from 'zod'
import { EMPTY_CLAIM } from '@/core/claim/draft'
import { failure, type Outcome, success } from '@/core/outcome'
import { EMPTY_SAMPLE } from '@/core/sample/sampleDraft'
import { storedText } from '@/core/typed'
import { insertCase, updateCase } from '@/data/caseRepository'
import { insertClaim } from '@/data/claimRepository'
import { type Connection, inTransaction } from '@/data/client'
import { addSample } from './addSample'
import { database } from './database'
import { isIdentifier, newIdentifier } from './identifier'
import { readInput } from './input'
import { notFound } from './problems'

const caseWords = z.strictObject({
  reference: storedText(100),
  subject: storedText(500),
  party: storedText(500),
})

/** Opens a case with one claim, both still to be filled in. */
export async function openCase(now: Date): Promise<Readonly<{ caseId: string; claimId: string }>> {
  const caseId = newIdentifier()
  const empty = { reference: '', subject: '', party: '' }
  return inTransaction(await database(), async (transaction) => {
    await insertCase(transaction, { id: caseId, ...empty, createdAt: now, updatedAt: now })
    return { caseId, claimId: await insertEmptyClaim(transaction, caseId, now) }
  })
}

/** Adds a claim, still to be filled in, to a case. */
export async function addClaim(caseId: string, now: Date): Promise<Outcome<Readonly<{ claimId: string }>>> {
  if (!isIdentifier(caseId)) return failure(notFound('case', caseId))
  return inTransaction(await database(), async (transaction) => {
    if (!(await updateCase(transaction, caseId, { updatedAt: now }))) return failure(notFound('case', caseId))
    return success({ claimId: await insertEmptyClaim(transaction, caseId, now) })
  })
}

/** Adds a sample, still to be brought in, to a case. */
export async function addEmptySample(
  caseId: string,
  now: Date,
): Promise<Outcome<Readonly<{ sampleId: string }>>> {
  if (!isIdentifier(caseId)) return failure(notFound('case', caseId))
  return inTransaction(await database(), async (transaction) => {
    if (!(await updateCase(transaction, caseId, { updatedAt: now }))) return failure(notFound('case', caseId))
    return success({ sampleId: await addSample(transaction, { caseId, draft: EMPTY_SAMPLE, now }) })
  })
}

/** Stores what a case is called, what it is about and who makes its claims. */
export async function saveCase(
  caseId: string,
  input: unknown,
  now: Date,
): Promise<Outcome<Readonly<{ savedAt: string }>>> {
  const parsed = readInput(caseWords, input)
  if (!parsed.ok) return parsed
  const isThere =
    isIdentifier(caseId) && (await updateCase(await database(), caseId, { ...parsed.value, updatedAt: now }))
  return isThere ? success({ savedAt: now.toISOString() }) : failure(notFound('case', caseId))
}

async function insertEmptyClaim(db: Connection, caseId: string, now: Date): Promise<string> {
  const id = newIdentifier()
  const sampleId = await addSample(db, { caseId, draft: EMPTY_SAMPLE, now })
  await insertClaim(db, { id, caseId, draft: { ...EMPTY_CLAIM, sampleId }, outcome: null, now })
  return id
}
