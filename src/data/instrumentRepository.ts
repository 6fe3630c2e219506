import 'server-only'
import { asc, desc, eq, sql } from 'drizzle-orm'
import { EMPTY_INSTRUMENT, type Instrument, type RegisteredInstrument } from '@/desk/instrument'
import type { Connection } from './connection'
import { instruments } from './schema'

/** Every instrument as it stands, by name. */
export async function listInstruments(db: Connection): Promise<readonly RegisteredInstrument[]> {
  const rows = await db.select().from(instruments).orderBy(asc(instruments.version))
  // The last version of each.
  const last = new Map(rows.map((row) => [row.id, row]))
  return [...last.values()]
    .map(({ id, words, changedBy, changedAt }) => ({
      ...{ ...EMPTY_INSTRUMENT, ...words },
      ...{ id, changedBy, changedAt: changedAt.toISOString() },
    }))
    .toSorted((a, b) => (a.name < b.name ? -1 : 1))
}

/** Puts how an instrument stands now behind how it stood. */
export async function addInstrumentVersion(
  db: Connection,
  { id, words, by, now }: Readonly<{ id: string; words: Instrument; by: string; now: Date }>,
): Promise<void> {
  await db.execute(sql`lock table "instruments" in exclusive mode`)
  const [last] = await db
    .select({ version: instruments.version })
    .from(instruments)
    .where(eq(instruments.id, id))
    .orderBy(desc(instruments.version))
    .limit(1)
  await db
    .insert(instruments)
    .values({ id, version: (last?.version ?? 0) + 1, words, changedBy: by, changedAt: now })
}
