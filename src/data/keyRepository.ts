import 'server-only'
import { asc, sql } from 'drizzle-orm'
import { chained, type Link } from '@/desk/trail/chain'
import type { KeyEntry } from '@/desk/trail/keyRegister'
import type { Connection } from './connection'
import { keyEntries } from './schema'
import { sha256 } from './trailRepository'

/** Every entry of the register of keys, in its order. */
export async function listKeyEntries(db: Connection): Promise<readonly KeyEntry[]> {
  const rows = await db.select().from(keyEntries).orderBy(asc(keyEntries.number))
  return rows.map((row) => ({ ...row, at: row.at.toISOString() }))
}

/** Holds the register against every other change of it until the transaction ends. */
export async function holdRegister(db: Connection): Promise<readonly KeyEntry[]> {
  await db.execute(sql`lock table "key_entries" in exclusive mode`)
  return listKeyEntries(db)
}

/** Puts an entry behind the last one of a register that is held. */
export async function addKeyEntry(
  db: Connection,
  entry: Omit<KeyEntry, keyof Link>,
  last: KeyEntry | undefined,
): Promise<void> {
  const linked = chained(entry, { length: last?.number ?? 0, hash: last?.hash ?? '' }, sha256)
  await db.insert(keyEntries).values({ ...linked, at: new Date(linked.at) })
}
