import 'server-only'
import { type CaseWords, EMPTY_CASE } from '@/desk/caseWords'
import { changeBetween } from '@/desk/trail/change'
import { insertCase } from '@/data/caseRepository'
import type { Connection } from '@/data/client'
import { calendarDay } from '@/intake/reading/date'
import type { Doer } from '../doer'
import { newIdentifier } from '../identifier'
import { officeNow } from '../office/officeNow'
import { record } from '../record'

/** Adds a case that is opened today, with what is known of it, and what the office says of itself. */
export const addCaseToday = async (
  db: Connection,
  known: Partial<CaseWords>,
  doer: Doer,
  detail = '',
): Promise<string> => {
  const today = { ...(await officeNow(db)), openedOn: calendarDay(doer.now) }
  return addCase(db, { ...EMPTY_CASE, ...today, ...known }, doer, detail)
}

/** Adds a case, open, with nothing in it yet. */
export async function addCase(
  db: Connection,
  words: CaseWords,
  { by, now }: Doer,
  detail = '',
): Promise<string> {
  const caseId = newIdentifier()
  await insertCase(db, { id: caseId, ...words, createdAt: now, updatedAt: now })
  const change = changeBetween(EMPTY_CASE, words)
  await record(db, { caseId, at: now, who: by, action: 'opened', detail, change })
  return caseId
}
