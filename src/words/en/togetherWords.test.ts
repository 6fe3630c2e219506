import type { FindingOutcome } from '@/claims/finding'
import { togetherWords } from './togetherWords'

const tested = (outcome: FindingOutcome, adjusted: FindingOutcome) => ({
  outcome,
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
