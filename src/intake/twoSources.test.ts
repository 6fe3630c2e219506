import { type ClaimDraft, EMPTY_CLAIM } from '@/desk/claimDraft'
import { EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { readDraft } from './readDraft'
import { readEvidence } from './readEvidence'
import { readTypedSheet } from './sheet/typedSheet'
import { ofSecond, takenFrom } from './takenFrom'
import { joinSources } from './twoSources'

const [ONE, TWO] = ['0195a000-0000-7000-8000-000000000001', '0195a000-0000-7000-8000-000000000002'] as const
const claim: ClaimDraft = {
  ...EMPTY_CLAIM,
  parameter: 'variance-ratio',
  relation: 'equal-to',
  claimedValue: '1',
  unit: 'kg',
  sampleId: ONE,
  secondSampleId: TWO,
}

function read(first: SampleDraft, second: SampleDraft, draft = claim) {
  const of = (side: ClaimDraft, sample: SampleDraft) =>
    readEvidence({
      sample,
      taken: sample.kind === 'typed' ? takenFrom(readTypedSheet(sample), side, sample) : undefined,
      draft: side,
    })
  return readDraft(
    draft,
    joinSources(draft, { first: of(draft, first), second: of(ofSecond(draft), second) }),
  )
}

const typed = (readings: string, more: Partial<SampleDraft> = {}): SampleDraft => ({
  ...EMPTY_SAMPLE,
  readings,
  ...more,
})

test('two typed samples are two lists of readings, each with what is set aside of it', () => {
  const aside = [{ row: 1, reason: 'torn', by: 'A.' }]
  const { document } = read(typed('15.1 14.9 15.0'), typed('15.2 99 14.8 15.0', { setAside: aside }))
  expect(document?.evidence).toEqual({
    kind: 'two-readings',
    first: [15.1, 14.9, 15],
    second: [15.2, 99, 14.8, 15],
    secondSetAside: [1],
  })
})

test('readings beside summary figures become figures too, without what is set aside', () => {
  const summary = { ...EMPTY_SAMPLE, kind: 'summary', sampleSize: '20', spread: '0.3' } as const
  const aside = [{ row: 3, reason: 'torn', by: 'A.' }]
  const { document } = read(typed('1 2 3 99', { setAside: aside }), summary)
  expect(document?.evidence).toEqual({
    kind: 'two-summaries',
    first: { n: 3, variance: 1 },
    second: { n: 20, standardDeviation: 0.3 },
  })
})

test('two groups of one sheet are two sources; the same one twice is none', () => {
  const columns = ['mass', 'line'].map((name) => ({
    name,
    label: '',
    unit: '',
    kind: 'number' as const,
    codes: '',
  }))
  const held = typed('15.1\t1\n14.9\t1\n15.3\t2\n14.7\t2', { columns })
  const line = (value: string) => [[{ column: 'line', relation: 'is' as const, value, upTo: '' }]]
  const same = { ...claim, secondSampleId: null, column: 'mass', secondColumn: 'mass' }
  const grouped = { ...same, kept: line('1'), secondKept: line('2') }
  expect(read(held, held, grouped).document?.evidence).toMatchObject({
    first: [15.1, 14.9],
    second: [15.3, 14.7],
  })
  expect(read(held, held, same).missing).toMatchObject([{ field: 'secondSampleId' }])
})

test('both are random only where both are said to be, and what the second lacks is named', () => {
  const random = { drawnAtRandom: 'random', lotSize: '100' } as const
  const both = read(typed('1 2 3', random), typed('4 5 7', random)).document?.evidence
  expect(both).toMatchObject({ drawn: 'random', lotSize: 200 })
  const one = read(typed('1 2 3', random), typed('4 5 7')).document?.evidence
  expect(one).not.toHaveProperty('drawn')
  const worse = read(typed('1 2 3', random), typed('4 5 7', { takenIndependently: 'not-independent' }))
  expect(worse.document?.evidence).toMatchObject({ independence: 'not-independent' })
  expect(read(typed('1 2 3'), typed('4')).missing[0]?.message).toMatch(/^Second source: Enter at least two/)
})

test('readings are never held beside themselves, and a second source is said before anything is asked of it', () => {
  const message = 'Say what the second source is: another sample, another column or other rows.'
  const missing = (change: Partial<ClaimDraft>, second = typed('15.1 14.9')) =>
    read(typed('15.1 14.9'), second, { ...claim, ...change }).missing.map((one) => one.message)
  expect(missing({ secondSampleId: ONE })).toEqual([message])
  expect(missing({ secondSampleId: ONE, column: 'readings' })).toEqual([message])
  expect(missing({ secondSampleId: null }, typed('half a reading'))).toEqual([message])
  expect(missing({ secondSampleId: TWO })).toEqual([])
})

test('what became of the entries is told of each source', () => {
  const aside = [{ row: 2, reason: 'torn', by: 'A.' }]
  const { document } = read(typed('15.1 14.9 15.0'), typed('15.2\n14.8\nheavy', { setAside: aside }))
  expect(document?.evidence.entries).toEqual([{}, { unreadable: { count: 1, texts: ['heavy'] } }])
})
