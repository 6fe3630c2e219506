import * as z from 'zod/mini'
import { OFFICE_LENGTH } from './caseWords'
import { storedText } from './typed'

/** What the office says of itself, as it is typed; a case takes it over as it stands on the day that it is opened. */
export const officeSchema = z.strictObject({
  /** Its name and its address, in lines. */
  office: storedText(OFFICE_LENGTH),
  /** The name and the function of whoever authorises its reports, if it is always the same. */
  authorisedBy: storedText(500),
  /** By whom it is accredited, and for what. */
  accreditation: storedText(OFFICE_LENGTH),
})
export type Office = Readonly<z.infer<typeof officeSchema>>

/** What the DOCX files of its reports take of a file of the office's own: styles and theme, as XML; no theme is an empty text. */
export type DocxTemplate = Readonly<{ styles: string; theme: string }>

/** The picture at the head of its reports: a PNG file in base64, without transparency. */
export type OfficeMark = Readonly<{ png: string; width: number; height: number }>

/** What stands on its register. */
export type OfficeEntry = Office &
  Readonly<{ template?: DocxTemplate | undefined; mark?: OfficeMark | undefined }>

/** The same as a page shows it. */
export type OfficeNow = Office &
  Readonly<{ hasTemplate: boolean; mark: OfficeMark | undefined; changedBy: string; changedAt: string }>

export const EMPTY_OFFICE: Office = { office: '', authorisedBy: '', accreditation: '' }
