import 'server-only'
import * as z from 'zod/mini'
import { type Outcome, success } from '@/claims/terms/outcome'
import { BENCH_IDS, type BenchCheck, benchCheckSchema } from '@/desk/bench'
import { caseWordsSchema } from '@/desk/caseWords'
import type { Connection } from '@/data/client'
import { addCaseToday } from '../case/addCase'
import { inCase } from '../case/changeCase'
import { addClaim } from '../claim/addClaim'
import { bySchema, type Doer } from '../doer'
import { readInput } from '../input'
import { database } from '../keeping/database'
import { addSample } from '../sample/addSample'
import { inTransaction } from '../transaction'

const keeping = z.strictObject({
  check: benchCheckSchema,
  /** The case that it is put into, or the subject of a new one. */
  into: z.union([
    z.strictObject({ caseId: z.string() }),
    z.strictObject({
      subject: caseWordsSchema.shape.subject.check(z.refine((text) => text.trim() !== '', 'a subject')),
    }),
  ]),
  by: bySchema,
})

type Place = Readonly<{ caseId: string; claimId: string }>

/**
 * Puts a check of the bench into a case: its claim and its samples become the case's own.
 *
 * @param input - `{ check, into, by }`; `into` is `{ caseId }`, or `{ subject }` for a new case
 * @returns the problem `invalid`, or `not-found` where there is no such case
 */
export async function keepCheck(input: unknown, now: Date): Promise<Outcome<Place>> {
  const read = readInput(keeping, input)
  if (!read.ok) return read
  const { check, into, by } = read.value
  const doer = { by, now }
  if ('caseId' in into) {
    const { caseId } = into
    return inCase(caseId, async (transaction) =>
      success({ caseId, claimId: await keepIn(transaction, caseId, check, doer) }),
    )
  }
  return inTransaction(await database(), async (transaction) => {
    const caseId = await addCaseToday(transaction, { subject: into.subject }, doer)
    return success({ caseId, claimId: await keepIn(transaction, caseId, check, doer) })
  })
}

async function keepIn(db: Connection, caseId: string, check: BenchCheck, doer: Doer): Promise<string> {
  const { claim, sample, second } = check
  const sampleId = await addSample(db, { caseId, draft: sample }, doer)
  const other = claim.secondSampleId
  const secondSampleId =
    other === BENCH_IDS.second ? await addSample(db, { caseId, draft: second }, doer) : other && sampleId
  return addClaim(db, { caseId, draft: { ...claim, sampleId, secondSampleId }, isFromBench: true }, doer)
}
