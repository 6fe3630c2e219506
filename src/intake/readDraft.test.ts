import { check } from '@/core/check/check'
import { type ClaimDraft, EMPTY_DRAFT } from '@/core/claim/draft'
import { readDraft } from './readDraft'

const draft: ClaimDraft = {
  ...EMPTY_DRAFT,
  quantity: 'net mass',
  claimedValue: '15',
  unit: 'kg',
  readings: '14.93\n15.02\n14.88',
}

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
  const { document, missing } = readDraft({ ...draft, readings })
  expect(document).toBeUndefined()
  expect(missing[0]?.message).toContain(said)
})

test('says what was seen in a field that is no number, and computes nothing', () => {
  const { document, problems } = readDraft({ ...draft, claimedValue: '15 kg' })
  expect(document).toBeUndefined()
  expect(problems[0]).toMatchObject({ field: 'claimedValue', message: expect.stringContaining('“15 kg”') })
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
  const { claim, document } = readDraft({ ...draft, readings: '' })
  expect(claim).toMatchObject({ relation: 'at-least', value: 15 })
  expect(document).toBeUndefined()
})

test.each(['1.5', '-1', '13', 'two'])('refuses %p decimals', (decimals) => {
  expect(readDraft({ ...draft, decimals }).problems[0]?.field).toBe('decimals')
})
