'use server'

import { redirect } from 'next/navigation'
import type { Problem } from '@/claims/terms/outcome'
import { doerOf } from '@/server/doer'
import { openKnownCase } from '@/server/case/changeCase'

/** Opens a case of which something is known and shows it, or says why it can't be opened. */
export async function openNewCase(words: unknown, by: string): Promise<Problem> {
  const opened = await openKnownCase(words, doerOf(by))
  if (!opened.ok) return opened.problem
  redirect(`/cases/${opened.value.caseId}`)
}
