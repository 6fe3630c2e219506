import { isTested } from '@/claims/checkAnswer'
import { check } from '@/answers/check'
import type { CheckDocument } from '@/claims/terms/request'
import { crossExamination } from '@/claims/crossexamination/crossExamination'

/** How long each question of a cross-examination takes, in milliseconds, by the number of readings. */
const SIZES = [24, 1000, 20_000, 600_000]

const results = SIZES.map((size) => {
  const values = Array.from({ length: size }, (_, i) => 15 + Math.sin(i * 12.9898) / 10 - 0.0025)
  const document: CheckDocument = {
    claim: { parameter: 'mean', relation: 'at-least', value: 15 },
    evidence: { kind: 'readings', values },
  }
  const result = check(document)
  if (!isTested(result)) throw new Error('the check comes to no test')
  const questions = crossExamination({ document, result }).map(({ key, ask }) => {
    const start = performance.now()
    ask()
    return { key, ms: performance.now() - start }
  })
  return { size, questions }
})
process.stdout.write(`${JSON.stringify(results)}\n`)
