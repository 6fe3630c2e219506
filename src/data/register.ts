import 'server-only'
import { asc, desc, eq, sql } from 'drizzle-orm'
import type { Connection } from './connection'
import { controlPlans, instruments, office } from './schema'

/** The registers of an office: a row for each change of an entry, none of them ever changed. */
const REGISTERS = { instruments, 'control-plans': controlPlans, office } as const
type Registers = typeof REGISTERS
export type RegisterName = keyof Registers
type WordsOf<Name extends RegisterName> = Registers[Name]['$inferSelect']['words']

/** An entry as it stands, and who changed it last. */
export type RegisterEntry<Words> = Readonly<{
  id: string
  words: Words
  changedBy: string
  changedAt: string
}>

/** Every entry of a register as it stands. */
export async function listRegister<Name extends RegisterName>(
  db: Connection,
  name: Name,
): Promise<readonly RegisterEntry<WordsOf<Name>>[]> {
  const table: Registers['instruments'] = REGISTERS[name] as Registers['instruments']
  const last = await db.selectDistinctOn([table.id]).from(table).orderBy(asc(table.id), desc(table.version))
  return last.map(({ id, words, changedBy, changedAt }) => ({
    ...{ id, words: words as WordsOf<Name>, changedBy },
    changedAt: changedAt.toISOString(),
  }))
}

/** Puts how an entry stands now behind how it stood. */
export async function addRegisterVersion<Name extends RegisterName>(
  db: Connection,
  name: Name,
  { id, words, by, now }: Readonly<{ id: string; words: WordsOf<Name>; by: string; now: Date }>,
): Promise<void> {
  const table: Registers['instruments'] = REGISTERS[name] as Registers['instruments']
  await db.execute(sql`lock table ${table} in exclusive mode`)
  const [last] = await db
    .select({ version: table.version })
    .from(table)
    .where(eq(table.id, id))
    .orderBy(desc(table.version))
    .limit(1)
  const version = (last?.version ?? 0) + 1
  await db.insert(table).values({ id, version, words: words as never, changedBy: by, changedAt: now })
}
