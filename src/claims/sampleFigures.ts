import { median } from '@/statistics/describe/quantile'
import type { Procedure } from '@/statistics/inference/procedure'
import type { MeasuredSample, Sample } from './sample'
import type { SampleFigures, SpreadFigures } from './result'

/** What the sample itself says, as a result carries it. */
export function sampleFigures(sample: Sample, { standardError }: Procedure): SampleFigures {
  const error = standardError === undefined ? {} : { standardError }
  switch (sample.kind) {
    case 'measured': {
      const { measured } = sample
      const { n, ...figures } = spreadFigures(measured)
      return { n, setAside: measured.setAside, ...figures, ...medianOf(measured), ...error }
    }
    case 'counted': {
      const { sampleSize: n, successes } = sample.counted
      return { n, setAside: 0, successes, share: successes / n, ...error }
    }
    case 'two': {
      const [first, second] = [spreadFigures(sample.two.first), spreadFigures(sample.two.second)]
      const setAside = sample.two.first.setAside + sample.two.second.setAside
      return { n: first.n + second.n, setAside, first, second, ...error }
    }
    default:
      return sample satisfies never
  }
}

function spreadFigures({ sampleSize: n, mean, standardDeviation, variance }: MeasuredSample): SpreadFigures {
  return {
    n,
    ...(mean === undefined ? {} : { mean }),
    ...(standardDeviation === undefined ? {} : { standardDeviation }),
    ...(variance === undefined ? {} : { variance }),
  }
}

function medianOf({ sorted }: MeasuredSample): Readonly<{ median?: number }> {
  return sorted ? { median: median(sorted) } : {}
}
