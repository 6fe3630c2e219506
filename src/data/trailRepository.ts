import 'server-only'
import { createHash } from 'node:crypto'
import { v7 as uuidv7 } from 'uuid'
import { and, asc, count, desc, eq, ilike, inArray, isNull, or, sql, type SQL } from 'drizzle-orm'
import { chained, type ChainedEntry, type ChainHead, type TrailAction } from '@/desk/trail/chain'
import { wellFormed } from '@/desk/typed'
import type { AnyPgColumn } from 'drizzle-orm/pg-core'
import type { Connection } from './connection'
import { int32, writeBinaryCopy } from './binaryCopy'
import { totalOf } from './paging'
import { cases, trailEntries } from './schema'
import { uuidBytes } from './sheetRepository'

/** SHA-256 of a text in UTF-8, in hexadecimal digits. */
export const sha256 = (text: string): string => createHash('sha256').update(text, 'utf8').digest('hex')

const WHEN = sql`to_char(${trailEntries.at} at time zone 'UTC', 'YYYY-MM-DD HH24:MI:SS')`

/** What is written down of a change. */
export type Change = Readonly<{
  /** A new identifier. */
  id: string
  caseId: string
  at: Date
  who: string
  action: TrailAction
  claimId?: string
  sampleId?: string
  detail?: string
  /** As `changeBetween` gives them. */
  change?: Readonly<{ before: string; after: string }> | undefined
}>

/** Where the trail of a case stands, and when its last entry was written. */
export type HeldCase = ChainHead & Readonly<{ updatedAt: Date }>

/**
 * Holds a case against every other change of it until the transaction ends.
 *
 * @returns where its trail stands; undefined where there is no such case
 */
export async function holdCase(db: Connection, caseId: string): Promise<HeldCase | undefined> {
  const [head] = await db
    .select({ length: cases.trailLength, hash: cases.trailHash, updatedAt: cases.updatedAt })
    .from(cases)
    .where(eq(cases.id, caseId))
    .for('update')
  return head
}

/** The hash of the last entry of a case's trail; undefined where there is no such case. */
export async function findTrailHash(db: Connection, caseId: string): Promise<string | undefined> {
  const [head] = await db.select({ hash: cases.trailHash }).from(cases).where(eq(cases.id, caseId))
  return head?.hash
}

/**
 * When a change of a case that is held is made. Whoever asked first may be let in last, and then it is now and not when it was
 * asked for; where the clock of this machine went back it is when the last entry was written.
 */
export function notBefore(asked: Date, { updatedAt }: HeldCase): Date {
  if (asked >= updatedAt) return asked
  const now = new Date()
  return now >= updatedAt ? now : updatedAt
}

/** A clock that is set by so much, as over the network, is not told of. */
const SETTLED_MS = 1000

/** Puts changes on the trail of their one case, behind the last one, and the case to the top of the docket. */
export async function appendToTrail(db: Connection, changes: readonly Change[]): Promise<void> {
  const [first] = changes
  if (!first) return
  const { caseId } = first
  const held = await holdCase(db, caseId)
  if (!held) throw new Error(`There is no case ${caseId} to write a trail of.`)
  const at = notBefore(first.at, held)
  let head: ChainHead = held
  const entries: ChainedEntry[] = []
  for (const change of [...clockBack(first, held), ...changes]) {
    const entry = linkOf({ ...change, at }, head)
    entries.push(entry)
    head = { length: entry.number, hash: entry.hash }
  }
  await insertTrail(db, entries)
  await db.update(cases).set({ updatedAt: at }).where(eq(cases.id, caseId))
}

function clockBack({ caseId, at: asked }: Change, { updatedAt }: HeldCase): readonly Change[] {
  const now = new Date(Math.max(Date.now(), asked.getTime()))
  if (updatedAt.getTime() - now.getTime() <= SETTLED_MS) return []
  const detail = `The clock of this machine says ${now.toISOString()}, and the entry before this was written at ${updatedAt.toISOString()}.`
  return [{ id: uuidv7(), caseId, at: updatedAt, who: '', action: 'clock-back', detail }]
}

function linkOf(facts: Change, head: ChainHead): ChainedEntry {
  const { at, claimId = null, sampleId = null, detail = '', change, ...own } = facts
  const { before, after } = change ?? { before: '', after: '' }
  const who = wellFormed(own.who)
  const entry = {
    ...own,
    who,
    at: at.toISOString(),
    claimId,
    sampleId,
    detail: wellFormed(detail),
    before,
    after,
  }
  return chained(entry, head, sha256)
}

async function moveHead(db: Connection, { caseId, number, hash }: ChainedEntry): Promise<void> {
  await db.update(cases).set({ trailLength: number, trailHash: hash }).where(eq(cases.id, caseId))
}

/** Stores entries as they are. */
export async function insertTrail(db: Connection, entries: readonly ChainedEntry[]): Promise<void> {
  const last = entries.at(-1)
  if (!last) return
  const rows = Buffer.concat(writeBinaryCopy(entries.map(fieldsOf)))
  await db.copyIn(`"trail_entries" (${TRAIL_COLUMNS})`, [rows])
  await moveHead(db, last)
}

const TRAIL_COLUMNS =
  '"id", "case_id", "sample_id", "claim_id", "number", "at", "who", "action", "detail", "before", "after", "previous", "hash"'

