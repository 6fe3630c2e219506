import { testedBy } from '@tests/reference/answers'
import type { CheckDocument } from '@/claims/terms/request'
import { samplingPicture } from '@/pictures/samplingPicture'
import { samplingWords } from './samplingWords'

function wordsOf(document: CheckDocument): string {
  const result = testedBy(document)
  const picture = samplingPicture(result)
  if (!picture) throw new Error('no picture')
  return samplingWords({
    picture,
    letter: 't',
    plain: (value) => value.toFixed(3),
    inUnit: (value) => `${value.toFixed(3)} kg`,
    pValue: String(result.test.pValue?.toFixed(3)),
  })
}

const summary = { kind: 'summary', n: 25, mean: 14.95, standardDeviation: 0.1 } as const

// t = −2.5 on 24 degrees of freedom; table values 1.711 (0.05) and 2.064 (0.025), and 15 − 1.711 · 0.02 = 14.966.
test('the picture of a one-sided test is told with its critical value, in the claim’s unit too', () => {
  expect(wordsOf({ claim: { parameter: 'mean', relation: 'at-least', value: 15 }, evidence: summary })).toBe(
    'Distribution of t if the null hypothesis only just holds. The rejection region is -1.711, which is 14.966 kg and below. The sample’s t is -2.500, which is 14.950 kg. Shaded: the p-value, 0.010.',
  )
})

test('a test that looks both ways has two regions, and one that can reject nothing says so', () => {
  expect(
    wordsOf({ claim: { parameter: 'mean', relation: 'equal-to', value: 15 }, evidence: summary }),
  ).toMatch(/-2\.064, which is 14\.959 kg and below, or 2\.064, which is 15\.041 kg and above\./)
  const few: CheckDocument = {
    claim: { parameter: 'proportion', relation: 'at-least', value: 0.5 },
    evidence: { kind: 'count', n: 3, successes: 1 },
    test: { method: 'exact-binomial' },
  }
  expect(wordsOf(few)).toContain('No value is rejected.')
})
