import { check } from '@/answers/check'
import { type ClaimDraft } from '@/desk/claimDraft'
import { EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { draft, grams, readDraft, sample, share } from '@tests/draftExample'

const counted: SampleDraft = { ...EMPTY_SAMPLE, kind: 'count', count: '186 of 200' }

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
