'use server'

import { redirect } from 'next/navigation'
import { openCase } from '@/server/case/changeCase'

/** Opens an empty case and shows it. */
export async function openNewCase(by: string): Promise<void> {
  const { caseId } = await openCase({ by, now: new Date() })
  redirect(`/cases/${caseId}`)
}
