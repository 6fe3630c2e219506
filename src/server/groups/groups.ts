import 'server-only'
import * as z from 'zod/mini'
import type { GroupsResult } from '@/answers/groups'
import type { LotsResult } from '@/answers/lots'
import type { CheckError } from '@/claims/checkAnswer'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { type ClaimDraft, claimDraftSchema } from '@/desk/claimDraft'
import { findClaim, listClaims } from '@/data/claimRepository'
import type { Connection } from '@/data/client'
import { findSample } from '@/data/sampleRepository'
import { canonicalJson } from '@/desk/canonicalJson'
import { readGroupwise } from '@/intake/readGroupwise'
import { type LotLeftOut, readLots } from '@/intake/readLots'
import { addClaim } from '../claim/addClaim'
import { saveClaim } from '../claim/saveClaim'
import { computing } from '../compute/computing'
import { unlessGivenUp } from '../compute/pool'
import { sourceOf } from '../check/documentOf'
import { bySchema, type Doer } from '../doer'
import { isIdentifier } from '../identifier'
import { readInput } from '../input'
import { database } from '../keeping/database'
import { notFound } from '../problems'
import { holdCase } from '@/data/trailRepository'
import { inTransaction } from '../transaction'
import type { Saved } from '../saved'

const sampleSource = (db: Connection) => async (id: string) => {
  const sample = await findSample(db, id)
  return sample && sourceOf(db, sample)
}

/** A claim held against each entry of its column of groups. */
export async function readGroups(draft: ClaimDraft): Promise<Outcome<GroupsResult>> {
  const db = await database()
  const document = await readGroupwise(draft, sampleSource(db))
  if (!document.ok) return document
  return unlessGivenUp(async () => settled(await computing().groups(document.value)))
}

/** A claim held against its own sample and those of the other lots that it names. */
export async function readLotsOf(
  draft: ClaimDraft,
  wants: Readonly<{ pool: boolean }>,
): Promise<Outcome<LotsResult & Readonly<{ leftOut: readonly LotLeftOut[] }>>> {
  const db = await database()
  const read = await readLots(draft, sampleSource(db), wants)
  if (!read.ok) return read
  const { document, leftOut } = read.value
  return unlessGivenUp(async () => {
    const answer = settled(await computing().lots(document))
    return answer.ok ? success({ ...answer.value, leftOut }) : answer
  })
}

function settled<T extends Readonly<{ ok: boolean }>>(
  answer: T | CheckError,
): Outcome<Extract<T, { ok: true }>> {
  return answer.ok ? success(answer as Extract<T, { ok: true }>) : failure((answer as CheckError).error)
}

const { groupsBy, lots, adjustment } = claimDraftSchema.shape
const changeSchema = z.strictObject({
  change: z.strictObject({
    groupsBy: z.optional(groupsBy),
    lots: z.optional(lots),
    adjustment: z.optional(adjustment),
  }),
  by: bySchema,
})

/**
 * Keeps with a claim by which column, and against which lots, it is held, and how that is adjusted.
 *
 * @param input - `{ change: { groupsBy, lots, adjustment }, by }`
 */
export async function changeGroups(claimId: string, input: unknown, now: Date): Promise<Outcome<Saved>> {
  const read = readInput(changeSchema, input)
  if (!read.ok) return read
  const claim = isIdentifier(claimId) ? await findClaim(await database(), claimId) : undefined
  if (!claim) return failure(notFound('claim', claimId))
  const { change, by } = read.value
  const stated = Object.fromEntries(Object.entries(change).filter(([, value]) => value !== undefined))
  const draft = { ...claim.draft, ...stated }
  return saveClaim(claimId, { draft, revision: claim.revision, by }, now)
}

/**
 * A claim about one group: that of the whole with the rows of the group kept. It is added once, and found again after that.
 *
 * @returns the identifier of the claim, or the problem `not-found`, or `invalid` where the group’s name is longer than a claim keeps
 */
export async function claimOfGroup(
  claimId: string,
  label: string,
  doer: Doer,
): Promise<Outcome<Readonly<{ caseId: string; claimId: string }>>> {
  if (!isIdentifier(claimId)) return failure(notFound('claim', claimId))
  return inTransaction(await database(), async (transaction) => {
    const known = await findClaim(transaction, claimId)
    const held = known && (await holdCase(transaction, known.caseId))
    const claim = held && (await findClaim(transaction, claimId))
    if (!claim) return failure(notFound('claim', claimId))
    const { draft: whole, caseId } = claim
    const read = readInput(claimDraftSchema, ofGroup(whole, label))
    if (!read.ok) return read
    const draft = read.value
    const same = (await listClaims(transaction, caseId)).find(
      (one) => !one.draft.isDiscarded && canonicalJson(one.draft) === canonicalJson(draft),
    )
    if (same) return success({ caseId, claimId: same.id })
    return success({ caseId, claimId: await addClaim(transaction, { caseId, draft }, doer) })
  })
}

/** The same claim with only the rows of one group kept. */
function ofGroup(draft: ClaimDraft, label: string): ClaimDraft {
  const own = { column: draft.groupsBy, relation: 'is', value: label, upTo: '' } as const
  const kept = draft.kept.length === 0 ? [[own]] : draft.kept.map((list) => [...list, own])
  return { ...draft, kept, groupsBy: '', lots: [], remarks: '' }
}
