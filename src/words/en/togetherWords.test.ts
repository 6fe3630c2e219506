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
  expect(togetherWords([kept, lost])).toContain(
    'within the level, 5\u202f%, as far as each test keeps its own level. The',
  )
  const strict = tested('contradicted', 'contradicted', 0.01)
  expect(togetherWords([kept, strict])).toContain(
    'within the largest of their levels, 5\u202f%, as far as each test keeps its own level; each claim is still decided at its own.',
  )
})
