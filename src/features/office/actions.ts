'use server'

import { revalidatePath } from 'next/cache'
import type { Outcome } from '@/claims/terms/outcome'
import { saveOffice } from '@/server/office/office'

/** Enters what the office says of itself. */
export async function save(input: unknown): Promise<Outcome<Readonly<{ id: string }>>> {
  const saved = await saveOffice(input, new Date())
  revalidatePath('/office')
  return saved
}
