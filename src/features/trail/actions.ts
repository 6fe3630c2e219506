'use server'

import { revalidatePath } from 'next/cache'
import type { Outcome } from '@/claims/terms/outcome'
import { doerOf } from '@/server/doer'
import { sealTrail } from '@/server/seal/sealTrail'

/** Has the trail of a case sealed as it stands. */
export async function seal(caseId: unknown, by: unknown): Promise<Outcome<null>> {
  const sealed = await sealTrail(String(caseId), doerOf(by))
  revalidatePath('/cases/[caseId]/trail', 'page')
  return sealed
}
