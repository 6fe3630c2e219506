import 'server-only'
import * as z from 'zod/mini'
import { type Outcome, success } from '@/claims/terms/outcome'
import type { Connection } from '@/data/connection'
import { addRegisterVersion, listRegister, type RegisterEntry } from '@/data/register'
import { EMPTY_OFFICE, type Office, officeSchema } from '@/desk/office'
import { bySchema } from '../doer'
import { newIdentifier } from '../identifier'
import { readInput } from '../input'
import { database } from '../keeping/database'
import { inTransaction } from '../transaction'

/** What the office says of itself, as it stands; undefined while nothing was ever entered. */
const entryOf = async (db: Connection): Promise<RegisterEntry<Office> | undefined> =>
  (await listRegister(db, 'office')).at(0)

/** What a case that is opened now takes over. */
export const officeNow = async (db: Connection): Promise<Office> => ({
  ...EMPTY_OFFICE,
  ...(await entryOf(db))?.words,
})

/** The same for the page on which it is changed, with who changed it last. */
export async function readOffice(): Promise<RegisterEntry<Office> | undefined> {
  return entryOf(await database())
}

const saving = z.strictObject({ words: officeSchema, by: bySchema })

/**
 * Puts how the office says what it is behind how it said it before, which is kept, and so is what cases took over.
 *
 * @param input - `{ words, by }`
 * @returns the problem `invalid`
 */
export async function saveOffice(input: unknown, now: Date): Promise<Outcome<Readonly<{ id: string }>>> {
  const read = readInput(saving, input)
  if (!read.ok) return read
  return inTransaction(await database(), async (transaction) => {
    const id = (await entryOf(transaction))?.id ?? newIdentifier()
    await addRegisterVersion(transaction, 'office', { id, ...read.value, now })
    return success({ id })
  })
}
