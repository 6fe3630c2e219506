// Fills a database with a full docket for the bench of the desk, which bundles this file.
import { CaseWords, EMPTY_CASE } from '../src/desk/caseWords'
import { EMPTY_CLAIM } from '../src/desk/claimDraft'
import { EMPTY_SAMPLE } from '../src/desk/sampleDraft'
import { openDatabase } from '../src/data/client'
import { cases, claims, samples } from '../src/data/schema'
import { addSample } from '../src/server/sample/addSample'
import { addCase } from '../src/server/case/addCase'
import { newIdentifier } from '../src/server/identifier'
import { addClaim } from '../src/server/claim/addClaim'

const AT_ONCE = 500
const READINGS = 24
const OUTCOMES = ['contradicted', 'not-contradicted', 'supported', 'not-supported', null] as const

/**
 * Fills a folder with many cases of two claims each, one with many claims that can be tested, and one with two over many readings.
 *
 * @returns the identifiers of these
 */
export async function fillDesk(
  folder: string,
  {
    caseCount,
    claimCount,
    readingCount,
  }: Readonly<{ caseCount: number; claimCount: number; readingCount: number }>,
): Promise<Readonly<{ many: string; long: string }>> {
  const db = await openDatabase({ folder })
  for (let from = 0; from < caseCount; from += AT_ONCE) {
    const numbers = Array.from({ length: Math.min(AT_ONCE, caseCount - from) }, (_, at) => from + at)
    const rows = numbers.map((number) => {
      const at = new Date(Date.UTC(2026, 0, 1) + number * 60_000)
      return { id: newIdentifier(), ...wordsOf(number), createdAt: at, updatedAt: at }
    })
    await db.insert(cases).values(rows)
    const owned = rows.map((row) => ({ caseId: row.id, id: newIdentifier(), at: row.createdAt }))
    await db
      .insert(samples)
      .values(
        owned.map(({ caseId, id, at }) => ({ id, caseId, ...EMPTY_SAMPLE, createdAt: at, updatedAt: at })),
      )
    await db.insert(claims).values(
      owned.flatMap(({ caseId, id, at }, place) =>
        [1, 2].map((position) => ({
          ...EMPTY_CLAIM,
          id: newIdentifier(),
          caseId,
          sampleId: id,
          position,
          wording: `claim ${position} of ${from + place}`,
          quantity: 'net mass',
          claimedValue: '15',
          unit: 'kg',
          outcome: OUTCOMES[(from + place + position) % OUTCOMES.length]!,
          revision: 1,
          createdAt: at,
          updatedAt: at,
        })),
      ),
    )
  }
  const now = new Date()
  const doer = { by: '', now }
  const filled = async (reference: string, subject: string, sizes: readonly number[]) => {
    const caseId = await addCase(db, { ...EMPTY_CASE, reference, subject }, doer)
    for (const [at, size] of sizes.entries()) {
      const readings = Array.from({ length: size }, (_, i) =>
        (14.95 + Math.sin(i * 12.9898 + at) / 10).toFixed(3),
      )
      const draft = { ...EMPTY_SAMPLE, name: `Sample ${at + 1}`, readings: readings.join('\n') }
      const sampleId = await addSample(db, { caseId, draft }, doer)
      const claim = { ...EMPTY_CLAIM, sampleId, quantity: 'net mass', claimedValue: `15.${at}`, unit: 'kg' }
      await addClaim(db, { caseId, draft: claim }, doer)
    }
    return caseId
  }
  const many = await filled('LARGE', 'Many claims', Array<number>(claimCount).fill(READINGS))
  const long = await filled('LONG', 'Many readings', [readingCount, readingCount])
  await db.close()
  return { many, long }
}

const wordsOf = (number: number): CaseWords => ({
  ...EMPTY_CASE,
  reference: `B-${String(number).padStart(5, '0')}`,
  subject: `Subject ${number % 97}`,
  party: `Party ${number % 31}`,
})
