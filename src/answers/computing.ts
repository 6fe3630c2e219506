import { crossExamination } from '@/claims/crossexamination/crossExamination'
import type { Examination, Examined } from '@/claims/crossexamination/question'
import type { ClaimAnswer } from '@/claims/checkAnswer'
import { answerClaim } from './claim'
import { groups, type GroupsAnswer } from './groups'
import { lots, type LotsAnswer } from './lots'
import { type EstimateAnswer, estimate } from './estimateRequest'

/** How checks are made where they may be waited for: at once, or in a thread of their own. */
export type Computing = Readonly<{
  check: (document: unknown) => Promise<ClaimAnswer>
  /** What can be estimated where nothing is claimed. */
  estimate: (document: unknown) => Promise<EstimateAnswer>
  /** One claim against many groups, or against several lots. */
  groups: (document: unknown) => Promise<GroupsAnswer>
  lots: (document: unknown) => Promise<LotsAnswer>
  /** Every question of a cross-examination, answered in its order. */
  examine: (examination: Examination) => Promise<readonly Examined[]>
}>

export const AT_ONCE: Computing = {
  check: (document) => Promise.resolve(answerClaim(document)),
  estimate: (document) => Promise.resolve(estimate(document)),
  groups: (document) => Promise.resolve(groups(document)),
  lots: (document) => Promise.resolve(lots(document)),
  examine: (examination) => Promise.resolve(crossExamination(examination).map(({ ask }) => ask())),
}
