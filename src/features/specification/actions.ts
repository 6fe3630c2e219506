'use server'

import { revalidatePath } from 'next/cache'
import { redirect } from 'next/navigation'
import type { Outcome } from '@/claims/terms/outcome'
import { addSpecification } from '@/server/case/addSpecification'
import { addressOfCase } from '@/server/identifier'

/** Adds the claims of a specification to a case and shows it. */
export async function takeSpecification(caseId: unknown, input: unknown): Promise<Outcome<null>> {
  const id = String(caseId)
  const added = await addSpecification(id, input, new Date())
  if (!added.ok) return added
  revalidatePath(addressOfCase(id))
  redirect(addressOfCase(id))
}
