import 'server-only'
import * as z from 'zod/mini'
import { type Outcome, success } from '@/claims/terms/outcome'
import { addRegisterVersion } from '@/data/register'
import { EMPTY_OFFICE, type OfficeEntry, type OfficeNow, officeSchema } from '@/desk/office'
import { readTemplate } from '@/report/docxTemplate'
import { readMark } from '@/report/readMark'
import { bySchema } from '../doer'
import { readInput } from '../input'
import { database } from '../keeping/database'
import { inTransaction } from '../transaction'
import { officeEntry } from './officeNow'

/** The one entry of its register. */
const ID = '00000000-0000-4000-8000-000000000000'

/** What the office says of itself, as it stands, with who changed it last; undefined while nothing was ever entered. */
export async function readOffice(): Promise<OfficeNow | undefined> {
  const entry = await officeEntry(await database())
  if (!entry) return undefined
  const { template, mark, ...words } = { ...EMPTY_OFFICE, ...entry.words }
  const { changedBy, changedAt } = entry
  return { ...words, hasTemplate: template !== undefined, mark, changedBy, changedAt }
}

const saving = z.strictObject({ words: officeSchema, by: bySchema })

/**
 * Puts what the office says of itself behind what it said before, which is kept, and so is what cases took over.
 *
 * @param input - `{ words, by }`
 * @returns the problem `invalid`
 */
export async function saveOffice(input: unknown, now: Date): Promise<Outcome<undefined>> {
  const read = readInput(saving, input)
  return read.ok ? changeOffice(read.value.words, { by: read.value.by, now }) : read
}

/** The files that an office gives for its reports, each with what is taken of it. */
const READERS = { template: readTemplate, mark: readMark } as const
export type OfficeFile = keyof typeof READERS
const giving = z.strictObject({ name: z.enum(['template', 'mark']), by: bySchema })

/**
 * Gives reports the mark of the office, or those as DOCX the styles of a file; or takes them away again.
 *
 * @param bytes - of a PNG file, or of a DOCX or DOTX file; undefined: none
 * @returns the problem `mark` or `template` where it is no such file, or `invalid`
 */
export async function saveOfficeFile(
  name: OfficeFile,
  bytes: Uint8Array | undefined,
  { by, now }: Readonly<{ by: string; now: Date }>,
): Promise<Outcome<undefined>> {
  // A page may ask for whatever it likes.
  const asked = readInput(giving, { name, by })
  if (!asked.ok) return asked
  const read = bytes && READERS[name](bytes)
  return read?.ok === false ? read : changeOffice({ [name]: read?.value }, { by: asked.value.by, now })
}

async function changeOffice(
  change: Partial<OfficeEntry>,
  { by, now }: Readonly<{ by: string; now: Date }>,
): Promise<Outcome<undefined>> {
  return inTransaction(await database(), async (transaction) => {
    const words = { ...EMPTY_OFFICE, ...(await officeEntry(transaction))?.words, ...change }
    await addRegisterVersion(transaction, 'office', { id: ID, words, by, now })
    return success(undefined)
  })
}
