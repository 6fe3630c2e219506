'use server'

import type { Outcome } from '@/claims/terms/outcome'
import * as docket from '@/server/docket/openCases'
import { doerOf } from '@/server/doer'
import type { ToSign } from '@/server/keys/signing'
import * as planner from '@/server/planner/lockPlan'
import type { CaseName } from '@/ui/CaseChoice'

/** The open cases that hold a text, those that changed last first. */
export async function openCasesLike(text: unknown): Promise<readonly CaseName[]> {
  return docket.openCasesLike(text)
}

/** Opens the case that a plan is locked in. */
export async function openCaseFor(
  subject: unknown,
  by: unknown,
): Promise<Outcome<Readonly<{ caseId: string }>>> {
  return planner.openCaseFor(subject, doerOf(by))
}

/** What a key is to sign of a plan. */
export async function planToSign(caseId: string, input: unknown): Promise<Outcome<ToSign>> {
  return planner.readPlanToSign(caseId, input, new Date())
}

/** Locks a plan in a case. */
export async function lockPlan(
  caseId: string,
  input: unknown,
): Promise<Outcome<Readonly<{ claimId: string }>>> {
  return planner.lockPlan(caseId, input, new Date())
}
