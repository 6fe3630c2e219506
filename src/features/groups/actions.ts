'use server'

import { revalidatePath } from 'next/cache'
import { redirect } from 'next/navigation'
import type { Outcome } from '@/claims/terms/outcome'
import { doerOf } from '@/server/doer'
import { changeGroups, claimOfGroup } from '@/server/groups/groups'

/** Keeps by which column, or against which lots, a claim is held, and how it is adjusted. */
export async function keepGroups(claimId: unknown, change: unknown, by: unknown): Promise<Outcome<null>> {
  const saved = await changeGroups(String(claimId), { change, by }, new Date())
  revalidatePath('/cases/[caseId]/claims/[claimId]', 'layout')
  return saved.ok ? { ok: true, value: null } : saved
}

/** Shows the claim about one group on its own workbench, which it has from then on. */
export async function openGroup(claimId: unknown, label: unknown, by: unknown): Promise<Outcome<never>> {
  const opened = await claimOfGroup(String(claimId), String(label), doerOf(by))
  if (!opened.ok) return opened
  redirect(`/cases/${opened.value.caseId}/claims/${opened.value.claimId}`)
}
