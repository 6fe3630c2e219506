import { crossExamination } from '@/claims/crossexamination/crossExamination'
import type { Examination, Examined } from '@/claims/crossexamination/question'
import type { ClaimAnswer } from '@/claims/checkAnswer'
import { answerClaim } from './claim'
import { type EstimateAnswer, estimate } from './estimateRequest'

/** How checks are made where they may be waited for: at once, or in a thread of their own. */
export type Computing = Readonly<{
  check: (document: unknown) => Promise<ClaimAnswer>
  /** What can be estimated where nothing is claimed. */
  estimate: (document: unknown) => Promise<EstimateAnswer>
  /** Every question of a cross-examination, answered in its order. */
  examine: (examination: Examination) => Promise<readonly Examined[]>
}>

export const AT_ONCE: Computing = {
  check: (document) => Promise.resolve(answerClaim(document)),
  estimate: (document) => Promise.resolve(estimate(document)),
  examine: (examination) => Promise.resolve(crossExamination(examination).map(({ ask }) => ask())),
}
