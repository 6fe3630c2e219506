import { check } from '@/answers/check'
import { timed } from './timed'
import { resample } from '@/statistics/resampling/resample'

const READINGS = 1000
const RESAMPLES = 10_000

const centred = Float64Array.from({ length: READINGS }, (_, i) => Math.sin(i * 12.9898))
let shift = 0
const results = {
  bootstrap: timed(() =>
    resample(centred, 'mean', {
      count: RESAMPLES,
      seed: 1,
      own: centred.reduce((sum, value) => sum + value, 0) / READINGS,
    }),
  ),
  exact: timed(() => {
    // Another count each time, so that nothing kept from the last run helps.
    shift += 1
    check({
      claim: { parameter: 'proportion', relation: 'equal-to', value: 0.3 },
      evidence: { kind: 'count', n: 1_000_000, successes: 300_500 + shift },
      test: { method: 'exact-binomial' },
    })
  }),
}
process.stdout.write(`${JSON.stringify(results)}\n`)
