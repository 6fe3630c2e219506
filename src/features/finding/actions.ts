'use server'

import type { Outcome } from '@/claims/terms/outcome'
import type { TrailTold } from '@/desk/trail/told'
import { readTold } from '@/server/claim/readClaim'
import { readToSign, signFinding } from '@/server/finding/signFinding'
import type { ToSign } from '@/server/keys/signing'

/** What the finding of a claim has to tell of the trail, as it is stored now. */
export async function toldNow(claimId: string): Promise<TrailTold> {
  return readTold(claimId)
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
