'use server'

import { revalidatePath } from 'next/cache'
import type { Outcome } from '@/claims/terms/outcome'
import { saveControlPlan } from '@/server/plans/controlPlans'

/** Keeps a control plan of the office, or how it stands now. */
export async function savePlan(input: unknown): Promise<Outcome<Readonly<{ id: string }>>> {
  const saved = await saveControlPlan(input, new Date())
  revalidatePath('/plans')
  return saved
}
