import { check } from '@/answers/check'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { columnNamed, EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { readDraft } from './readDraft'
import { readEvidence } from './readEvidence'
import { readEntry } from './reading/entry'
import { waysToRead } from './reading/ways'
import { withSaid } from './sayings'
import { readTypedSheet } from './sheet/typedSheet'
import { takenFrom } from './takenFrom'

// "< 0.5" is nothing that was measured: it is read only where somebody said so, and then as a limit.

const AMONG = { commonUnits: new Set<string>(), isMarkUsed: true, isList: true }
const PLAIN = { mark: 'point', rules: [] } as const
const SAID = { mark: 'point', rules: [{ rule: 'limits', text: '' }] } as const
const claim = {
  ...EMPTY_CLAIM,
  parameter: 'median',
  relation: 'at-most',
  claimedValue: '1',
  sampleId: '',
} as const

function readingOf(sample: SampleDraft, draft: typeof EMPTY_CLAIM = claim) {
  const own = { ...draft, sampleId: '' }
  const taken = takenFrom(readTypedSheet(sample), own, sample)
  const evidence = readEvidence({ sample, taken, draft: own })
  return { evidence, ...readDraft(own, evidence) }
}
const LIST: SampleDraft = {
  ...EMPTY_SAMPLE,
  readings: '<0.5\n0.8\n1.2\n< 0.5\n1.9\n2.4\n0.9\n1.4\n3.1\n> 20',
}
const saidOf = (sample: SampleDraft): SampleDraft => ({ ...sample, ...withSaid(sample, 'readings', SAID) })

test.each([
  ['<0.5', 0.5, 'below'],
  ['< 0.5', 0.5, 'below'],
  ['> 20', 20, 'above'],
  ['"<0.5"', 0.5, 'below'],
] as const)('%s is no number, and a limit where that is said', (text, value, side) => {
  expect(readEntry(text, PLAIN).ok).toBe(false)
  expect(readEntry(text, SAID)).toEqual({ ok: true, value, side })
  const [way, ...others] = waysToRead(text, PLAIN, AMONG)
  expect(others).toEqual([])
  expect(way).toMatchObject({ values: [value], rules: SAID.rules })
})

test.each(['<', '<<1', '< >1', '<=1', '<1>', '<x', '1<', '< 1,234'])('%s is none either way', (text) => {
  expect(readEntry(text, SAID).ok).toBe(false)
})

test('a unit is taken off a limit as off a reading', () => {
  const ways = waysToRead('< 0.5 mg', PLAIN, AMONG)
  expect(ways.map(({ rules }) => rules.map(({ rule }) => rule))).toEqual([['unit', 'limits']])
  expect(readEntry('< 0.5 mg', { mark: 'point', rules: ways[0]!.rules })).toEqual({
    ok: true,
    value: 0.5,
    side: 'below',
  })
})

test('nothing is computed until somebody says how they are read, and then each counts on its side', () => {
  expect(readingOf(LIST)).not.toHaveProperty('document')
  const { document, evidence } = readingOf(saidOf(LIST))
  expect(document?.evidence).toMatchObject({ censored: { below: [0, 3], above: [9] } })
  expect(evidence.values).toEqual([])
  expect(check(document)).toMatchObject({
    ok: true,
    sample: { n: 10 },
    finding: { basis: expect.stringContaining('limits') as string },
  })
  const mean = readingOf(saidOf(LIST), { ...claim, parameter: 'mean' } as typeof EMPTY_CLAIM)
  expect(check(mean.document)).toMatchObject({ ok: false, error: { code: 'censored-readings' } })
})

test('in a sheet they are of their column, and rows are not kept by what they do not tell', () => {
  const sample: SampleDraft = {
    ...EMPTY_SAMPLE,
    readings: '<0.5\t1\n0.8\t1\n1.2\t2\n1.9\t1\n1.3\t2\n2.4\t1',
    columns: [{ ...columnNamed('x', 'number'), readAs: [...SAID.rules] }, columnNamed('line', 'number')],
  }
  const of = (kept: typeof EMPTY_CLAIM.kept) =>
    readingOf(sample, { ...claim, column: 'x', kept } as typeof EMPTY_CLAIM)
  expect(of([[{ column: 'line', relation: 'is', value: '1', upTo: '' }]]).document?.evidence).toMatchObject({
    values: [0.5, 0.8, 1.9, 2.4],
    censored: { below: [0], above: [] },
  })
  expect(
    of([[{ column: 'line', relation: 'is', value: '2', upTo: '' }]]).evidence.evidence,
  ).not.toHaveProperty('censored')
  expect(of([[{ column: 'x', relation: 'above', value: '0.3', upTo: '' }]]).problems[0]?.message).toMatch(
    /are limits/,
  )
})
