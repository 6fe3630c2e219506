'use server'

import { revalidatePath } from 'next/cache'
import type { Outcome } from '@/claims/terms/outcome'
import { saveInstrument } from '@/server/instruments/instruments'

/** Enters an instrument on the register, or how it stands now. */
export async function save(input: unknown): Promise<Outcome<Readonly<{ id: string }>>> {
  const saved = await saveInstrument(input, new Date())
  revalidatePath('/instruments')
  return saved
}
