'use server'

import { redirect } from 'next/navigation'
import { revalidatePath } from 'next/cache'
import type { CaseState, Turned } from '@/desk/caseWords'
import type { Outcome } from '@/claims/terms/outcome'
import { addEmptyClaim, addEmptySample, changeState, reorderClaims } from '@/server/case/changeCase'
import { addressOfCase } from '@/server/identifier'
import { doerOf } from '@/server/doer'
import { turn } from '@/server/case/discard'
import { duplicateCase } from '@/server/case/duplicateCase'

/** Adds an empty claim to a case and shows it; a case that is gone shows as such. */
export async function addNewClaim(caseId: string, by: string): Promise<void> {
  const added = await addEmptyClaim(caseId, doerOf(by))
  redirect(added.ok ? `/cases/${caseId}/claims/${added.value.claimId}` : addressOfCase(caseId))
}

/** Adds an empty sample to a case and shows it. */
export async function addNewSample(caseId: string, by: string): Promise<void> {
  const added = await addEmptySample(caseId, doerOf(by))
  redirect(added.ok ? `/cases/${caseId}/samples/${added.value.sampleId}` : addressOfCase(caseId))
}

/** Discards a claim or a sample of a case, or takes it up again, and shows the case. */
export async function turnAndShow(caseId: string, turned: Turned, by: string): Promise<void> {
  await turn(caseId, turned, doerOf(by))
  revalidatePath(addressOfCase(caseId))
  redirect(addressOfCase(caseId))
}

/** Closes a case, opens it again, or archives it. */
export async function putInState(caseId: string, state: CaseState, by: string): Promise<void> {
  await changeState(caseId, state, doerOf(by))
  revalidatePath(addressOfCase(caseId))
}

/** Opens a case after the pattern of this one and shows it. */
export async function openAfterPattern(caseId: string, by: string): Promise<void> {
  const opened = await duplicateCase(caseId, doerOf(by))
  redirect(addressOfCase(opened.ok ? opened.value.caseId : caseId))
}

/** Stores a new order of a case's claims. */
export async function storeOrder(
  caseId: string,
  claimIds: readonly string[],
  by: string,
): Promise<Outcome<null>> {
  const stored = await reorderClaims(caseId, { claimIds, by }, new Date())
  revalidatePath(addressOfCase(caseId))
  return stored
}
