import 'server-only'
import * as z from 'zod/mini'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { addRegisterVersion, listRegister } from '@/data/register'
import { EMPTY_INSTRUMENT, instrumentSchema, type RegisteredInstrument } from '@/desk/instrument'
import { bySchema } from '../doer'
import { newIdentifier } from '../identifier'
import { readInput } from '../input'
import { database } from '../keeping/database'
import { inTransaction } from '../transaction'

/** The office's instruments, as each stands, by name. */
export async function readInstruments(): Promise<readonly RegisteredInstrument[]> {
  const entries = await listRegister(await database(), 'instruments')
  return entries
    .map(({ words, ...entry }) => ({ ...EMPTY_INSTRUMENT, ...words, ...entry }))
    .toSorted((a, b) => (a.name < b.name ? -1 : 1))
}

const saving = z.strictObject({ id: z.optional(z.uuid()), words: instrumentSchema, by: bySchema })

/**
 * Enters an instrument on the register, or how it stands now; how it stood before is kept.
 *
 * @param input - `{ id, words, by }`, without an id a new one
 * @returns the problem `invalid`, or `name-needed` for one without a name
 */
export async function saveInstrument(input: unknown, now: Date): Promise<Outcome<Readonly<{ id: string }>>> {
  const read = readInput(saving, input)
  if (!read.ok) return read
  const { id = newIdentifier(), words, by } = read.value
  if (words.name.trim() === '')
    return failure({
      code: 'name-needed',
      path: 'words.name',
      message: 'An instrument is known by its name. Give it one, such as bench scale 3.',
    })
  return inTransaction(await database(), async (transaction) => {
    await addRegisterVersion(transaction, 'instruments', { id, words, by, now })
    return success({ id })
  })
}
