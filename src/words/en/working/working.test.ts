import { resultOf } from '@tests/reference/answers'
import type { CheckDocument } from '@/claims/terms/request'

const values = [14.93, 15.02, 14.88, 14.91, 14.97, 14.86]
const textsOf = (document: CheckDocument) => resultOf(document).working.map(({ text }) => text)

test('the t test is worked line by line, symbols first, then numbers, then the figure', () => {
  const texts = textsOf({
    claim: { parameter: 'mean', relation: 'at-least', value: 15 },
    evidence: { kind: 'summary', n: 16, mean: 14.9, standardDeviation: 0.2 },
  })
  expect(texts[0]).toBe('SE = s / √n = 0.2 / √16 = 0.05')
  expect(texts[1]).toBe('t = (x̄ − μ₀) / SE = (14.9 − 15) / 0.05 = −2')
  expect(texts[2]).toMatch(/^P\(t ≤ observed\) = 0\.0319/)
  expect(texts[3]).toMatch(/ ≤ 0\.05$/)
  expect(texts[4]).toMatch(/ to /)
})

/** What a calculator makes of the last formula of a step: "= (10 − 1) · 0.4² / 0.3² = 16". */
function recomputed(text: string): readonly [number, number] {
  const sides = text.split(' = ')
  const formula = sides
    .at(-2)!
    .replaceAll('−', '-')
    .replaceAll('·', '*')
    .replaceAll('²', '**2')
    .replace(/√([\d.]+)/g, 'Math.sqrt($1)')
    .replaceAll('√(', 'Math.sqrt(')
  const shown = sides.at(-1)!.replaceAll('−', '-')

  return [Number(new Function(`return ${formula}`)()), Number(shown)]
}

const two = { kind: 'two-readings', first: values, second: [15.3, 14.2, 15.8, 14.9, 14.1] } as const
const WORKED: readonly (readonly [string, CheckDocument])[] = [
  [
    't',
    { claim: { parameter: 'mean', relation: 'at-least', value: 15 }, evidence: { kind: 'readings', values } },
  ],
  [
    'z',
    {
      claim: { parameter: 'mean', relation: 'at-least', value: -15 },
      evidence: { kind: 'readings', values },
      test: { knownStandardDeviation: 0.07 },
    },
  ],
  [
    'chi-square',
    {
      claim: { parameter: 'standard-deviation', relation: 'at-most', value: 0.04 },
      evidence: { kind: 'readings', values },
    },
  ],
  [
    'chi-square of a variance',
    {
      claim: { parameter: 'variance', relation: 'at-most', value: 0.0016 },
      evidence: { kind: 'readings', values },
    },
  ],
  [
    'score z',
    {
      claim: { parameter: 'proportion', relation: 'at-least', value: 0.8 },
      evidence: { kind: 'count', n: 200, successes: 151 },
      test: { method: 'score-z' },
    },
  ],
  [
    'score z, corrected',
    {
      claim: { parameter: 'proportion', relation: 'equal-to', value: 0.8 },
      evidence: { kind: 'count', n: 200, successes: 151 },
      test: { method: 'score-z', continuityCorrection: true },
    },
  ],
  [
    'F',
    {
      claim: { parameter: 'variance-ratio', relation: 'equal-to', value: 1.5 },
      evidence: { ...two, first: [...two.first], second: [...two.second] },
    },
  ],
  [
    'Levene',
    {
      claim: { parameter: 'variance-ratio', relation: 'equal-to', value: 1 },
      evidence: { ...two, first: [...two.first], second: [...two.second] },
      test: { method: 'levene' },
    },
  ],
  [
    'Bonett',
    {
      claim: { parameter: 'variance', relation: 'at-most', value: 0.002 },
      evidence: { kind: 'readings', values },
      test: { method: 'bonett' },
    },
  ],
  [
    'signed-rank of many',
    {
      claim: { parameter: 'median', relation: 'at-least', value: 14.95 },
      evidence: {
        kind: 'readings',
        values: Array.from({ length: 60 }, (_, at) => values[at % 6]! + (at % 7) / 100),
      },
      test: { method: 'signed-rank' },
    },
  ],
  [
    'bootstrap',
    {
      claim: { parameter: 'mean', relation: 'at-least', value: 15 },
      evidence: { kind: 'readings', values: [...values, ...values] },
      test: { method: 'bootstrap', resamples: 199 },
    },
  ],
]

test.each(WORKED)('the numbers put in give the figure shown: %s', (_, document) => {
  // Sides with letters left in them have no numbers to put in; so has the tail of a distribution.
  const steps = textsOf(document).filter((text) => / = [^=\p{L}]*[\d)²] = [^=]*$/u.test(text))
  expect(steps.length).toBeGreaterThan(0)
  for (const text of steps) {
    const [found, shown] = recomputed(text)
    expect({ text, error: Math.abs(found / shown - 1) < 2e-6 }).toEqual({ text, error: true })
  }
})

test('exact tests name the probability of each count', () => {
  const share = { parameter: 'proportion', relation: 'at-least', value: 0.9 } as const
  const exact = { claim: share, evidence: { kind: 'count', n: 20, successes: 15, lotSize: 201 } } as const
  expect(textsOf(exact)[1]).toBe('P(k) = C(n, k) · p^k · (1 − p)^(n − k) = C(20, k) · 0.9^k · 0.1^(20 − k)')
  const lot = textsOf({ ...exact, test: { method: 'hypergeometric' } })
  expect(lot[1]).toBe('P(k) = C(D, k) · C(N − D, n − k) / C(N, n) = C(181, k) · C(20, 20 − k) / C(201, 20)')
})

test('LaTeX braces are balanced, and every step has a name', () => {
  for (const [, document] of WORKED) {
    for (const { name, latex } of resultOf(document).working) {
      expect(name).not.toBe('')
      expect(latex.split('{').length).toBe(latex.split('}').length)
    }
  }
})

test('a tiny p-value is a power of ten, not the letter e with something taken from it', () => {
  const { working } = resultOf({
    claim: { parameter: 'mean', relation: 'at-least', value: 15 },
    evidence: { kind: 'summary', n: 100, mean: 14.9, standardDeviation: 0.1 },
  })
  const decision = working.find(({ name }) => name.startsWith('Decision'))!
  expect(decision.latex).toMatch(/^[\d.]+ \\cdot 10\^\{-\d+\} \\le 0\.05$/)
  expect(decision.text).toMatch(/^[\d.]{3,12}e−\d+ ≤ 0\.05$/)
})

test('the method of an interval is named in words', () => {
  const share = resultOf({
    claim: { parameter: 'proportion', relation: 'at-least', value: 0.95 },
    evidence: { kind: 'count', n: 200, successes: 186 },
  })
  expect(share.working.at(-1)!.name).toContain('(Clopper and Pearson)')
  const median = resultOf({
    claim: { parameter: 'median', relation: 'at-least', value: 3 },
    evidence: { kind: 'readings', values: [3, 4, 5, 7, 9, 1.5] },
  })
  expect(median.working.at(-1)!.name).toContain('(order statistics)')
})
