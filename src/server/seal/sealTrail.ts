import 'server-only'
import { entryOf, readSeal, sealsOf } from '@/casefile/followsSeals'
import type { Seal } from '@/desk/trail/seal'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { insertSeals, listSeals } from '@/data/sealRepository'
import { listWholeTrail } from '@/data/trailRepository'
import { inCase } from '../case/changeCase'
import type { Doer } from '../doer'
import { isIdentifier } from '../identifier'
import { database } from '../keeping/database'
import { notFound } from '../problems'
import { record } from '../record'
import { NoStamp, stampFrom } from './authority'

/** The authority whose time stamps are asked for; undefined for the one that is simulated. */
export const authority = (): string | undefined => process.env.TRUE_WEIGHT_TIME_STAMP_URL || undefined

/** The seals of a case that hold, the first first. */
export async function readSeals(caseId: string): Promise<readonly Seal[]> {
  const db = await database()
  const kept = { seals: await listSeals(db, caseId), trail: await listWholeTrail(db, caseId) }
  return (await sealsOf(kept)).map(({ seal }) => seal)
}

/**
 * Has the trail of a case sealed as it stands: an authority outside says by a time stamp that it was there.
 *
 * @returns the problem `not-found`, `sealed-already` where nothing came since, or `authority` where it gives no time stamp that holds
 */
export async function sealTrail(caseId: string, { by, now }: Doer): Promise<Outcome<null>> {
  const trail = isIdentifier(caseId) ? await listWholeTrail(await database(), caseId) : []
  const last = trail.at(-1)
  if (!last) return failure(notFound('case', caseId))
  if (last.action === 'sealed') return failure(SEALED)
  let token: Uint8Array
  try {
    token = await stampFrom(authority(), last.hash)
  } catch (error) {
    if (!(error instanceof NoStamp)) throw error
    return failure(noStamp(error.message))
  }
  const seal = await readSeal(token, trail)
  if (seal?.hash !== last.hash) return failure(noStamp('its time stamp does not hold'))
  return inCase(caseId, async (db) => {
    await insertSeals(db, caseId, [token], (await listSeals(db, caseId)).length)
    await record(db, { caseId, at: now, who: by, action: 'sealed', detail: entryOf(seal, token) })
    return success(null)
  })
}

const SEALED: Problem = {
  code: 'sealed-already',
  path: 'trail',
  message: 'The trail is sealed as it stands: nothing came since.',
}

const noStamp = (why: string): Problem => ({
  code: 'authority',
  path: 'trail',
  message: `The trail was not sealed. The authority for time stamps was asked, and ${why}. Nothing was changed.`,
})
