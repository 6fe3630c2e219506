import { testedTogether } from './testedTogether'

const claim = (
  pValue: number | undefined,
  outcome: Parameters<typeof testedTogether>[0][number]['outcome'],
) => ({
  ...(pValue === undefined ? {} : { pValue }),
  significanceLevel: 0.05,
  outcome,
})

test('a finding loses its decision where its adjusted p-value is above its level', () => {
  // Holm by hand: 0.01 × 4, 0.02 × 3, 0.03 × 2, each at least the one before; 0.4.
  const together = testedTogether([
    claim(0.03, 'supported'),
    claim(0.4, 'not-contradicted'),
    claim(0.01, 'contradicted'),
    claim(0.02, 'contradicted'),
  ])
  expect(together.map(({ outcome }) => outcome)).toEqual([
    'not-supported',
    'not-contradicted',
    'contradicted',
    'not-contradicted',
  ])
  const expected = [0.06, 0.4, 0.04, 0.06]
  for (const [index, { pValue }] of together.entries()) expect(pValue).toBeCloseTo(expected[index]!, 14)
})

test('a p-value too small for a double counts as 0, and each claim keeps its own level', () => {
  const strict = { pValue: 0.02, significanceLevel: 0.01, outcome: 'not-contradicted' as const }
  expect(testedTogether([claim(undefined, 'contradicted'), strict])).toEqual([
    { pValue: 0, outcome: 'contradicted' },
    { pValue: 0.02, outcome: 'not-contradicted' },
  ])
})
