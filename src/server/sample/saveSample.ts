import 'server-only'
import * as z from 'zod/mini'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { type SampleDraft, sampleDraftSchema, type SetAside } from '@/desk/sampleDraft'
import { storedText } from '@/desk/typed'
import { changeBetween } from '@/desk/trail/change'
import { listClaimsOf, updateOutcome } from '@/data/claimRepository'
import type { Connection } from '@/data/client'
import { inTransaction } from '../transaction'
import { findSample, type StoredSample, updateSample } from '@/data/sampleRepository'
import { holdCase } from '@/data/trailRepository'
import { database } from '../keeping/database'
import { isIdentifier } from '../identifier'
import { readInput } from '../input'
import { outcomeOf } from '../check/outcomeOf'
import { changedElsewhere, notFound } from '../problems'
import { recordAll } from '../record'
import type { Saved } from '../saved'

const changeSchema = z.strictObject({
  draft: sampleDraftSchema,
  revision: z.int().check(z.positive()),
  /** Who sets readings aside or brings them back. */
  by: storedText(500),
})

/**
 * Stores a sample as it stands, with an entry on the trail for each reading that was set aside or brought back, and the
 * outcome of every claim that it serves.
 *
 * @param input - `{ draft, revision, by }`
 * @returns the new revision, or the problem `invalid`, `not-found` or `changed-elsewhere`
 */
export async function saveSample(sampleId: string, input: unknown, now: Date): Promise<Outcome<Saved>> {
  const change = readInput(changeSchema, input)
  if (!change.ok) return change
  if (!isIdentifier(sampleId)) return failure(notFound('sample', sampleId))
  const { draft, revision, by } = change.value
  return inTransaction(await database(), async (transaction): Promise<Outcome<Saved>> => {
    const known = await findSample(transaction, sampleId)
    // Held before the sample is read, so that nothing is decided on what another change is just replacing.
    if (known) await holdCase(transaction, known.caseId)
    const stored = known && (await findSample(transaction, sampleId))
    if (!stored) return failure(notFound('sample', sampleId))
    const isTurned = draft.isDiscarded !== stored.draft.isDiscarded
    const problem = isTurned ? NOT_SO : cellsChanged(stored, draft)
    if (problem) return failure(problem)
    const next = await updateSample(transaction, { id: sampleId, revision, draft, now })
    if (next === undefined) return failure(changedElsewhere('sample'))
    await recordChange(transaction, { stored, draft, by, now })
    await refreshOutcomes(transaction, { ...stored, draft })
    return success({ revision: next, savedAt: now.toISOString() })
  })
}

/** A file stays as it was handed in: its rows and the names and kinds of its columns are nobody's to change. */
function cellsChanged({ draft: before }: StoredSample, after: SampleDraft): Problem | undefined {
  const shape = ({ kind, columns }: SampleDraft) =>
    kind === 'file' ? JSON.stringify(columns.map((column) => [column.name, column.kind])) : ''
  if (shape(before) === shape(after) && (before.kind === 'file') === (after.kind === 'file')) return undefined
  return {
    code: 'invalid',
    path: 'draft.columns',
    message:
      'The columns of a file keep the names and kinds that they came with. Describe them by their labels.',
  }
}

const NOT_SO: Problem = {
  code: 'invalid',
  path: 'draft.isDiscarded',
  message: 'A sample is discarded, and taken up again, on its case and not by a change of its words.',
}

/** What is set aside and brought back has an entry for each reading; everything else that changed, one together. */
async function recordChange(
  db: Connection,
  { stored, draft, by, now }: Readonly<{ stored: StoredSample; draft: SampleDraft; by: string; now: Date }>,
): Promise<void> {
  const { added, gone, moved } = changedAsides(stored.draft.setAside, draft.setAside)
  const about = { caseId: stored.caseId, sampleId: stored.id, at: now, who: by }
  const change = changeBetween(
    { ...stored.draft, setAside: [], movedRows: [] },
    { ...draft, setAside: [], movedRows: moved },
  )
  await recordAll(db, [
    ...gone.map(({ row, reason }) => ({
      ...about,
      action: 'brought-back' as const,
      detail: `Row ${row + 1}, which had been set aside: ${reason}`,
    })),
    ...(change ? [{ ...about, action: 'sample-changed' as const, detail: draft.name, change }] : []),
    ...added.map(({ row, reason, by: who }) => ({
      ...about,
      who,
      action: 'set-aside' as const,
      detail: `Row ${row + 1}: ${reason}`,
    })),
  ])
}

/** What was set aside, what was brought back, and which rows moved with others above them: from where to where, from 1. */
function changedAsides(before: readonly SetAside[], after: readonly SetAside[]) {
  const [known, kept] = [before, after].map((list) => new Set(list.map(wholeOf)))
  const leaving = new Map<string, SetAside[]>()
  for (const one of before) {
    if (kept!.has(wholeOf(one))) continue
    const alike = leaving.get(wordsOf(one))
    if (alike) alike.push(one)
    else leaving.set(wordsOf(one), [one])
  }
  const moved: (readonly [number, number])[] = []
  const added = after.filter((one) => {
    if (known!.has(wholeOf(one))) return false
    const from = leaving.get(wordsOf(one))?.shift()
    if (from) moved.push([from.row + 1, one.row + 1])
    return !from
  })
  return { added, gone: [...leaving.values()].flat(), moved }
}

const wordsOf = ({ reason, by }: SetAside): string => JSON.stringify([reason, by])
const wholeOf = (one: SetAside): string => `${one.row} ${wordsOf(one)}`

async function refreshOutcomes(db: Connection, sample: StoredSample): Promise<void> {
  for (const claim of await listClaimsOf(db, sample.id))
    await updateOutcome(db, claim.id, await outcomeOf(db, claim.draft, [sample]))
}
