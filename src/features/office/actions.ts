'use server'

import { revalidatePath } from 'next/cache'
import type { Outcome } from '@/claims/terms/outcome'
import { saveMark, saveOffice, saveTemplate } from '@/server/office/office'

/** Enters what the office says of itself. */
export async function save(input: unknown): Promise<Outcome<undefined>> {
  const saved = await saveOffice(input, new Date())
  revalidatePath('/office')
  return saved
}

/** Lets reports stand without a mark. */
export async function takeMarkAway(by: string): Promise<Outcome<undefined>> {
  const saved = await saveMark(undefined, { by, now: new Date() })
  revalidatePath('/office')
  return saved
}

/** Lets the DOCX files of reports look as they did without a template. */
export async function takeTemplateAway(by: string): Promise<Outcome<undefined>> {
  const saved = await saveTemplate(undefined, { by, now: new Date() })
  revalidatePath('/office')
  return saved
}
