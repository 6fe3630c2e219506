import 'server-only'
import { asc, eq } from 'drizzle-orm'
import type { Connection } from './connection'
import { seals } from './schema'

/** The time stamps over the trail of a case, the first first. */
export async function listSeals(db: Connection, caseId: string): Promise<readonly Uint8Array[]> {
  const rows = await db
    .select({ token: seals.token })
    .from(seals)
    .where(eq(seals.caseId, caseId))
    .orderBy(asc(seals.number))
  return rows.map(({ token }) => token)
}

/** Stores the time stamps of a case that has `before` of them. */
export async function insertSeals(
  db: Connection,
  caseId: string,
  tokens: readonly Uint8Array[],
  before = 0,
): Promise<void> {
  if (tokens.length === 0) return
  await db.insert(seals).values(tokens.map((token, at) => ({ caseId, number: before + at + 1, token })))
}
