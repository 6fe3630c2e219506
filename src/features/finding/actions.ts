'use server'

import type { Outcome } from '@/claims/terms/outcome'
import { signFinding } from '@/server/finding/signFinding'

/** Signs the finding of a claim as it is stored. */
export async function sign(
  claimId: string,
  signature: unknown,
): Promise<Outcome<Readonly<{ number: number }>>> {
  return signFinding(claimId, signature, new Date())
}
