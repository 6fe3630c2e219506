'use server'

import * as docket from '@/server/docket/openCases'
import type { CaseName } from '@/ui/CaseChoice'

/** The open cases that hold a text, those that changed last first. */
export async function openCasesLike(text: unknown): Promise<readonly CaseName[]> {
  return docket.openCasesLike(text)
}
