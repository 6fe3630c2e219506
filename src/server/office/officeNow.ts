import 'server-only'
import type { Connection } from '@/data/connection'
import { listRegister, type RegisterEntry } from '@/data/register'
import {
  type DocxTemplate,
  EMPTY_OFFICE,
  type Office,
  type OfficeEntry,
  type OfficeMark,
} from '@/desk/office'

/** The one entry of the office's register; undefined while nothing was ever entered. */
export const officeEntry = async (db: Connection): Promise<RegisterEntry<OfficeEntry> | undefined> =>
  (await listRegister(db, 'office')).at(0)

/** What a case that is opened now takes over. */
export async function officeNow(db: Connection): Promise<Office> {
  const { office, authorisedBy, accreditation } = { ...EMPTY_OFFICE, ...(await officeEntry(db))?.words }
  return { office, authorisedBy, accreditation }
}

/** The mark at the head of reports; undefined where none was given. */
export const markNow = async (db: Connection): Promise<OfficeMark | undefined> =>
  (await officeEntry(db))?.words.mark

/** What the DOCX files of reports take of a file of the office's own; undefined where none was given. */
export const templateNow = async (db: Connection): Promise<DocxTemplate | undefined> =>
  (await officeEntry(db))?.words.template
