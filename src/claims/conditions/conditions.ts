import { type Appearance, appearanceOf } from '@/statistics/describe/describe'
import type { Method } from '@/statistics/inference/procedure'
import { type MeasuredSample, type Sample, unitsTaken } from '../sample'
import { conditionSentences } from '@/words/en/conditionSentences'
import type { Condition } from './condition'
import { LARGE_SAMPLE, type Need, needOf, normality, symmetry } from './populationShape'

/** Readings drawn without replacement count as independent up to this share of the lot: common practice, no source. */
export const SMALL_SHARE = 0.1
/** Expected successes and failures from which the normal distribution stands in for the count: common practice. */
export const EXPECTED_COUNT = 10
/** Below this p-value the order of readings is pointed out: common practice, no source. */
const UNUSUAL = 0.01

/**
 * What a test rests on, as far as it can be told from the figures.
 *
 * @param input.claimedValues - the value claimed, or the two limits of a tolerance
 */
export function conditionsFor(
  input: Readonly<{ sample: Sample; method: Method; claimedValues: readonly number[] }>,
): readonly Condition[] {
  const { sample, method, claimedValues } = input
  const shared = [randomSample(sample), independence(sample)]
  switch (sample.kind) {
    case 'measured':
      return [...shared, ...measuredConditions(sample.measured, method)]
    case 'counted':
      return [...shared, ...countConditions(sample.counted.sampleSize, method, claimedValues)]
    case 'two':
      return [
        ...shared,
        ...measuredConditions(sample.two.first, method).map((condition) => ({
          ...condition,
          of: 'first' as const,
        })),
        ...measuredConditions(sample.two.second, method).map((condition) => ({
          ...condition,
          of: 'second' as const,
        })),
      ]
    default:
      return sample satisfies never
  }
}

function measuredConditions(sample: MeasuredSample, method: Method): readonly Condition[] {
  const { values, sorted, sampleSize: n, mean } = sample
  const described =
    values && sorted && mean !== undefined
      ? appearanceOf({ values, sorted, known: { ...sample, mean }, normality: 'one-test' })
      : undefined
  const need = needOf(method)
  return [
    ...(described ? order(described) : []),
    ...(need === 'none' ? [] : [shapeCondition(n, method, need, described)]),
    ...(need === 'mean' ? [sampleSize(n, method)] : []),
    ...(described?.conditions.grubbs ? [outliers(described, sample)] : []),
  ]
}

function shapeCondition(n: number, method: Method, need: Need, described: Appearance | undefined): Condition {
  return need === 'symmetry' ? symmetry(n, described) : normality({ n, method, need, described })
}

function randomSample({ drawn }: Sample): Condition {
  const state = drawn === undefined ? 'unknown' : drawn === 'random' ? 'met' : 'not-met'
  return { name: 'random-sample', state, figures: {}, sentence: conditionSentences.randomSample(state) }
}

function independence(sample: Sample): Condition {
  const n = unitsTaken(sample)
  const { lotSize, independence: stated } = sample
  const name = 'independence'
  const share = lotSize === undefined ? undefined : n / lotSize
  const figures: Condition['figures'] = lotSize === undefined ? { n } : { n, lotSize, share: n / lotSize }
  const sentence = conditionSentences.independence(stated, share, SMALL_SHARE)
  if (stated === 'not-independent') return { name, state: 'not-met', figures, sentence }
  if (share === undefined) return { name, state: stated ? 'met' : 'unknown', figures, sentence }
  return { name, state: share <= SMALL_SHARE ? 'met' : 'doubtful', figures, sentence }
}

/** Whether the readings, as they stand, look like chance: it says something only if that is how they were taken. */
function order({ conditions: { runs }, lag1Autocorrelation }: Appearance): readonly Condition[] {
  if (!runs || lag1Autocorrelation === undefined) return []
  const isUsual = runs.pValue >= UNUSUAL
  return [
    {
      name: 'order',
      state: isUsual ? 'met' : 'doubtful',
      figures: { runs: runs.runs, z: runs.z, p: runs.pValue, lag1: lag1Autocorrelation },
      sentence: conditionSentences.order(runs.pValue, isUsual, lag1Autocorrelation),
    },
  ]
}

function sampleSize(n: number, method: Method): Condition {
  const isLarge = n >= LARGE_SAMPLE
  return {
    name: 'sample-size',
    state: isLarge ? 'met' : 'doubtful',
    figures: { n, largeFrom: LARGE_SAMPLE },
    sentence: conditionSentences.sampleSize({ n, method, largeFrom: LARGE_SAMPLE, isLarge }),
  }
}

function outliers(described: Appearance, { places }: MeasuredSample): Condition {
  const { grubbs, generalizedEsd } = described.conditions
  const found = generalizedEsd?.outliers ?? []
  const readings = found.map((index) => places?.[index] ?? index).toSorted((a, b) => a - b)
  return {
    name: 'outliers',
    state: found.length === 0 ? 'met' : 'doubtful',
    figures: {
      outliers: found.length,
      beyondFences: described.beyondFences.length,
      ...(grubbs ? { g: grubbs.g, p: grubbs.pValue } : {}),
    },
    readings,
    sentence: conditionSentences.outliers(found.length),
  }
}

function countConditions(n: number, method: Method, claimedValues: readonly number[]): readonly Condition[] {
  const least = leastExpectedCount(n, claimedValues)
  const isEnough = least >= EXPECTED_COUNT
  const isExact = method !== 'score-z'
  return [
    {
      name: 'expected-counts',
      state: isEnough || isExact ? 'met' : 'not-met',
      figures: { least, needed: EXPECTED_COUNT },
      sentence: conditionSentences.expectedCounts({ least, needed: EXPECTED_COUNT, isEnough, isExact }),
    },
  ]
}

/** The smallest of n·p₀ and n·(1 − p₀), without what 1 − p₀ loses in floating point. */
export function leastExpectedCount(n: number, claimedValues: readonly number[]): number {
  const counts = claimedValues.flatMap((value) => [n * value, n * (1 - value)])
  return Number(Math.min(...counts).toPrecision(12))
}
