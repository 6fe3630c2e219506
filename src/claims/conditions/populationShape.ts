import type { Appearance } from '@/statistics/describe/describe'
import { kurtosisError, skewnessError } from '@/statistics/describe/shape'
import { type Condition, conditions, type PopulationNeed, type ShapeFigures } from '../terms/condition'
import { FAR, levelWithKurtosis, levelWithSkewness, stateOf, type Tested } from './trueLevel'

/** Fewer readings than these tell too little of a shape for it to be met: common practice, no source. */
const TELLING = 10

/** The readings as they appear, and the test that they are put to. */
export type Judged = Readonly<{
  n: number
  need: PopulationNeed
  described: Appearance | undefined
  tested: Tested
  /** A standard deviation that is known and not the sample's. */
  isSpreadKnown: boolean
}>

/** Whether the shape of the population, as far as the readings tell it, leaves the test the level that it states. */
export function normality(judged: Judged): Condition {
  const { n, need, described, tested } = judged
  const figures = described && (need === 'readings' ? ofSpread(described, judged) : ofMean(described, judged))
  if (!figures) return conditions.normalityUnknown(n)
  const { level: seen, farLevel: far } = figures
  const found = stateOf({ seen, far }, tested.significanceLevel)
  const state = found === 'met' && n < TELLING ? 'no-sign' : found
  const shape = { ...figures, stated: tested.significanceLevel }
  return need === 'readings' ? conditions.shapeOfSpread(shape, state) : conditions.shapeOfMean(shape, state)
}

type Levels = Omit<ShapeFigures, 'stated'>

function ofMean({ skewness: { G1 } }: Appearance, { n, tested, isSpreadKnown }: Judged): Levels | undefined {
  if (G1 === undefined) return undefined
  const standardError = skewnessError(n)
  const at = (skewness: number) => levelWithSkewness(tested, { n, skewness, isSpreadKnown })
  const farLevel = Math.max(at(G1 - FAR * standardError), at(G1 + FAR * standardError))
  return { n, skewness: G1, standardError, level: at(G1), farLevel }
}

function ofSpread({ excessKurtosis: { G2 } }: Appearance, { n, tested }: Judged): Levels | undefined {
  if (G2 === undefined) return undefined
  const standardError = kurtosisError(n)
  const at = (excessKurtosis: number) => levelWithKurtosis(tested, { n, excessKurtosis })
  return { n, excessKurtosis: G2, standardError, level: at(G2), farLevel: at(G2 + FAR * standardError) }
}

/** Whether the skewness is within two of its standard errors under a normal population. */
export function symmetry(n: number, described: Appearance | undefined): Condition {
  const skewness = described?.skewness.G1
  if (skewness === undefined) return conditions.symmetryUnknown(n)
  const standardError = skewnessError(n)
  const figures = { skewness, standardError }
  return Math.abs(skewness) <= 2 * standardError ? conditions.symmetric(figures) : conditions.skewed(figures)
}
