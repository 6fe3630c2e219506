import { buffer } from 'node:stream/consumers'
import type { Database } from '@/data/client'
import { listClaims } from '@/data/claimRepository'
import { reorderClaims } from '@/server/case/changeCase'
import { documentOf } from '@/server/check/documentOf'
import { fillWithDemo } from '@/server/demo/fillWithDemo'
import { type DocketQuestion, readDocket } from '@/server/docket/docket'
import { fingerprintOfValue } from '@/server/fingerprint'
import { signFinding } from '@/server/finding/signFinding'
import { exportCase } from '@/server/keeping/caseFile'
import { valueOf } from '@tests/outcome'

const now = new Date('2026-11-05T08:00:00Z')
export const EVERY_CASE: DocketQuestion = {
  state: 'any',
  order: 'reference',
  direction: 'rising',
  page: 0,
  pageSize: 50,
}

export const exported = async (caseId: string): Promise<Uint8Array> =>
  buffer(valueOf(await exportCase(caseId)).bytes)

/**
 * Fills the server's database with the demo, and signs one more finding of its first case.
 *
 * @returns the file of each case, by its reference
 */
export async function exportedDemo(
  database: Database,
): Promise<ReadonlyMap<string, Readonly<{ caseId: string; bytes: Uint8Array }>>> {
  await fillWithDemo(database)
  const { cases } = await readDocket(EVERY_CASE)
  const [sacks] = cases
  const ids = sacks!.claims.map(({ id }) => id)
  valueOf(await reorderClaims(sacks!.id, { claimIds: ids.toReversed(), by: 'A. Officer' }, now))
  const [first] = await listClaims(database, sacks!.id)
  const document = await documentOf(database, first!.draft)
  const inputFingerprint = fingerprintOfValue({ document, remarks: first!.draft.remarks })
  const signature = { signedBy: 'A. Officer', signedOn: '2026-11-04', inputFingerprint }
  valueOf(await signFinding(first!.id, signature, now))
  const files = new Map()
  for (const { id, reference } of cases) files.set(reference, { caseId: id, bytes: await exported(id) })
  return files
}
