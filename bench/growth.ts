import { isTested } from '@/claims/checkAnswer'
import { check } from '@/answers/check'
import type { CheckDocument } from '@/claims/terms/request'
import { crossExamination } from '@/claims/crossexamination/crossExamination'

/** How long a check of so many readings takes and its cross-examination, beside adding them up, in milliseconds. */
const size = Number(process.argv[2])
const values = Array.from(
  { length: size },
  (_, i) => Math.round((15 + Math.sin(i * 12.9898) / 10 - 0.0025) * 1000) / 1000,
)
const document: CheckDocument = {
  claim: { parameter: 'mean', relation: 'at-least', value: 15 },
  evidence: { kind: 'readings', values },
}

function timed<T>(work: () => T): Readonly<{ ms: number; value: T }> {
  const start = performance.now()
  const value = work()
  return { ms: performance.now() - start, value }
}

const doubles = Float64Array.from(values)
const added = timed(() => doubles.reduce((sum, value) => sum + value, 0))
const checked = timed(() => check(document))
const result = checked.value
if (!isTested(result)) throw new Error('the check comes to no test')
// Resamples take as long as they are many, and are not drawn of the larger ones.
const examined = timed(() =>
  crossExamination({ document, result })
    .filter(({ key }) => key !== 'method bootstrap')
    .map(({ ask }) => ask()),
)
process.stdout.write(JSON.stringify({ added: added.ms, checked: checked.ms, examined: examined.ms }))
