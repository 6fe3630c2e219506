'use server'

import type { Outcome } from '@/claims/terms/outcome'
import type { ChangedAfter } from '@/desk/trail/changedAfter'
import { readChangedAfter } from '@/server/claim/readClaim'
import { readToSign, signFinding, type ToSign } from '@/server/finding/signFinding'

/** What of a claim was changed after its readings were in, as it is stored now. */
export async function changedAfterNow(claimId: string): Promise<readonly ChangedAfter[]> {
  return readChangedAfter(claimId)
}

/** What a key is to sign of the finding of a claim as it is stored. */
export async function toSign(claimId: string, signature: unknown): Promise<Outcome<ToSign>> {
  return readToSign(claimId, signature, new Date())
}

/** Signs the finding of a claim as it is stored. */
export async function sign(
  claimId: string,
  signature: unknown,
): Promise<Outcome<Readonly<{ number: number }>>> {
  return signFinding(claimId, signature, new Date())
}
