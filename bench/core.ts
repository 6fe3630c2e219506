import { check } from '@/answers/check'
import { resample } from '@/statistics/resampling/resample'

const READINGS = 1000
const RESAMPLES = 10_000
const TIMES = 7

/** The median time of a few runs, in milliseconds, after one to warm up. */
function timed(run: () => void): number {
  run()
  const times = Array.from({ length: TIMES }, () => {
    const start = performance.now()
    run()
    return performance.now() - start
  })
  return times.sort((a, b) => a - b)[Math.floor(TIMES / 2)]!
}

const centred = Float64Array.from({ length: READINGS }, (_, i) => Math.sin(i * 12.9898))
let shift = 0
const results = {
  bootstrap: timed(() => resample(centred, 'mean', { count: RESAMPLES, seed: 1 })),
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
