import type { FindingOutcome } from '@/claims/finding'
import { togetherWords } from './togetherWords'

const tested = (outcome: FindingOutcome, adjusted: FindingOutcome, significanceLevel = 0.05) => ({
  outcome,
  significanceLevel,
  adjusted: { outcome: adjusted },
})
const kept = tested('contradicted', 'contradicted')
const lost = tested('supported', 'not-supported')

test.each([
  [[kept, kept], /^2 claims were tested, .* It changes no finding\.$/],
  [[kept, lost, kept], /^3 claims were tested, .* It changes one finding\.$/],
  [[lost, lost], /^2 claims .* It changes 2 findings\.$/],
])('says what taking claims together changes', (claims, words) => {
  expect(togetherWords(claims)).toMatch(words)
})

test('says which level is kept where the claims’ own levels differ', () => {
  expect(togetherWords([kept, lost])).toContain('at the level, 5\u202f%.')
  const strict = tested('contradicted', 'contradicted', 0.01)
  expect(togetherWords([kept, strict])).toContain(
    'at the largest of their levels, 5\u202f%, and holds each beside its own.',
  )
})
