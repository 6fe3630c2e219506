import type { Ends } from '@/statistics/inference/interval'
import { withFiniteLog } from '@/statistics/inference/tailProbability'
import { methodOf } from './all'
import type { FindingOutcome } from './finding'
import { intervalFigures } from './intervalFigures'
import { confidenceLevelOf, outcomeOf, type Prepared } from './prepareCheck'
import { procedureOf } from './procedureOf'
import type { Probability, TestFigures } from './result'
import type { Condition } from './terms/condition'
import type { Method } from './terms/names'
import { unitsTaken } from './terms/sample'
import { decideOn, testFigures } from './testFigures'

/** What a robust test comes to. */
export type Beside = Probability & Readonly<{ method: Method; outcome: FindingOutcome }>

/** What the same test comes to at a second level. */
export type SecondLevel = Pick<
  TestFigures,
  'significanceLevel' | 'decision' | 'criticalValues' | 'criticalEstimates'
> &
  Readonly<{ outcome: FindingOutcome; interval?: Ends & Readonly<{ level: number }> }>

const SHAPE: ReadonlySet<Condition['name']> = new Set([
  'normality',
  'symmetry',
  'expected-counts',
  'equal-readings',
])

/** Whether a condition is one that is not met, and that a robust method does not rest on. */
export const isOfShape = ({ name, state }: Pick<Condition, 'name' | 'state'>): boolean =>
  state === 'not-met' && SHAPE.has(name)

/** More draws than these would keep a page from following a keystroke; the cross-examination makes them. */
const MAX_DRAWS_BESIDE = 5e6

/** The robust method in the place of the one used, where it can be made at once. */
export function besideOf(prepared: Prepared): Beside | undefined {
  const { request, hypotheses, sample, method } = prepared
  if (!method.robust) return undefined
  const options = { ...request.test, method: method.robust }
  const { work } = methodOf(method.robust)
  if (work.isResampled && unitsTaken(sample) * options.resamples > MAX_DRAWS_BESIDE) return undefined
  const made = procedureOf({ parameter: request.claim.parameter, hypotheses, sample, options })
  if (!made.ok) return undefined
  const decided = decideOn(made.value.procedure, hypotheses, options.significanceLevel)
  const outcome = outcomeOf({ ...prepared, ...made.value, decided })
  return { method: method.robust, outcome, ...withFiniteLog(decided.test) }
}

/** The same test at the level that is asked for beside its own. */
export function secondLevelOf(prepared: Prepared): SecondLevel | undefined {
  const { request, hypotheses, method, procedure } = prepared
  const { secondSignificanceLevel: significanceLevel, ...options } = request.test
  if (significanceLevel === undefined) return undefined
  const decided = decideOn(procedure, hypotheses, significanceLevel)
  const { decision, criticalValues, criticalEstimates } = testFigures({
    method: method.name,
    procedure,
    hypotheses,
    decided,
    significanceLevel,
  })
  const confidenceLevel = confidenceLevelOf(
    { ...options, significanceLevel, confidenceLevel: undefined },
    hypotheses,
  )
  const interval = confidenceLevel > 0 && intervalFigures({ request, procedure, confidenceLevel })
  return {
    significanceLevel,
    decision,
    outcome: outcomeOf({ ...prepared, decided }),
    criticalValues,
    criticalEstimates,
    ...(interval ? { interval: { level: interval.level, ...endsOf(interval) } } : {}),
  }
}

const endsOf = ({ lower, upper }: Ends): Ends => ({
  ...(lower === undefined ? {} : { lower }),
  ...(upper === undefined ? {} : { upper }),
})
