import { holderOf } from '@/data/folderLock'
import type { Outcome } from '@/claims/terms/outcome'
import { database } from '@/server/keeping/database'
import { whyNotOpened } from '@/server/keeping/whyNotOpened'
import { backUpTo, restoreFrom } from '@/server/keeping/keeper'

/**
 * Backs up or restores: by the server that holds the data folder, where one does; else right here.
 *
 * @param file - an absolute path
 * @returns what was done, in words; throws a message for people where it could not be
 */
export async function keep(what: 'backup' | 'restore', file: string): Promise<string> {
  const { DATABASE_URL, TRUE_WEIGHT_DATA } = process.env
  const holder = DATABASE_URL || !TRUE_WEIGHT_DATA ? undefined : holderOf(TRUE_WEIGHT_DATA)
  if (!holder?.address)
    await database().catch((error: unknown) => {
      throw new Error(whyNotOpened(error))
    })
  const done = holder?.address
    ? await askServer(holder, { do: what, file })
    : what === 'backup'
      ? await backUpTo(file, new Date())
      : await restoreFrom(file, new Date())
  if (!done.ok) throw new Error(done.problem.message)
  return 'cases' in done.value ? restoredWords(file, done.value) : `Everything is backed up in ${file}.`
}

type Done = Awaited<ReturnType<typeof backUpTo>> | Awaited<ReturnType<typeof restoreFrom>>

async function askServer(
  { address, token }: Readonly<{ address: string; token: string }>,
  order: object,
): Promise<Done> {
  const headers = { 'Content-Type': 'application/json', Authorization: `Bearer ${token}` }
  const answer = await fetch(`${address}/api/backup`, {
    method: 'POST',
    headers,
    body: JSON.stringify(order),
  })
  if (answer.status === 403) throw new Error(`The server at ${address} refused: ${await answer.text()}`)
  return (await answer.json()) as Done
}

function restoredWords(
  file: string,
  {
    cases,
    madeAt,
    keptAs,
    dropped,
  }: Extract<Awaited<ReturnType<typeof restoreFrom>>, Outcome<unknown> & { ok: true }>['value'],
): string {
  const before = keptAs ? ` What was there before is kept in ${keptAs}.` : ''
  const older = dropped > 0 ? ` Of such files ${dropped} older ones were removed.` : ''
  return `Restored from ${file}, made at ${madeAt}: ${cases} ${cases === 1 ? 'case' : 'cases'}.${before}${older}`
}
