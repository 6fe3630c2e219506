import 'server-only'
import { createHash } from 'node:crypto'
import { columnNamed, EMPTY_SAMPLE } from '@/core/sample/sampleDraft'
import { insertCase, listCases } from '@/data/caseRepository'
import { insertClaim } from '@/data/claimRepository'
import { type Connection, type Database, inTransaction } from '@/data/client'
import { guessFormat } from '@/intake/sheet/format'
import { readSheet } from '@/intake/sheet/readSheet'
import { addSample } from '../addSample'
import { newIdentifier } from '../identifier'
import { storeSheet } from '../importSheet'
import { outcomeOf } from '../outcomeOf'
import type { DemoSample } from './demoCase'
import { WINTER_HEATING_AUDIT } from './winterHeatingAudit'

const OFFICER = 'inspector on duty'

/** Puts the demo's cases into a database that has none; one that has any is left as it is. */
export async function fillWithDemo(database: Database): Promise<void> {
  await inTransaction(database, async (transaction) => {
    if ((await listCases(transaction)).length > 0) return
    const now = Date.now()
    for (const [place, { samples, claims, ...words }] of WINTER_HEATING_AUDIT.entries()) {
      // The first case is the one that changed last.
      const at = new Date(now - place * 60_000)
      const caseId = newIdentifier()
      await insertCase(transaction, { id: caseId, ...words, createdAt: at, updatedAt: at })
      const ids: string[] = []
      for (const sample of samples) ids.push(await bringIn(transaction, caseId, sample, at))
      for (const { sample, second, ...claim } of claims) {
        const secondSampleId = second === undefined ? null : ids[second]!
        const draft = { ...claim, sampleId: ids[sample]!, secondSampleId }
        const outcome = await outcomeOf(transaction, draft)
        await insertClaim(transaction, { id: newIdentifier(), caseId, draft, outcome, now: at })
      }
    }
  })
}

async function bringIn(db: Connection, caseId: string, sample: DemoSample, now: Date): Promise<string> {
  const { file: stated, ...words } = sample
  if (!stated) return addSample(db, { caseId, draft: { ...EMPTY_SAMPLE, ...words }, now })
  const bytes = stated.bytes()
  const sheet = await readSheet({ source: () => [bytes], format: guessFormat(bytes) })
  if (!sheet.ok) throw new Error(sheet.problem.message)
  const { columns, rowCount } = sheet.value
  const fileSha256 = createHash('sha256').update(bytes).digest('hex')
  const file = { fileName: stated.name, fileBytes: bytes.length, fileSha256, rowCount }
  const described = columns.map(({ name, kind }) => ({ ...columnNamed(name, kind), ...stated.labels[name] }))
  return storeSheet(db, { caseId, by: OFFICER, file, columns, words: { ...words, columns: described }, now })
}
