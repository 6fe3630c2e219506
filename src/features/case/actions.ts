'use server'

import { redirect } from 'next/navigation'
import { addClaim, addEmptySample } from '@/server/changeCase'

/** Adds an empty claim to a case and shows it; a case that is gone shows as such. */
export async function addNewClaim(caseId: string): Promise<void> {
  const added = await addClaim(caseId, new Date())
  redirect(added.ok ? `/cases/${caseId}/claims/${added.value.claimId}` : `/cases/${caseId}`)
}

/** Adds an empty sample to a case and shows it. */
export async function addNewSample(caseId: string): Promise<void> {
  const added = await addEmptySample(caseId, new Date())
  redirect(added.ok ? `/cases/${caseId}/samples/${added.value.sampleId}` : `/cases/${caseId}`)
}
