import type { Pivot } from '../inference/pivot'
import type { MeanSample } from '../inference/sample'
import { formatNumber } from '../wording/figures'

export type ConditionState = 'met' | 'doubtful' | 'not-met' | 'unknown'

export type Condition = Readonly<{
  name: 'random-sample' | 'independence' | 'sample-size'
  state: ConditionState
  figures: Readonly<Record<string, number>>
  /** What was seen and what follows from it. */
  sentence: string
}>

/** From this size on a mean is robust against a population that is not normal: common practice, no source. */
const LARGE_SAMPLE = 30
/** Readings drawn without replacement count as independent up to this share of the lot: common practice, no source. */
const SMALL_SHARE = 0.1

/** What a test of a mean rests on, as far as it can be told from the figures. */
export function meanConditions(sample: MeanSample, pivot: Pivot): readonly Condition[] {
  return [randomSample(), independence(sample), sampleSize(sample.sampleSize, pivot.method)]
}

function randomSample(): Condition {
  return {
    name: 'random-sample',
    state: 'unknown',
    figures: {},
    sentence: 'Nobody has said whether the sample was drawn at random. The finding holds only if it was.',
  }
}

function independence({ sampleSize: n, setAside, lotSize }: MeanSample): Condition {
  if (lotSize === undefined) {
    return {
      name: 'independence',
      state: 'unknown',
      figures: { n },
      sentence:
        'The size of the lot is not stated. Up to a tenth of it may be sampled as if readings were independent.',
    }
  }
  const share = (n + setAside) / lotSize
  const isSmall = share <= SMALL_SHARE
  const taken = `The sample is ${formatNumber(share * 100, 1)}\u202f% of the lot`
  return {
    name: 'independence',
    state: isSmall ? 'met' : 'doubtful',
    figures: { n, lotSize, share },
    sentence: isSmall
      ? `${taken}, no more than a tenth, so the readings may be taken as independent.`
      : `${taken}, more than a tenth. The test is then stricter than it seems: the true standard error is smaller.`,
  }
}

function sampleSize(n: number, method: Pivot['method']): Condition {
  const isLarge = n >= LARGE_SAMPLE
  const test = method === 't' ? 't test' : 'z test'
  return {
    name: 'sample-size',
    state: isLarge ? 'met' : 'doubtful',
    figures: { n, largeFrom: LARGE_SAMPLE },
    sentence: isLarge
      ? `With ${n} readings, ${LARGE_SAMPLE} or more, the ${test} bears most populations that are not normal.`
      : `With ${n} reading${n === 1 ? '' : 's'}, fewer than ${LARGE_SAMPLE}, the ${test} rests on a near-normal population.`,
  }
}
