import { check } from '@/answers/check'
import { type ClaimDraft, EMPTY_CLAIM } from '@/desk/claimDraft'
import { columnNamed, EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { readDraft as readBoth } from './readDraft'
import { readEvidence } from './readEvidence'
import { readTypedSheet } from './sheet/typedSheet'
import { takenFrom } from './takenFrom'

const draft: ClaimDraft = {
  ...EMPTY_CLAIM,
  sampleId: '0198c1de-0000-7000-8000-000000000000',
  quantity: 'net mass',
  claimedValue: '15',
  unit: 'kg',
}
const sample: SampleDraft = { ...EMPTY_SAMPLE, readings: '14.93\n15.02\n14.88' }

function readDraft(claim: ClaimDraft, held: SampleDraft = sample) {
  const taken = takenFrom(readTypedSheet(held), claim, held)
  return readBoth(claim, readEvidence({ sample: held, taken, draft: claim }))
}
const grams = { ...columnNamed('readings', 'number'), unit: 'g' }

test('makes a check document that the check takes', () => {
  const { document } = readDraft(draft)
  expect(document).toEqual({
    claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg', quantity: 'net mass' },
    evidence: { kind: 'readings', values: [14.93, 15.02, 14.88] },
    test: { significanceLevel: 0.05 },
  })
  expect(check(document).ok).toBe(true)
})

test('a claimed value left blank is missing, never 0', () => {
  const { document, missing } = readDraft({ ...draft, claimedValue: ' ' })
  expect(document).toBeUndefined()
  expect(missing).toEqual([{ field: 'claimedValue', message: 'State the claimed value.' }])
})

test.each([
  ['', 'there are none yet'],
  ['14.93', 'there is one so far'],
])('readings %p are too few', (readings, said) => {
  const { document, missing } = readDraft(draft, { ...sample, readings })
  expect(document).toBeUndefined()
  expect(missing[0]?.message).toContain(said)
})

test('says what was seen in a field that is no number, and computes nothing', () => {
  const { document, problems } = readDraft({ ...draft, claimedValue: '15 kg' })
  expect(document).toBeUndefined()
  expect(problems[0]).toMatchObject({ field: 'claimedValue', message: expect.stringContaining('“15 kg”') })
})

const share: ClaimDraft = { ...draft, parameter: 'proportion', unit: '' }

test.each<[keyof ClaimDraft, string, ClaimDraft, readonly string[], string]>([
  ['claimedValue', '40,000', draft, ['40000', '40.000'], 'Write 40000 or 40.000, whichever is meant.'],
  ['claimedValue', '1,234.5', draft, ['1234.5'], 'its thousands are set apart. Write 1234.5.'],
  ['claimedValue', '1 234', draft, ['1234'], 'Write 1234.'],
  [
    'claimedValue',
    '40.000',
    { ...draft, decimalMark: 'comma' },
    ['40000', '40,000'],
    'Write 40000 or 40,000',
  ],
  ['significanceLevel', '5', draft, ['5 %'], 'between 0 and 1, written such as 0.05 or 5 %.'],
  ['confidenceLevel', '99', draft, ['99 %'], 'between 0 and 1'],
  ['claimedValue', '95', share, ['95 %'], 'a share lies between 0 and 1'],
  ['claimedValue', '1,234.5 %', share, ['1234.5 %'], 'Write 1234.5 %.'],
])('%s “%s” is asked about: what would do is offered', (field, text, claim, wouldDo, said) => {
  const { document, problems } = readDraft({ ...claim, [field]: text })
  expect(document).toBeUndefined()
  expect(problems).toEqual([{ field, wouldDo, message: expect.stringContaining(said) }])
})

test.each<[keyof ClaimDraft, string, ClaimDraft]>([
  ['claimedValue', '15 kg', draft],
  ['significanceLevel', '0', draft],
  ['significanceLevel', '100', draft],
  ['significanceLevel', '-5', draft],
  ['significanceLevel', '500 %', draft],
  ['claimedValue', '950', share],
  ['knownStandardDeviation', '-5', draft],
])('%s “%s” is refused with nothing to offer', (field, text, claim) => {
  const { problems } = readDraft({ ...claim, [field]: text })
  expect(problems).toEqual([{ field, message: expect.stringContaining(`“${text}”`) }])
})

test('a level in words is read', () => {
  const { document } = readDraft({ ...draft, significanceLevel: '5 per cent', confidenceLevel: '99 percent' })
  expect(document?.test).toEqual({ significanceLevel: 0.05, confidenceLevel: 0.99 })
})

test('takes levels as shares and as percentages, with either decimal mark', () => {
  const { document } = readDraft({ ...draft, significanceLevel: '0,01', confidenceLevel: '97.5 %' })
  expect(document?.test).toEqual({ significanceLevel: 0.01, confidenceLevel: 0.975 })
  expect(readDraft({ ...draft, confidenceLevel: '99.9%' }).document?.test?.confidenceLevel).toBe(0.999)
})

test('asks for the tolerance of a claim that needs one', () => {
  expect(readDraft({ ...draft, relation: 'within' }).missing.map(({ field }) => field)).toEqual([
    'toleranceBelow',
    'toleranceAbove',
  ])
  const within = { ...draft, relation: 'within', toleranceBelow: '0.1', toleranceAbove: '0.2' } as const
  expect(readDraft(within).document?.claim.tolerance).toEqual({ below: 0.1, above: 0.2 })
})

test('a tolerance that the claim’s words do not ask for keeps nothing from being computed', () => {
  const { document, problems } = readDraft({ ...draft, toleranceBelow: 'a little' })
  expect(problems).toEqual([])
  expect(document?.claim).not.toHaveProperty('tolerance')
})

test.each([
  ['significanceLevel', '0'],
  ['significanceLevel', '1'],
  ['significanceLevel', '5'],
  ['confidenceLevel', '100 %'],
  ['knownStandardDeviation', '0'],
  ['toleranceBelow', '-0.1'],
] as const)('a %s of %p is out of range: what was typed and what would do', (field, text) => {
  const { document, problems } = readDraft({ ...draft, relation: 'within', [field]: text })
  expect(document).toBeUndefined()
  expect(problems).toMatchObject([{ field, message: expect.stringContaining(`“${text}”; it has to`) }])
})

test('the claim is read while readings are missing, so that its hypotheses can stand', () => {
  const { claim, document } = readDraft(draft, { ...sample, readings: '' })
  expect(claim).toMatchObject({ relation: 'at-least', value: 15 })
  expect(document).toBeUndefined()
})

test.each(['1.5', '-1', '13', 'two'])('refuses %p decimals', (decimals) => {
  expect(readDraft({ ...draft, decimals }).problems[0]?.field).toBe('decimals')
})

test('readings in another unit are converted, units of different kinds refused', () => {
  const weighed = { ...sample, readings: '14930 15020', columns: [grams] }
  expect(readDraft(draft, weighed).document?.evidence).toEqual({
    ...{ kind: 'readings', values: [14.93, 15.02] },
    entries: [{ converted: '1000 g = 1 kg' }],
  })
  const { document, problems } = readDraft({ ...draft, unit: 'l' }, weighed)
  expect(document).toBeUndefined()
  expect(problems[0]?.message).toContain('in g, mass, and the claim in l, volume')
})

test('a reading that is set aside stays in the sample and out of the test', () => {
  const setAside = [{ row: 1, reason: 'the scale was knocked', by: 'A. Officer' }]
  const { document } = readDraft(draft, { ...sample, readings: '14.90 14.93 15.02 14.88', setAside })
  expect(document?.evidence).toEqual({
    ...{ kind: 'readings', values: [14.9, 14.93, 15.02, 14.88] },
    setAside: [1],
  })
})

test('rows are kept by conditions on the other columns of a typed sheet', () => {
  const columns = [columnNamed('line', 'category'), columnNamed('mass', 'number')]
  const typed = { ...sample, columns, readings: 'A\t14.93\nB\t15.02\nA\t14.88\n' }
  const kept = [[{ column: 'line', relation: 'is', value: 'A', upTo: '' }]] as const
  const { document } = readDraft({ ...draft, column: 'mass', kept: kept.map((list) => [...list]) }, typed)
  expect(document?.evidence).toEqual({ kind: 'readings', values: [14.93, 14.88] })
})

test('a column that is gone is told of, and no other is tested in its place', () => {
  const columns = [columnNamed('gross', 'number'), columnNamed('net', 'number')]
  const typed = { ...sample, columns, readings: '15.1\t14.93\n15.2\t15.02\n' }
  const values = (column: string, held: SampleDraft = typed) => readDraft({ ...draft, column }, held)
  expect(values('net').document?.evidence).toMatchObject({ values: [14.93, 15.02] })
  const renamed = values('net', { ...typed, columns: [columns[0]!, { ...columns[1]!, name: 'mass' }] })
  expect(renamed.document).toBeUndefined()
  expect(renamed.problems[0]?.message).toContain('There is no column “net”. There are: gross, mass.')
})

test('summary figures make evidence, a variance as well as a standard deviation', () => {
  const figures: SampleDraft = { ...sample, kind: 'summary', sampleSize: '12', mean: '14930', spread: '400' }
  const columns = [grams]
  expect(readDraft(draft, { ...figures, columns, lotSize: '4000' }).document?.evidence).toEqual({
    entries: [{ converted: '1000 g = 1 kg' }],
    kind: 'summary',
    n: 12,
    mean: 14.93,
    standardDeviation: 0.4,
    lotSize: 4000,
  })
  const squared = readDraft(draft, { ...figures, columns, spreadIs: 'variance' }).document?.evidence
  expect(squared).toMatchObject({ variance: 0.0004 })
  expect(readDraft(draft, { ...figures, sampleSize: '' }).missing).toMatchObject([{ field: 'sampleSize' }])
  expect(readDraft(draft, { ...figures, sampleSize: '1.5' }).problems).toMatchObject([
    { field: 'sampleSize' },
  ])
})

const shared = { ...draft, parameter: 'proportion', quantity: 'deliveries in time', unit: 'kg' } as const
const counted: SampleDraft = { ...EMPTY_SAMPLE, kind: 'count', count: '186 of 200' }

test.each([
  ['62.5 %', 0.625],
  ['0.625', 0.625],
  ['95 %', 0.95],
  ['100%', 1],
  ['0', 0],
])('a share is written as %s', (claimedValue, value) => {
  const { document } = readDraft({ ...shared, claimedValue }, counted)
  // A share has no unit, whatever was typed for another parameter.
  expect(document?.claim).toEqual({
    parameter: 'proportion',
    relation: shared.relation,
    value,
    quantity: 'deliveries in time',
  })
})

test.each(['95', '-0.1', '120 %'])('a share of %s is pointed at, with what would do', (claimedValue) => {
  const { document, problems } = readDraft({ ...shared, claimedValue }, counted)
  expect(document).toBeUndefined()
  expect(problems).toMatchObject([{ field: 'claimedValue' }])
  expect(problems[0]?.message).toContain(
    'a share lies between 0 and 1, or is written in percent, such as 95 %',
  )
})

test('the tolerance of a share may be in percent too', () => {
  const within = { ...shared, claimedValue: '90 %', relation: 'within' } as const
  const { document } = readDraft({ ...within, toleranceBelow: '2 %', toleranceAbove: '0.03' }, counted)
  expect(document?.claim.tolerance).toEqual({ below: 0.02, above: 0.03 })
})

test('the choices of a test are stated only where they are not the usual ones, and only where they mean something', () => {
  expect(readDraft(draft).document?.test).toEqual({ significanceLevel: 0.05 })
  const options = {
    method: 'exact-binomial',
    interval: 'jeffreys',
    intervalSides: 'lower',
    twoSidedRule: 'doubled',
    midP: true,
    knownStandardDeviation: '0.2',
  } as const
  expect(readDraft({ ...shared, claimedValue: '0.9', ...options }, counted).document?.test).toEqual({
    significanceLevel: 0.05,
    method: 'exact-binomial',
    interval: 'jeffreys',
    intervalSides: 'lower',
    twoSidedRule: 'doubled',
    midP: true,
  })
  expect(readDraft({ ...draft, ...options, method: 'auto' }).document?.test).toEqual({
    significanceLevel: 0.05,
    intervalSides: 'lower',
    knownStandardDeviation: 0.2,
  })
})

test('a known standard deviation asks for none of the sample’s', () => {
  const figures: SampleDraft = { ...EMPTY_SAMPLE, kind: 'summary', sampleSize: '20', mean: '14.9' }
  expect(readDraft(draft, figures).missing).toMatchObject([{ field: 'spread' }])
  const known = { ...draft, knownStandardDeviation: '0.1' }
  const { document } = readDraft(known, figures)
  expect(document).toMatchObject({
    evidence: { kind: 'summary', n: 20, mean: 14.9 },
    test: { knownStandardDeviation: 0.1 },
  })
  expect(check(document)).toMatchObject({ ok: true, test: { method: 'z' } })
  // One that is typed all the same is read, or the test waits for it.
  expect(readDraft(known, { ...figures, spread: '0.2' }).document?.evidence).toMatchObject({
    standardDeviation: 0.2,
  })
  expect(readDraft(known, { ...figures, spread: 'x' })).toMatchObject({
    problems: [{ field: 'spread' }],
  })
  const spread = { ...known, parameter: 'standard-deviation' } as const
  expect(readDraft(spread, figures).missing).toMatchObject([{ field: 'spread' }])
})

test('a spread needs no mean, and a mean does', () => {
  const figures: SampleDraft = { ...EMPTY_SAMPLE, kind: 'summary', sampleSize: '20', spread: '0.3' }
  const spread = { ...draft, parameter: 'standard-deviation' } as const
  expect(readDraft(spread, figures).document?.evidence).toEqual({
    kind: 'summary',
    n: 20,
    standardDeviation: 0.3,
  })
  expect(readDraft(draft, figures).missing).toMatchObject([{ field: 'mean' }])
})

test('what a person said of the sample goes with the evidence; what nobody said does not', () => {
  const said = { drawnAtRandom: 'random', takenIndependently: 'not-independent' } as const
  expect(readDraft(draft, { ...sample, ...said }).document?.evidence).toMatchObject({
    drawn: 'random',
    independence: 'not-independent',
  })
  expect(readDraft(draft).document?.evidence).not.toHaveProperty('independence')
})

const taken = (change: Partial<SampleDraft>) => readDraft(draft, { ...sample, ...change })
const SMUDGED = '14.93\n1,021.2\n15.02\nabout 15\n14.88'

test('while an entry is not read nothing is computed, and it is named', () => {
  const { document, problems } = taken({ readings: SMUDGED })
  expect(document).toBeUndefined()
  expect(problems).toEqual([
    {
      field: 'readings',
      message:
        '2 entries are not read: “1,021.2” in row 2, “about 15” in row 4. Say how to read them, correct them, or set them aside.',
    },
  ])
})

test('what is set aside because it is not read is counted, with what it could be', () => {
  const setAside = [1, 3].map((row) => ({ row, reason: 'smudged', by: 'A. Officer' }))
  const { document } = taken({ readings: SMUDGED, setAside })
  expect(document?.evidence).toEqual({
    kind: 'readings',
    values: [14.93, 15.02, 14.88],
    entries: [{ unreadable: { count: 2, texts: ['1,021.2', 'about 15'], couldBe: [1021.2] } }],
  })
  const answer = check(document)
  expect(answer.ok && answer.finding.basis).toBe(
    '2 entries could not be read and are set aside: “1,021.2”, “about 15”.',
  )
})

test('how entries were read is told, and the name of the column', () => {
  const readAs = [{ rule: 'thousands' as const, text: ',' }]
  const columns = [{ ...columnNamed('readings', 'number'), readAs }]
  const { document } = taken({ readings: 'Net mass\n998.5\n1,021.2\n1,015.5', columns })
  expect(document?.evidence).toEqual({
    kind: 'readings',
    values: [998.5, 1021.2, 1015.5],
    entries: [{ header: 'Net mass', readAs: { rules: readAs, count: 2, example: '1,021.2', value: 1021.2 } }],
  })
})

test('a column of texts is read as numbers where there are such, and asked about where not', () => {
  const columns = [columnNamed('line', 'category'), columnNamed('mass', 'category')]
  const held = { ...sample, columns, readings: 'A\t12.5 g\nB\t12.7 g\nC\t' }
  const of = (column: string, change: Partial<SampleDraft> = {}) =>
    readDraft({ ...draft, column, unit: 'g' }, { ...held, ...change })
  expect(of('mass').problems[0]?.message).toContain('2 entries are not read: “12.5 g” in row 1')
  const readAs = [{ rule: 'unit' as const, text: 'g' }]
  expect(of('mass', { columns: [columns[0]!, { ...columns[1]!, readAs }] }).document?.evidence).toEqual({
    kind: 'readings',
    values: [12.5, 12.7],
    entries: [{ blank: 1, readAs: { rules: readAs, count: 2, example: '12.5 g', value: 12.5 } }],
  })
  expect(of('line').problems[0]?.message).toContain('Name a column of numbers.')
  expect(of('').missing).toEqual([
    { field: 'column', message: 'Say which column of the sample holds the readings.' },
  ])
})

test('a text is neither above nor below a number: it is asked about where rows are counted by it', () => {
  const columns = [columnNamed('mass', 'category'), columnNamed('line', 'category')]
  const counted = [[{ column: 'mass', relation: 'at-least' as const, value: '15', upTo: '' }]]
  const claim = { ...share, claimedValue: '0.5', counted }
  const of = (readings: string, change: Partial<SampleDraft> = {}) =>
    readDraft(claim, { ...sample, columns, readings, ...change })
  expect(of('14.9\tA\nabout 15\tB\n15.1\tC').problems[0]?.message).toContain('“about 15” in row 2')
  const setAside = [{ row: 1, reason: 'smudged', by: '' }]
  expect(of('14.9\tA\nabout 15\tB\n15.1\tC', { setAside }).document?.evidence).toEqual({
    ...{ kind: 'count', n: 2, successes: 1 },
    entries: [{ unreadable: { count: 1, texts: ['about 15'] } }],
  })
  expect(of('heavy\tA\nlight\tB').problems[0]?.message).toContain('Only numbers and dates lie above')
})

test('what is set aside in a column that rows are kept by is no blank reading', () => {
  const columns = [columnNamed('depot', 'number'), columnNamed('mass', 'number')]
  const kept = [[{ column: 'depot', relation: 'above' as const, value: '6', upTo: '' }]]
  const readings = '7\t14.9\nseven\t15.0\n8\t\n7\t15.1'
  const of = (change: Partial<SampleDraft>) =>
    readDraft({ ...draft, column: 'mass', kept }, { ...sample, columns, readings, ...change })
  expect(of({}).problems[0]?.message).toContain('1 entry is not read: “seven” in row 2')
  const setAside = [{ row: 1, reason: 'written out', by: '' }]
  expect(of({ setAside }).document?.evidence).toEqual({
    kind: 'readings',
    values: [14.9, 15.1],
    entries: [{ unreadable: { count: 1, texts: ['seven'] }, blank: 1 }],
  })
})

test('what is said of a column is told also where rows are kept by the same column', () => {
  const columns = [columnNamed('line', 'category'), columnNamed('mass', 'category')]
  const readAs = [{ rule: 'unit' as const, text: 'g' }]
  const held = {
    ...sample,
    columns: [columns[0]!, { ...columns[1]!, readAs }],
    readings: 'A\t12.5 g\nB\t12.7 g',
  }
  const kept = [[{ column: 'mass', relation: 'above' as const, value: '12', upTo: '' }]]
  expect(readDraft({ ...draft, column: 'mass', unit: 'g', kept }, held).document?.evidence).toEqual({
    kind: 'readings',
    values: [12.5, 12.7],
    entries: [{ readAs: { rules: readAs, count: 2, example: '12.5 g', value: 12.5 } }],
  })
})

test('what could be read in two ways is not told to be either', () => {
  const setAside = [{ row: 0, reason: 'smudged', by: '' }]
  const { document } = taken({ readings: '1,234\n15.02\n14.88', setAside })
  expect(document?.evidence.entries).toEqual([{ unreadable: { count: 1, texts: ['1,234'] } }])
})
