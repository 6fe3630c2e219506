import {
  addressOfBench,
  BENCH_IDS,
  type BenchCheck,
  benchCheckSchema,
  broughtBy,
  benchPartFrom,
  EMPTY_BENCH,
  isBenchEmpty,
} from './bench'

const wordsOf = (address: string) => Object.fromEntries(new URL(address, 'http://desk').searchParams)
const check = (change: Partial<{ [Part in keyof BenchCheck]: Partial<BenchCheck[Part]> }>): BenchCheck => ({
  claim: { ...EMPTY_BENCH.claim, ...change.claim },
  sample: { ...EMPTY_BENCH.sample, ...change.sample },
  second: { ...EMPTY_BENCH.second, ...change.second },
})

test.each<readonly [string, BenchCheck]>([
  [
    'summary figures',
    check({
      claim: { claimedValue: '15', unit: 'kg', burden: 'substantiate', midP: true, binWidth: 0.25 },
      sample: { kind: 'summary', sampleSize: '24', mean: '14,9', spread: '0,18', decimalMark: 'comma' },
    }),
  ],
  [
    'a count',
    check({
      claim: { parameter: 'proportion', claimedValue: '95 %', quantity: 'bags & boxes = “10 %”' },
      sample: { kind: 'count', count: '183 of 200' },
    }),
  ],
  [
    'two sources',
    check({
      claim: { parameter: 'variance-ratio', claimedValue: '1', secondSampleId: BENCH_IDS.second },
      sample: { kind: 'summary', sampleSize: '12', spread: '2' },
      second: { kind: 'summary', sampleSize: '14', spread: '3', spreadIs: 'variance' },
    }),
  ],
  ['readings', check({ claim: { claimedValue: '15' }, sample: { readings: '15.1\n14.9\n\n15.0' } })],
])('an address brings %s to another bench', (_, sent) => {
  const address = addressOfBench(sent)!
  expect(address).toMatch(/^\/bench\?/)
  expect(broughtBy(wordsOf(address))).toEqual({ check: sent, unread: [], isWhole: true })
  expect(benchCheckSchema.safeParse(sent).success).toBe(true)
})

test('what no address can hold whole has none', () => {
  const setAside = [{ row: 0, reason: 'torn sack', by: '' }]
  expect(addressOfBench(check({ sample: { readings: '1\n2', setAside } }))).toBeUndefined()
  expect(addressOfBench(check({ sample: { readings: '14.9\n'.repeat(2000) } }))).toBeUndefined()
  const kept = [[{ column: 'depot', relation: 'is' as const, value: '7', upTo: '' }]]
  expect(addressOfBench(check({ claim: { kept } }))).toBeUndefined()
})

test('an address that says nothing brings nothing', () => {
  expect(broughtBy({})).toBeUndefined()
  expect(broughtBy({ ends: 'here' })).toBeUndefined()
})

test('what an address says that can not be is named, and stands as on an empty bench', () => {
  const words = {
    ...{ parameter: 'mode', claimedValue: ['15', '16'], relation: 'more-than', midP: 'maybe', colour: 'red' },
    ...{ sampleId: BENCH_IDS.second, isDiscarded: 'true', lots: BENCH_IDS.sample },
    ...{ 'sample.kind': 'file', 'sample.setAside': '[]', 'sample.mean': '15', 'third.mean': '1' },
  }
  const { check: brought, unread, isWhole } = broughtBy(words)!
  expect(brought).toEqual(check({ claim: { relation: 'more-than' }, sample: { mean: '15' } }))
  expect(unread.toSorted()).toEqual(
    Object.keys(words)
      .filter((word) => word !== 'relation' && word !== 'sample.mean')
      .toSorted(),
  )
  expect(isWhole).toBe(false)
})

test('an address that was cut off on the way is told of', () => {
  const address = addressOfBench(check({ claim: { claimedValue: '15', significanceLevel: '0.01' } }))!
  const cutAt = address.indexOf('0.01') + 3
  expect(broughtBy(wordsOf(address.slice(0, cutAt)))).toMatchObject({
    check: { claim: { claimedValue: '15' } },
    isWhole: false,
  })
})

test('a check that another version kept is read field by field', () => {
  expect(benchPartFrom('claim', { claimedValue: '15', midP: 'perhaps', gone: 1 })).toEqual({
    ...EMPTY_BENCH.claim,
    claimedValue: '15',
  })
  expect(benchPartFrom('sample', 'nonsense')).toEqual(EMPTY_BENCH.sample)
  expect(benchPartFrom('sample', null)).toEqual(EMPTY_BENCH.sample)
  expect(isBenchEmpty(EMPTY_BENCH)).toBe(true)
  expect(isBenchEmpty(check({ second: { mean: '1' } }))).toBe(false)
})

test.each([
  ['a sample of a case', { claim: { sampleId: '0195a000-0000-7000-8000-000000000000' } }],
  ['a second sample of a case', { claim: { secondSampleId: '0195a000-0000-7000-8000-000000000000' } }],
  ['other lots', { claim: { lots: [BENCH_IDS.second] } }],
  ['a file', { sample: { kind: 'file' as const } }],
  ['a discarded claim', { claim: { isDiscarded: true } }],
])('a check with %s is not one of the bench', (_, change) => {
  expect(benchCheckSchema.safeParse(check(change)).success).toBe(false)
})
