import { refusalOf } from '@/ownSite'
import { backUpTo, isKeeper, restoreFrom } from '@/server/keeping/keeper'
import * as z from 'zod/mini'
import { readInput } from '@/server/input'
import { answerWith, readBody } from '@/server/programs/answer'

const orderSchema = z.strictObject({
  do: z.enum(['backup', 'restore']),
  file: z.string().check(
    z.minLength(1),
    z.maxLength(4096),
    z.refine((name) => name.startsWith('/') && !name.includes('\0'), 'an absolute path'),
  ),
})

/**
 * Backs everything up to a file of this machine, or restores from one: `{ "do": "backup" | "restore", "file": "…" }`. Only whoever
 * can read the data folder's lock file knows the token that this asks for.
 */
export async function POST(request: Request) {
  const refusal = refusalOf(request)
  if (refusal || !isKeeper(request)) return new Response(refusal ?? 'Not allowed.', { status: 403 })
  const body = await readBody(request)
  const order = body.ok ? readInput(orderSchema, body.value) : body
  if (!order.ok) return answerWith(order)
  const { do: what, file } = order.value
  const now = new Date()
  return answerWith(what === 'restore' ? await restoreFrom(file, now) : await backUpTo(file, now))
}
