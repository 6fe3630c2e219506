'use server'

import { revalidatePath } from 'next/cache'
import type { Outcome } from '@/claims/terms/outcome'
import { saveOffice, saveOfficeFile } from '@/server/office/office'

/** Enters what the office says of itself. */
export async function save(input: unknown): Promise<Outcome<undefined>> {
  const saved = await saveOffice(input, new Date())
  revalidatePath('/office')
  return saved
}

/** Lets reports stand without the mark, or those as DOCX look as they did without a template. */
export async function takeFileAway(name: 'mark' | 'template', by: string): Promise<Outcome<undefined>> {
  const saved = await saveOfficeFile(name, undefined, { by, now: new Date() })
  revalidatePath('/office')
  return saved
}
