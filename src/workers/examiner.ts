import { expose } from './link'
import { crossExamination } from '@/claims/crossexamination/crossExamination'
import type { Examination, Examined } from '@/claims/crossexamination/question'

/** Cross-examines a finding away from the page: it is ended, not asked to stop, when something changes. */
const examiner = {
  /** @param tell - is told each answer as it comes, and how many there will be */
  examine(examination: Examination, tell: (answer: Examined, of: number) => void): void {
    const questions = crossExamination(examination)
    for (const { ask } of questions) tell(ask(), questions.length)
  },
}

export type Examiner = typeof examiner

expose(examiner)
