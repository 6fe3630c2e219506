import * as z from 'zod/mini'
import { storedText } from './typed'

export const CASE_STATES = ['open', 'closed', 'archived'] as const
export type CaseState = (typeof CASE_STATES)[number]

const line = storedText(500)
const NOTES_LENGTH = 20_000
export const OFFICE_LENGTH = 2000

/** What a case is called and about, who has to do with it and when, and for whom its report is: texts as a person typed them. */
export const caseWordsSchema = z.strictObject({
  reference: storedText(100),
  subject: line,
  party: line,
  people: storedText(NOTES_LENGTH),
  notes: storedText(NOTES_LENGTH),
  openedOn: line,
  dueOn: line,
  closedOn: line,
  /** The office that answers for the report: its name and its address, in lines. */
  office: storedText(OFFICE_LENGTH),
  /** Who asked for it, or what it was made for. */
  occasion: line,
  /** The name and the function of whoever authorises the report. */
  authorisedBy: line,
  /** By whom the office is accredited, and for what. */
  accreditation: storedText(OFFICE_LENGTH),
})

export type CaseWords = z.infer<typeof caseWordsSchema>

export const EMPTY_CASE: CaseWords = {
  reference: '',
  subject: '',
  party: '',
  people: '',
  notes: '',
  openedOn: '',
  dueOn: '',
  closedOn: '',
  office: '',
  occasion: '',
  authorisedBy: '',
  accreditation: '',
}

/** The words of a case among everything else that is known of it. */
export function caseWordsOf(known: CaseWords): CaseWords {
  const { reference, subject, party, people, notes, openedOn, dueOn, closedOn } = known
  const { office, occasion, authorisedBy, accreditation } = known
  return {
    ...{ reference, subject, party, people, notes, openedOn, dueOn, closedOn },
    ...{ office, occasion, authorisedBy, accreditation },
  }
}

/** What of a case is discarded, or taken up again. */
export type Turned = Readonly<{ what: 'claim' | 'sample'; id: string; isDiscarded: boolean }>
