'use server'

import { revalidatePath } from 'next/cache'
import type { Outcome } from '@/core/outcome'
import { signFinding } from '@/server/signFinding'

/** Signs the finding of a claim as it is stored. */
export async function sign(
  place: Readonly<{ caseId: string; claimId: string }>,
  signature: unknown,
): Promise<Outcome<Readonly<{ number: number }>>> {
  const signed = await signFinding(place.claimId, signature, new Date())
  if (signed.ok) revalidatePath(`/cases/${place.caseId}/claims/${place.claimId}`)
  return signed
}
