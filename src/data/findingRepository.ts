import 'server-only'
import { and, desc, eq, max } from 'drizzle-orm'
import type { Connection } from './connection'
import { findings } from './schema'

export type FindingRow = typeof findings.$inferSelect
/** A signed finding as a list shows it. */
export type FindingLine = Omit<FindingRow, 'signed'>

/** Stores a finding that was signed elsewhere, as it is. */
export async function insertFinding(db: Connection, finding: FindingRow): Promise<void> {
  await db.insert(findings).values(finding)
}

/** Puts a signed finding behind the last one of its claim. */
export async function addFinding(
  db: Connection,
  finding: Omit<typeof findings.$inferInsert, 'number'>,
): Promise<number> {
  const [last] = await db
    .select({ number: max(findings.number) })
    .from(findings)
    .where(eq(findings.claimId, finding.claimId))
  const number = (last?.number ?? 0) + 1
  await db.insert(findings).values({ ...finding, number })
  return number
}

/** The signed findings of a claim, the latest first. */
export function listFindings(db: Connection, claimId: string): Promise<readonly FindingLine[]> {
  return db.query.findings.findMany({
    columns: { signed: false },
    where: eq(findings.claimId, claimId),
    orderBy: desc(findings.number),
  })
}

export function findFinding(
  db: Connection,
  claimId: string,
  number: number,
): Promise<FindingRow | undefined> {
  return db.query.findings.findFirst({
    where: and(eq(findings.claimId, claimId), eq(findings.number, number)),
  })
}
