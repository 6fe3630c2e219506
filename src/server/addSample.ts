import 'server-only'
import type { SampleDraft } from '@/core/sample/sampleDraft'
import type { Connection } from '@/data/client'
import { insertSample } from '@/data/sampleRepository'
import { newIdentifier } from './identifier'

/** Adds a sample to a case. */
export async function addSample(
  db: Connection,
  input: Readonly<{ caseId: string; draft: SampleDraft; now: Date }>,
): Promise<string> {
  const id = newIdentifier()
  await insertSample(db, { id, ...input })
  return id
}
