import 'server-only'
import * as z from 'zod/mini'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { findClaim } from '@/data/claimRepository'
import { askedOf } from '@/intake/readDraft'
import { readingListsOf, readingsCsv } from '@/intake/readingLists'
import { claimTitle } from '@/words/en/claimTitle'
import { readingOf } from '../check/documentOf'
import { isIdentifier } from '../identifier'
import { readInput } from '../input'
import { database } from '../keeping/database'
import { notFound } from '../problems'

const askedSchema = z.strictObject({ of: z.optional(z.enum(['first', 'second', 'package'])) })

/**
 * The readings that a claim's finding rests on, as the CSV file whose SHA-256 its report states.
 *
 * @param parameters - `of`: which of two lists; absent: the first
 * @returns the file, or the problem `invalid`, `not-found` or `no-readings`
 */
export async function readReadings(
  claimId: string,
  parameters: URLSearchParams,
): Promise<Outcome<Readonly<{ name: string; type: string; bytes: Uint8Array }>>> {
  const asked = readInput(askedSchema, Object.fromEntries(parameters))
  if (!asked.ok) return asked
  const db = await database()
  const claim = isIdentifier(claimId) ? await findClaim(db, claimId) : undefined
  if (!claim) return failure(notFound('claim', claimId))
  const reading = await readingOf(db, claim.draft)
  const document = reading && askedOf(reading)
  const lists = document ? readingListsOf(document, reading) : []
  const { of = 'first' } = asked.value
  const list = lists.find((one) => (one.of ?? 'first') === of)
  if (!list) return failure(NO_READINGS)
  const bytes = new TextEncoder().encode(readingsCsv(list))
  return success({
    name: `Readings of ${claimTitle(claim.draft)}.csv`,
    type: 'text/csv; charset=utf-8',
    bytes,
  })
}

const NO_READINGS = {
  code: 'no-readings',
  path: 'of',
  message:
    'There is no such list of readings: nothing is left to test yet, the finding rests on figures or a count, or it has one list only.',
}
