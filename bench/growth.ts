import { isTested } from '@/claims/checkAnswer'
import { check } from '@/answers/check'
import type { CheckDocument } from '@/claims/terms/request'
import { resample } from '@/statistics/resampling/resample'
import { crossExamination } from '@/claims/crossexamination/crossExamination'

/**
 * How long a check of so many readings takes and its cross-examination, beside adding them up; resamples of them, and an exact
 * test of so many trials; in milliseconds.
 */
const size = Number(process.argv[2])
/** A list of readings that a check takes at once has no more; of more than these, resamples take minutes. */
const [MOST_AT_ONCE, MOST_RESAMPLED] = [1e6, 1e5]
const RESAMPLES = 10_000
const values = Array.from(
  { length: size },
  (_, i) => Math.round((15 + Math.sin(i * 12.9898) / 10 - 0.0025) * 1000) / 1000,
)
function timed<T>(work: () => T): Readonly<{ ms: number; value: T }> {
  const start = performance.now()
  const value = work()
  return { ms: performance.now() - start, value }
}

const doubles = Float64Array.from(values)
const sumOf = () => doubles.reduce((sum, value) => sum + value, 0)
const added = timed(sumOf)

function ofReadings(): Readonly<{ checked: number; examined: number }> {
  const document: CheckDocument = {
    claim: { parameter: 'mean', relation: 'at-least', value: 15 },
    evidence: { kind: 'readings', values },
  }
  const checked = timed(() => check(document))
  const result = checked.value
  if (!isTested(result)) throw new Error('the check comes to no test')
  // Resamples take as long as they are many, and are not drawn of the larger ones.
  const examined = timed(() =>
    crossExamination({ document, result })
      .filter(({ key }) => key !== 'method bootstrap')
      .map(({ ask }) => ask()),
  )
  return { checked: checked.ms, examined: examined.ms }
}

const resampled = () =>
  timed(() => resample(doubles, 'mean', { count: RESAMPLES, seed: 1, own: sumOf() / size }))
const exact = timed(() =>
  check({
    claim: { parameter: 'proportion', relation: 'equal-to', value: 0.3 },
    evidence: { kind: 'count', n: size, successes: Math.round(size * 0.301) },
    test: { method: 'exact-binomial' },
  }),
)
process.stdout.write(
  JSON.stringify({
    added: added.ms,
    ...(size > MOST_AT_ONCE ? {} : ofReadings()),
    ...(size > MOST_RESAMPLED ? {} : { resampled: resampled().ms }),
    exact: exact.ms,
  }),
)
