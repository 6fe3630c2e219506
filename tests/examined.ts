import { testedBy } from '@tests/reference/answers'
import { askedWords, remarkWords } from '@/words/en/crossWords'
import type { CheckDocument, Evidence } from '@/claims/terms/request'
import { crossExamination } from '@/claims/crossexamination/crossExamination'
import type { Examined } from '@/claims/crossexamination/question'

export function examine(document: CheckDocument, withSetAside?: Evidence) {
  const result = testedBy(document)
  const answers = crossExamination({ document, result, withSetAside }).map(({ ask }) => ask())
  const answer = (key: string) => {
    const found = answers.find((one) => one.key === key)
    if (!found) throw new Error(`${key} was not asked: ${answers.map((one) => one.key).join(', ')}`)
    return worded(found)
  }
  return { result, answers, answer }
}

/** An answer with what is said of it. */
export const worded = ({ note, asked, ...answer }: Examined) => ({
  ...answer,
  words: askedWords(asked),
  note: note && remarkWords(note),
})

// 24 made-up readings of sacks; 14.52 stands apart.
export const sacks = [
  14.93, 14.97, 15.02, 14.88, 15.06, 14.91, 14.95, 14.99, 14.86, 14.94, 15.01, 14.9, 14.96, 14.98, 14.89,
  15.03, 14.92, 14.52, 14.97, 14.85, 15, 14.93, 14.95, 14.87,
]
export const atLeast15 = (
  evidence: Partial<Extract<Evidence, { kind: 'readings' }>> = {},
): CheckDocument => ({
  claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' },
  evidence: { kind: 'readings', values: sacks, ...evidence },
})

export const wavy = (count: number) =>
  Array.from({ length: count }, (_, i) => 15 + Math.sin(i * 12.9898) / 10)