/** In the binary form of each column's type. */
function fieldsOf(entry: ChainedEntry): readonly (Uint8Array | null)[] {
  const { id, caseId, sampleId, claimId, number, at, who, action, detail, before, after, previous, hash } =
    entry
  return [
    ...[id, caseId, sampleId, claimId].map((one) => (one === null ? null : uuidBytes(one))),
    int32(number),
    instantBytes(new Date(at)),
    ...[who, action, detail, before, after, previous, hash].map((text) => Buffer.from(text)),
  ]
}

const EPOCH_MS = Date.UTC(2000, 0, 1)

/** Microseconds since the year 2000, as PostgreSQL keeps an instant. */
function instantBytes(at: Date): Uint8Array {
  const bytes = Buffer.allocUnsafe(8)
  bytes.writeBigInt64BE(BigInt(at.getTime() - EPOCH_MS) * 1000n)
  return bytes
}

/** Puts entries that were written before there was a chain into it, in the order in which they were written. */
export async function chainOlderEntries(db: Connection): Promise<void> {
  const older = await db
    .select()
    .from(trailEntries)
    .where(isNull(trailEntries.number))
    .orderBy(asc(trailEntries.id))
  for (const { number: _, previous: __, hash: ___, before, after, claimId, sampleId, ...facts } of older) {
    const head = await holdCase(db, facts.caseId)
    const about = { ...(claimId ? { claimId } : {}), ...(sampleId ? { sampleId } : {}) }
    const entry = linkOf({ ...facts, ...about, change: { before, after } }, head!)
    const { number, previous, hash } = entry
    await db.update(trailEntries).set({ number, previous, hash }).where(eq(trailEntries.id, facts.id))
    await moveHead(db, entry)
  }
}

export type TrailQuestion = Readonly<{
  /** Only of this claim, or of this sample. */
  about?: string
  action?: TrailAction
  /** In the name of who did it, in the words of what was done, or in the day and time, in UTC: "2026-01-14 09". */
  text?: string
}>

/** The whole trail of a case, the first entry first. */
export async function listWholeTrail(db: Connection, caseId: string): Promise<readonly ChainedEntry[]> {
  const rows = await db
    .select()
    .from(trailEntries)
    .where(eq(trailEntries.caseId, caseId))
    .orderBy(asc(trailEntries.number))
  return rows.map(entryOf)
}

/** What of a trail answers a question, the last first, by pages; and how much in all. */
export async function findInTrail(
  db: Connection,
  question: TrailQuestion & Readonly<{ caseId: string; page: number; pageSize: number }>,
): Promise<Readonly<{ entries: readonly ChainedEntry[]; total: number }>> {
  const { caseId, about, action, text, page, pageSize } = question
  const where = and(
    eq(trailEntries.caseId, caseId),
    about ? or(eq(trailEntries.claimId, about), eq(trailEntries.sampleId, about)) : undefined,
    action ? eq(trailEntries.action, action) : undefined,
    text
      ? or(
          ...[trailEntries.who, trailEntries.detail, trailEntries.before, trailEntries.after, WHEN].map(
            (column) => holdsText(column, text),
          ),
        )
      : undefined,
  )
  const rows = await db
    .select()
    .from(trailEntries)
    .where(where)
    .orderBy(desc(trailEntries.number))
    .limit(pageSize)
    .offset(page * pageSize)
  const total = await totalOf(rows, question, () =>
    db.select({ total: count() }).from(trailEntries).where(where),
  )
  return { entries: rows.map(entryOf), total }
}

/** What was done with a sample, the first first. */
export async function listTrailOf(db: Connection, sampleId: string): Promise<readonly ChainedEntry[]> {
  const where: SQL = eq(trailEntries.sampleId, sampleId)
  const rows = await db.select().from(trailEntries).where(where).orderBy(asc(trailEntries.number))
  return rows.map(entryOf)
}

/** What was done with a claim and with samples, the first first. */
export async function listTrailAbout(
  db: Connection,
  { claimId, sampleIds }: Readonly<{ claimId: string; sampleIds: readonly string[] }>,
): Promise<readonly ChainedEntry[]> {
  const where = or(eq(trailEntries.claimId, claimId), inArray(trailEntries.sampleId, [...sampleIds]))
  const rows = await db.select().from(trailEntries).where(where).orderBy(asc(trailEntries.number))
  return rows.map(entryOf)
}

/** Blanks of any width are one kind, and NUL, which no text holds, is none. */
const BLANKS = '\u00a0\u2009\u202f\t'

/** Whether a column holds a text somewhere, whatever its characters mean to a pattern, and however its blanks are set. */
export function holdsText(column: AnyPgColumn | SQL, text: string): SQL {
  const plain = text.replaceAll('\0', '').replace(/[\u00a0\u2009\u202f\t]/g, ' ')
  const pattern = `%${plain.replace(/[\\%_]/g, '\\$&')}%`
  // Making blanks alike takes four times as long as all the rest, and where none is sought it changes nothing.
  return ilike(plain.includes(' ') ? sql`translate(${column}, ${BLANKS}, '    ')` : column, pattern)
}

function entryOf(row: typeof trailEntries.$inferSelect): ChainedEntry {
  return { ...row, number: row.number!, at: row.at.toISOString() }
}
