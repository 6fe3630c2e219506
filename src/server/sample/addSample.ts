import 'server-only'
import { EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { changeBetween } from '@/desk/trail/change'
import type { Connection } from '@/data/client'
import { insertSample } from '@/data/sampleRepository'
import type { Doer } from '../doer'
import { newIdentifier } from '../identifier'
import { record } from '../record'

/** Adds a sample to a case, with what is said of it on the trail. */
export async function addSample(
  db: Connection,
  { caseId, draft }: Readonly<{ caseId: string; draft: SampleDraft }>,
  { by, now }: Doer,
): Promise<string> {
  const sampleId = newIdentifier()
  await insertSample(db, { id: sampleId, caseId, draft, now })
  const change = changeBetween(EMPTY_SAMPLE, draft)
  const about = { caseId, sampleId, at: now, who: by, detail: draft.name }
  await record(db, { ...about, action: 'sample-added', change })
  return sampleId
}
