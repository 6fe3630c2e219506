import { refusalOf } from '@/ownSite'
import { backUpTo, isKeeper, restoreFrom } from '@/server/keeping/keeper'
import { answerWith } from '@/server/programs/answer'

/**
 * Backs everything up to a file of this machine, or restores from one: `{ "do": "backup" | "restore", "file": "…" }`. Only whoever
 * can read the data folder's lock file knows the token that this asks for.
 */
export async function POST(request: Request) {
  const refusal = refusalOf(request)
  if (refusal || !isKeeper(request)) return new Response(refusal ?? 'Not allowed.', { status: 403 })
  const { do: what, file } = (await request.json()) as Readonly<{ do: string; file: string }>
  const now = new Date()
  return answerWith(what === 'restore' ? await restoreFrom(file, now) : await backUpTo(file, now))
}
