'use server'

import { revalidatePath } from 'next/cache'
import type { Outcome } from '@/claims/terms/outcome'
import { enterKey, withdrawKey } from '@/server/keys/keys'

/** Enters a key on the register: what it says of itself, signed by it. */
export async function enter(proof: unknown): Promise<Outcome<Readonly<{ key: string }>>> {
  const entered = await enterKey({ proof }, new Date())
  revalidatePath('/keys')
  return entered
}

/** Withdraws a key. */
export async function withdraw(key: unknown, by: unknown): Promise<Outcome<null>> {
  const withdrawn = await withdrawKey({ key, by }, new Date())
  revalidatePath('/keys')
  return withdrawn
}
