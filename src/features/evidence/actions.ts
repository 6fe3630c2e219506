'use server'

import { doerOf } from '@/server/doer'
import { addEmptySample } from '@/server/case/changeCase'

/** Begins a sample of a case; undefined where there is no such case. */
export async function beginSample(caseId: string, by: string): Promise<string | undefined> {
  const added = await addEmptySample(caseId, doerOf(by))
  return added.ok ? added.value.sampleId : undefined
}
