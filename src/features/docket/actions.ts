'use server'

import { revalidatePath } from 'next/cache'
import { redirect } from 'next/navigation'
import type { Outcome, Problem } from '@/claims/terms/outcome'
import { doerOf } from '@/server/doer'
import { openKnownCase } from '@/server/case/changeCase'
import { clearDemo, layOutDemo } from '@/server/docket/demo'

/** Opens a case of which something is known and shows it, or says why it can't be opened. */
export async function openNewCase(words: unknown, by: string): Promise<Problem> {
  const opened = await openKnownCase(words, doerOf(by))
  if (!opened.ok) return opened.problem
  redirect(`/cases/${opened.value.caseId}`)
}

/** Lays out the demo's cases on an empty docket. */
export async function layOut(): Promise<Outcome<null>> {
  const laid = await layOutDemo()
  revalidatePath('/')
  return laid
}

/** Takes the demo's cases away again; those in which anything was done stay, and are named. */
export async function clearAway(): Promise<Outcome<readonly string[]>> {
  const cleared = await clearDemo()
  revalidatePath('/')
  return cleared
}
