import { groups } from '@/answers/groups'
import { displayOfLines, lineCells, lineHeads, orderedLines, shownLines } from './groupLines'
import {
  adjustmentWords,
  alikeWords,
  betweenWords,
  groupsHeadline,
  groupWords,
  pooledWords,
} from './groupsWords'

const plain = (text: string) => text.replaceAll('\u202f', ' ').replaceAll('\u2212', '-')
const answer = groups({
  groups: {
    claim: { parameter: 'mean', relation: 'at-most', value: 2 },
    values: [1.8, 2.1, 1.9, 2.4, 2.6, 2.5, 1.7, 2.2, 2.1, 2.3],
    labels: ['10', '10', '10', '7', '7', '7', 'east', '2', '2', '2'],
  },
})
const lines = answer.ok ? answer.groups : []
const subject = {
  parameter: 'mean',
  unit: 'd',
  exposureUnit: '',
  decimals: undefined,
  isControl: false,
  level: 0.05,
  meanings: { 7: 'North quay' },
} as const

test('the headline counts what contradicts, by itself and taken together, and what is not tested', () => {
  expect(groupsHeadline(lines)).toBe(
    '2 of 3 groups contradict the claim, taken together 1; one is not tested.',
  )
  const weaker = lines.map((line) => ({
    ...line,
    ...(line.together ? { together: 'not-contradicted' as const } : {}),
  }))
  expect(groupsHeadline(weaker, 'lots')).toBe(
    '2 of 3 lots contradict the claim, taken together 0; one is not tested.',
  )
  const supports = lines.map((line) => ({
    ...line,
    ...(line.outcome ? { outcome: 'supported' as const, together: 'supported' as const } : {}),
  }))
  expect(groupsHeadline(supports)).toBe(
    '3 of 3 groups support the claim, taken together the same; one is not tested.',
  )
})

test('lines in an order, those not judged last', () => {
  const order = (by: Parameters<typeof orderedLines>[1]) => orderedLines(lines, by).map(({ label }) => label)
  expect(order('estimate')).toEqual(['7', '2', '10', 'east'])
  expect(order('p-value')).toEqual(['7', '2', '10', 'east'])
  expect(order('name')).toEqual(['2', '7', '10', 'east'])
  expect(order('size')).toEqual(['2', '7', '10', 'east'])
  const dated = [
    { label: 'b', n: 1, day: '2026-02-01' },
    { label: 'a', n: 1 },
    { label: 'c', n: 1, day: '2026-01-01' },
  ]
  expect(orderedLines(dated, 'day').map(({ label }) => label)).toEqual(['c', 'b', 'a'])
})

test('the cells of a line, to decimals that fit most intervals', () => {
  const display = displayOfLines(lines, subject)
  const shown = shownLines(lines, subject, display).map((line) => lineCells(line, false).map(plain))
  expect(lineHeads('depot', subject, lines).map(plain)).toEqual([
    'depot',
    'n',
    'Estimate',
    '95 % interval',
    'p-value',
    'Adjusted',
    'By itself',
    'Taken together',
  ])
  expect(shown[1]).toEqual([
    'North quay (7)',
    '3',
    '2.50 d',
    '2.25 to 2.75',
    '0.0065',
    '0.020',
    'Contradicted',
    'the same',
  ])
  expect(shown[2]![6]).toMatch(/^Not tested\. One reading is given/)
  expect(shown[2]!.slice(2, 6)).toEqual(['', '', '', ''])
})

test('an interval of 2 either way is read as two standard errors of 1', () => {
  const wide = [{ ...lines[1]!, estimate: 10, interval: { ...lines[1]!.interval!, lower: 8, upper: 12 } }]
  expect(shownLines(wide, subject, displayOfLines(wide, subject))[0]!.estimate).toBe('10.0\u202fd')
  const narrower = [{ ...lines[1]!, estimate: 10, interval: { ...lines[1]!.interval!, lower: 9, upper: 11 } }]
  expect(shownLines(narrower, subject, displayOfLines(narrower, subject))[0]!.estimate).toBe('10.00\u202fd')
})

test('what an adjustment keeps, in its own words', () => {
  expect(plain(adjustmentWords('holm', 12, 0.05))).toMatch(
    /^12 groups were tested.*even one wrong rejection among them within 5 %.*of its own group alone\.$/,
  )
  expect(plain(adjustmentWords('benjamini-hochberg', 3, 0.01, 'lots'))).toMatch(
    /^3 lots were tested.*share of wrong rejections.*within 1 %.*of its own lot alone\.$/,
  )
})

test('one group as plain text, its figures to ten digits', () => {
  const [at10, at7, east] = lines.map(groupWords)
  expect(at7).toBe(
    'n = 3, estimate 2.5, 95\u202f% interval 2.251586229 to 2.748413771, p = 0.00653622878, adjusted 0.01960868634. Contradicted',
  )
  expect(at10).toMatch(/^n = 3, estimate 1.933333333, .*\. Not contradicted$/)
  expect(east).toMatch(/^n = 1, not tested: One reading is given/)
  const far = { ...lines[1]!, pValue: undefined, logPValue: -1000, together: 'not-contradicted' as const }
  expect(plain(groupWords(far))).toMatch(
    /p = 5\.075959e-435, adjusted < 1e-300\. Contradicted, taken together not contradicted$/,
  )
  const open = { ...lines[1]!, interval: { ...lines[1]!.interval!, lower: undefined } }
  expect(groupWords(open)).toContain('interval no end to 2.748413771,')
  const packs = {
    label: 'a',
    n: 1250,
    estimate: 14.9,
    beyondT: 3,
    beyondTwiceT: 1,
    outcome: 'contradicted' as const,
  }
  expect(groupWords(packs)).toBe(
    'n = 1,250, estimate 14.9, 3 short by more than T, 1 by more than 2T. Contradicted',
  )
})

test('lots that can’t be pooled say why', () => {
  expect(pooledWords({ ok: false, error: { code: 'x', path: '', message: 'One lot is given.' } })).toBe(
    'The lots can’t be pooled: One lot is given.',
  )
})

test('whether groups differ is no claim that they are alike', () => {
  const far = { statistic: 24, df: 1, dfWithin: 4, pValue: 0.008, betweenVariance: 4, withinVariance: 1 }
  expect(plain(betweenWords(far, 'lots', 'kg'))).toBe(
    'The lots differ by more than chance explains at 5 %: F = 24.000 on 1 and 4 degrees of freedom, p = 0.0080. Standard deviation between lots 2 kg, within them 1 kg; the test takes the scatter within each for alike.',
  )
  expect(betweenWords({ statistic: 0.5, df: 2, pValue: 0.78 })).toMatch(
    /^That the groups differ is not shown at 5 %: chi-square = 0\.500 on 2/,
  )
})

test('names that may be one are asked about, and others not', () => {
  expect(alikeWords(['North', 'north ', 'NORTH', 'south'])).toContain(
    '“North” and “north ” and “NORTH” differ only in spaces or capitals',
  )
  expect(alikeWords(['a', 'b', 'ab'])).toBe('')
  expect(alikeWords([...'aAbBcC'])).toMatch(/^“a” and “A”; “b” and “B”; “c” and “C” differ/)
  expect(alikeWords([...'aAbBcCdD'])).toMatch(/“c” and “C”, and 1 more differ/)
})
