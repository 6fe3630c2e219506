import { type Adjustment, adjustPValues } from '@/statistics/adjust/adjust'
import type { Moments } from '@/statistics/describe/moments'
import {
  type Homogeneity,
  homogeneityOfRates,
  homogeneityOfShares,
  oneWay,
} from '@/statistics/describe/homogeneity'
import { isWithin } from '@/statistics/inference/tailProbability'
import { parameterOf } from '../all'
import { checkFigures } from '../check'
import { controlContent } from '../content/content'
import type { Content } from '../terms/contentRequest'
import type { FindingOutcome } from '../finding'
import type { CheckProblem } from '../prepareCheck'
import type { IntervalFigures } from '../result'
import { UNDECIDED } from '../testedTogether'
import type { Method, Parameter } from '../terms/names'
import type { CheckDocument } from '../terms/request'

/** What one group, or one lot, comes to: judged with its figures, or why not. */
export type GroupFigures = Readonly<{
  label: string
  /** Units or readings; of a rate stretches of its exposure. */
  n: number
  events?: number
  exposure?: number
  setAside?: number
  method?: Method
  estimate?: number
  interval?: IntervalFigures
  pValue?: number
  logPValue?: number
  /** The p-value, adjusted for as many as were tested. */
  adjusted?: number
  outcome?: FindingOutcome
  /** What the outcome comes to by the adjusted p-value. */
  together?: FindingOutcome
  /** Of a control of net content: packs short by more than T, and by more than 2T. */
  beyondT?: number
  beyondTwiceT?: number
  why?: CheckProblem
}>

type Known = Pick<GroupFigures, 'label' | 'n' | 'setAside'>

/** One check, in the line of its group. */
export function checkedLine(known: Known, document: CheckDocument): GroupFigures {
  const found = checkFigures(document)
  if (!found.ok) return { ...known, why: found.problem }
  const { test, estimate, interval, outcome, sample } = found.value
  const { pValue, logPValue, method } = test
  return {
    ...known,
    n: sample.n,
    ...('exposure' in sample ? { events: sample.events, exposure: sample.exposure } : {}),
    ...{ method, estimate: estimate.value },
    ...(interval ? { interval } : {}),
    ...(pValue === undefined ? {} : { pValue }),
    ...(logPValue === undefined ? {} : { logPValue }),
    outcome,
  }
}

/** One control, in the line of its group. */
export function controlledLine(known: Known, content: Content): GroupFigures {
  const found = controlContent(content, { withConditions: false })
  if (!found.ok) return { ...known, why: found.problem }
  const { n, average, beyondT, beyondTwiceT, nominal, outcome } = found.value
  return {
    ...known,
    n,
    estimate: nominal + average.meanError,
    ...{ beyondT: beyondT.rows.length, beyondTwiceT: beyondTwiceT.rows.length, outcome },
  }
}

/** Whether a line was tested: a control has no p-value of its own. */
export const isTestedLine = ({ method }: GroupFigures): boolean => method !== undefined

/** The lines with their p-values adjusted for as many as were tested. */
export function adjustedLines(
  lines: readonly GroupFigures[],
  { adjust, level }: Readonly<{ adjust: Adjustment; level: number }>,
): readonly GroupFigures[] {
  const tested = lines.filter(isTestedLine)
  // A p-value below the range of a double counts as 0.
  const adjusted = adjustPValues(
    tested.map(({ pValue = 0 }) => pValue),
    adjust,
  )
  const known = new Map(tested.map((line, at) => [line, adjusted[at]!]))
  return lines.map((line) => {
    const pValue = known.get(line)
    if (pValue === undefined || !line.outcome) return line
    const together = isWithin(pValue, level) ? line.outcome : UNDECIDED[line.outcome]
    return { ...line, adjusted: pValue, together }
  })
}

/**
 * Whether what was tested differs: means, shares or rates.
 *
 * @param momentsAt - of the readings of a line
 * @returns undefined where fewer than two were tested, and for a parameter of which this is not told
 */
export function betweenLines(
  parameter: Parameter,
  lines: readonly GroupFigures[],
  momentsAt: (place: number) => Moments | undefined,
): Homogeneity | undefined {
  const places = lines.flatMap((line, at) => (isTestedLine(line) ? [at] : []))
  if (places.length < 2) return undefined
  const own = places.map((at) => lines[at]!)
  const { sample } = parameterOf(parameter)
  if (sample === 'events')
    return homogeneityOfRates(own.map(({ events, exposure }) => ({ events: events!, exposure: exposure! })))
  if (sample === 'counted')
    return homogeneityOfShares(own.map(({ n, estimate }) => ({ n, x: Math.round(estimate! * n) })))
  if (parameter !== 'mean') return undefined
  const groups = places.map(momentsAt)
  return groups.every((one) => one !== undefined) ? oneWay(groups) : undefined
}
