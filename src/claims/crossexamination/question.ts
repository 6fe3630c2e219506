import { checkFigures, type ComputedCheck } from '../check'
import type { CheckDocument, Evidence } from '../terms/request'
import type { IntervalFigures, Probability } from '../result'
import type { Asked, Remark } from './asked'
import type { Condition } from '../terms/condition'
import type { FindingOutcome } from '../finding'

/** What of a result is examined. */
export type ExaminedResult = Pick<ComputedCheck, 'hypotheses' | 'sample' | 'test' | 'estimate' | 'interval'> &
  Readonly<{
    finding: Readonly<{ outcome: FindingOutcome }>
    conditions: readonly Pick<Condition, 'name' | 'of' | 'readings'>[]
  }>

/** What is examined: a check and what came of it. */
export type Examination = Readonly<{
  document: CheckDocument
  /** What came of it, and nothing of how that is worded. */
  result: ExaminedResult
  /** The evidence with what is set aside put back, where that is no list of readings and so cannot be told from it. */
  withSetAside?: Evidence | undefined
}>

/** What came of one question of the cross-examination. */
export type Examined = Probability &
  Readonly<{
    key: string
    asked: Asked
    outcome?: FindingOutcome
    /** That the changed check was decided at: what its p-value stands beside. */
    significanceLevel?: number
    interval?: IntervalFigures
    /** Whether the finding stays on its side; absent where there was nothing to test. */
    stands?: boolean
    /** What else there is to say: where it turns, or why it could not be asked. */
    note?: Remark
    /** A figure asked for in place of a test. */
    figure?: Readonly<{ kind: 'claimed-value' | 'sample-size' | 'exposure' | 'smallest-gap'; value: number }>
  }>

/** A question that can be asked of a finding; asking may take a while. */
export type Question = Readonly<{ key: string; ask: () => Examined }>

/** Whether an outcome speaks against the claim: contradicted, or not supported. */
export function isAgainst(outcome: FindingOutcome): boolean {
  return outcome === 'contradicted' || outcome === 'not-supported'
}

/** A question answered by checking a changed document. */
export function variation(
  input: Readonly<{
    key: string
    asked: Asked
    document: CheckDocument
    /** The finding that is examined. */
    outcome: FindingOutcome
  }>,
): Question {
  const { key, asked, document, outcome } = input
  const ask = (): Examined => {
    const answer = checkFigures(document)
    if (!answer.ok) return { key, asked, note: { remark: 'problem', problem: answer.problem } }
    const { test, interval, outcome: other } = answer.value
    return {
      key,
      asked,
      outcome: other,
      significanceLevel: test.significanceLevel,
      stands: isAgainst(other) === isAgainst(outcome),
      ...(test.pValue === undefined ? {} : { pValue: test.pValue }),
      ...(test.logPValue === undefined ? {} : { logPValue: test.logPValue }),
      ...(interval ? { interval } : {}),
    }
  }
  return { key, ask }
}

/** Levels and the burden turn a finding by arithmetic alone: they are shown, and no part of its score. */
export const isScored = ({ asked: { ask } }: Pick<Examined, 'asked'>): boolean =>
  ask !== 'level' && ask !== 'burden'

/** In how many of the questions that could be tested, and that are no matter of arithmetic, the finding stands. */
export function standing(
  answers: readonly Pick<Examined, 'stands' | 'asked'>[],
): Readonly<{ stands: number; of: number }> {
  const tested = answers.filter((answer) => answer.stands !== undefined && isScored(answer))
  return { stands: tested.filter(({ stands }) => stands).length, of: tested.length }
}
