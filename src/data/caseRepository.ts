import 'server-only'
import { and, asc, count, desc, eq, exists, inArray, isNull, ne, or, sql } from 'drizzle-orm'
import type { CaseState, CaseWords } from '@/desk/caseWords'
import type { FindingOutcome } from '@/claims/finding'
import type { ClaimWords } from '@/desk/claimDraft'
import type { Connection } from './connection'
import { totalOf } from './paging'
import {
  cases,
  claims,
  columnChunks,
  fileChunks,
  findings,
  samples,
  sheetColumns,
  seals,
  trailEntries,
} from './schema'
import { holdsText } from './trailRepository'

export type CaseRow = typeof cases.$inferSelect
/** A claim as a list shows it. */
export type ClaimLine = Pick<
  typeof claims.$inferSelect,
  keyof ClaimWords | 'id' | 'caseId' | 'outcome' | 'isComputing' | 'isDiscarded'
>
export type CaseWithClaims = CaseRow &
  Readonly<{
    claims: readonly ClaimLine[]
    /** Claims that are part of the case no more, and can be taken up again. */
    discarded: readonly ClaimLine[]
  }>

export const CASE_ORDERS = ['changed', 'opened', 'reference', 'subject', 'party'] as const
export type CaseOrder = (typeof CASE_ORDERS)[number]

export type DocketQuestion = Readonly<{
  /** In the case's words or in those of a claim. */
  text?: string
  /** `current`: all but the archived ones. */
  state: CaseState | 'current' | 'any'
  /** With a claim that came to this; `none`: with one that nothing could be computed of yet. */
  outcome?: FindingOutcome | 'none'
  order: CaseOrder
  direction: 'rising' | 'falling'
  /** From 0. */
  page: number
  pageSize: number
}>

const CLAIM_LINE = {
  id: claims.id,
  caseId: claims.caseId,
  wording: claims.wording,
  parameter: claims.parameter,
  quantity: claims.quantity,
  relation: claims.relation,
  claimedValue: claims.claimedValue,
  toleranceBelow: claims.toleranceBelow,
  toleranceAbove: claims.toleranceAbove,
  unit: claims.unit,
  exposureUnit: claims.exposureUnit,
  limitSide: claims.limitSide,
  limitValue: claims.limitValue,
  control: claims.control,
  outcome: claims.outcome,
  isComputing: claims.isComputing,
  isDiscarded: claims.isDiscarded,
} as const

const ORDER_COLUMNS = {
  changed: cases.updatedAt,
  opened: cases.createdAt,
  reference: sql`lower(${cases.reference})`,
  subject: sql`lower(${cases.subject})`,
  party: sql`lower(${cases.party})`,
} as const

/** A page of the cases that answer a question, with their claims; and how many do in all. */
export async function findCases(
  db: Connection,
  question: DocketQuestion,
): Promise<Readonly<{ cases: readonly CaseWithClaims[]; total: number }>> {
  const { order, direction, page, pageSize } = question
  const where = conditionOf(db, question)
  const by = direction === 'rising' ? asc : desc
  const found = await db
    .select()
    .from(cases)
    .where(where)
    .orderBy(by(ORDER_COLUMNS[order]), by(cases.id))
    .limit(pageSize)
    .offset(page * pageSize)
  const total = await totalOf(found, question, () => db.select({ total: count() }).from(cases).where(where))
  return { cases: await withClaims(db, found), total }
}

/** Reads the claims of a page of cases at once, and of no other case. */
async function withClaims(db: Connection, rows: readonly CaseRow[]): Promise<readonly CaseWithClaims[]> {
  const ids = rows.map(({ id }) => id)
  const lines = await db
    .select(CLAIM_LINE)
    .from(claims)
    .where(inArray(claims.caseId, ids))
    .orderBy(asc(claims.position))
  return rows.map((row) => {
    const own = lines.filter(({ caseId }) => caseId === row.id)
    const of = (isDiscarded: boolean) => own.filter((line) => line.isDiscarded === isDiscarded)
    return { ...row, claims: of(false), discarded: of(true) }
  })
}

function conditionOf(db: Connection, { text, state, outcome }: DocketQuestion) {
  const holds = (column: Parameters<typeof holdsText>[0]) => holdsText(column, text ?? '')
  const ofCase = (condition: ReturnType<typeof or>) =>
    exists(
      db
        .select({ one: sql`1` })
        .from(claims)
        .where(and(eq(claims.caseId, cases.id), eq(claims.isDiscarded, false), condition)),
    )
  return and(
    state === 'any' ? undefined : state === 'current' ? ne(cases.state, 'archived') : eq(cases.state, state),
    outcome === undefined
      ? undefined
      : ofCase(outcome === 'none' ? isNull(claims.outcome) : eq(claims.outcome, outcome)),
    text
      ? or(
          ...[cases.reference, cases.subject, cases.party, cases.people].map((column) => holds(column)),
          ofCase(or(holds(claims.wording), holds(claims.quantity))),
        )
      : undefined,
  )
}

/** Every case there is, by its identifier. */
export async function listCaseIds(db: Connection): Promise<readonly string[]> {
  return (await db.select({ id: cases.id }).from(cases)).map(({ id }) => id)
}

export async function countCases(db: Connection): Promise<number> {
  return (await db.select({ total: count() }).from(cases))[0]!.total
}

export async function findCase(db: Connection, id: string): Promise<CaseWithClaims | undefined> {
  const rows = await db.select().from(cases).where(eq(cases.id, id))
  return (await withClaims(db, rows))[0]
}

/** The cases with one of the references whose trail begins with a detail. */
export async function findCasesOpenedAs(
  db: Connection,
  { references, detail }: Readonly<{ references: readonly string[]; detail: string }>,
): Promise<readonly CaseRow[]> {
  const rows = await db
    .select({ cases })
    .from(cases)
    .innerJoin(trailEntries, and(eq(trailEntries.caseId, cases.id), eq(trailEntries.number, 1)))
    .where(and(inArray(cases.reference, [...references]), eq(trailEntries.detail, detail)))
  return rows.map((row) => row.cases)
}

export async function insertCase(db: Connection, row: typeof cases.$inferInsert): Promise<void> {
  await db.insert(cases).values(row)
}

/** Takes a case away with everything in it: to put it in again as its file has it, or because it is the demo's. */
export async function removeCase(db: Connection, id: string): Promise<void> {
  const claimIds = db.select({ id: claims.id }).from(claims).where(eq(claims.caseId, id))
  const sampleIds = db.select({ id: samples.id }).from(samples).where(eq(samples.caseId, id))
  await db.delete(seals).where(eq(seals.caseId, id))
  await db.delete(trailEntries).where(eq(trailEntries.caseId, id))
  await db.delete(findings).where(inArray(findings.claimId, claimIds))
  await db.delete(claims).where(eq(claims.caseId, id))
  await db.delete(columnChunks).where(inArray(columnChunks.sampleId, sampleIds))
  await db.delete(fileChunks).where(inArray(fileChunks.sampleId, sampleIds))
  await db.delete(sheetColumns).where(inArray(sheetColumns.sampleId, sampleIds))
  await db.delete(samples).where(eq(samples.caseId, id))
  await db.delete(cases).where(eq(cases.id, id))
}

export async function updateCase(
  db: Connection,
  id: string,
  change: Partial<CaseWords & Pick<CaseRow, 'state' | 'updatedAt'>>,
): Promise<void> {
  await db.update(cases).set(change).where(eq(cases.id, id))
}
