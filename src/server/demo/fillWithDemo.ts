import 'server-only'
import { createHash } from 'node:crypto'
import { columnNamed, EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { EMPTY_CASE } from '@/desk/caseWords'
import { countCases } from '@/data/caseRepository'
import { addRegisterVersion, listRegister } from '@/data/register'
import type { Connection, Database } from '@/data/client'
import { guessFormat } from '@/intake/sheet/format'
import { hashesOf } from '@/casefile/columnHash'
import { readSheet } from '@/intake/sheet/readSheet'
import { addClaim } from '../claim/addClaim'
import { addSample } from '../sample/addSample'
import { addCase } from '../case/addCase'
import { newIdentifier } from '../identifier'
import type { Doer } from '../doer'
import { packFile } from '../packed'
import { storeSheet } from '../sample/importSheet'
import { BENCH_SCALE } from './benchScale'
import type { DemoSample } from './demoCase'
import { WINTER_HEATING_AUDIT } from './winterHeatingAudit'

const OFFICER = 'inspector on duty'

/** What the first entry of the trail of a demo's case says. */
export const DEMO_DETAIL = 'The winter heating audit: invented, to look at'

/** Puts the demo's cases into a database that has none; one that has any is left as it is. */
export async function fillWithDemo(database: Database): Promise<void> {
  await database.inTransaction(async (transaction) => {
    if ((await countCases(transaction)) > 0) return
    const now = Date.now()
    const known = await listRegister(transaction, 'instruments')
    if (!known.some(({ words }) => words.name === BENCH_SCALE.name))
      await addRegisterVersion(transaction, 'instruments', {
        ...{ id: newIdentifier(), words: BENCH_SCALE, by: OFFICER, now: new Date(now) },
      })
    for (const [place, { samples, claims, ...words }] of WINTER_HEATING_AUDIT.entries()) {
      // The first case is the one that changed last.
      const at = new Date(now - place * 60_000)
      const doer = { by: OFFICER, now: at }
      const caseId = await addCase(transaction, { ...EMPTY_CASE, ...words }, doer, DEMO_DETAIL)
      const ids: string[] = []
      for (const sample of samples) ids.push(await bringIn(transaction, caseId, sample, doer))
      for (const { sample, second, others = [], ...claim } of claims) {
        const secondSampleId = second === undefined ? null : ids[second]!
        const lots = others.map((other) => ids[other]!)
        const draft = { ...claim, sampleId: ids[sample]!, secondSampleId, lots }
        await addClaim(transaction, { caseId, draft }, doer)
      }
    }
  })
}

async function bringIn(db: Connection, caseId: string, sample: DemoSample, doer: Doer): Promise<string> {
  const { file: stated, ...words } = sample
  if (!stated) {
    const draft = { ...EMPTY_SAMPLE, ...words }
    return addSample(db, { caseId, draft }, doer)
  }
  const bytes = stated.bytes()
  const sheet = await readSheet({ source: () => [bytes], format: guessFormat(bytes) })
  if (!sheet.ok) throw new Error(sheet.problem.message)
  const { columns, rowCount } = sheet.value
  const fileSha256 = createHash('sha256').update(bytes).digest('hex')
  const file = { fileName: stated.name, fileBytes: bytes.length, fileSha256, rowCount }
  const described = columns.map(({ name, kind }) => ({ ...columnNamed(name, kind), ...stated.labels[name] }))
  return storeSheet(db, {
    hashes: await hashesOf(columns),
    ...{ caseId, ...doer, file, columns, words: { ...words, columns: described } },
    packed: packFile([bytes], bytes.length),
  })
}
