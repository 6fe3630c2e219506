import { exampleCase, SACKS } from '@tests/exampleCase'
import { createHash } from 'node:crypto'
import type { ClaimDocument } from '@/claims/checkAnswer'
import { readClaimAgainst } from './claimDocument'
import { askedOf } from './readDraft'
import { readingListsOf, readingsCsv } from './readingLists'

const claim = { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg' } as const
const csvOf = (document: ClaimDocument) => readingListsOf(document).map(readingsCsv)

async function sacks(changes: Partial<(typeof SACKS)['sample']> = {}) {
  const { samples, claims } = exampleCase([{ ...SACKS, sample: { ...SACKS.sample, ...changes } }])
  const reading = await readClaimAgainst(claims[0]!.draft, async () => samples[0])
  return readingListsOf(askedOf(reading!)!, reading)
}

test('readings stand with their rows, and what is set aside says so', async () => {
  const [list, ...others] = await sacks()
  expect(others).toEqual([])
  const csv = readingsCsv(list!)
  expect(csv.split('\n').slice(0, 3)).toEqual(['row,reading,measured,mark', '1,14.93,,', '2,15.02,,'])
  expect(csv).toMatch(/\n11,14\.7,,\n12,9,,set aside\n$/)
  // By `sha256sum` over a file of these lines.
  expect(createHash('sha256').update(csv).digest('hex')).toBe(
    '78d877d679a30641b7abdee14ff67101094b9a982e271167de4063bcfca3499a',
  )
})

test('a row that was no number and is set aside is left out, and counts as a row', async () => {
  const setAside = [{ row: 1, reason: 'not weighed', by: 'A' }]
  const [list] = await sacks({ readings: '14.93\ntorn\n14.88\n15.11', setAside })
  expect(readingsCsv(list!)).toBe('row,reading,measured,mark\n1,14.93,,\n3,14.88,,\n4,15.11,,\n')
})

test('what was converted stands beside what was measured', async () => {
  const columns = [{ name: 'mass', label: '', unit: 'g', kind: 'number' as const, codes: '' }]
  const [list] = await sacks({ readings: '14930\n14880\n15110', setAside: [], columns })
  expect(readingsCsv(list!)).toBe(
    'row,reading,measured,mark\n1,14.93,14930,\n2,14.88,14880,\n3,15.11,15110,\n',
  )
})

test('a limit is no reading', () => {
  const evidence = {
    kind: 'readings' as const,
    values: [0.5, 0.8, 20, 3],
    censored: { below: [0], above: [2] },
    setAside: [3],
  }
  expect(csvOf({ claim: { ...claim, parameter: 'median' }, evidence })).toEqual([
    'row,reading,measured,mark\n1,0.5,,below\n2,0.8,,\n3,20,,above\n4,3,,set aside\n',
  ])
})

test('of two sources there are two lists, and of figures and counts none', () => {
  const two = { kind: 'two-readings', first: [1, 2], second: [3, 4e-7, 5], secondSetAside: [2] } as const
  const document = { claim, evidence: two } as unknown as ClaimDocument
  expect(readingListsOf(document).map(({ of }) => of)).toEqual(['first', 'second'])
  expect(csvOf(document)).toEqual([
    'row,reading,measured,mark\n1,1,,\n2,2,,\n',
    'row,reading,measured,mark\n1,3,,\n2,4e-7,,\n3,5,,set aside\n',
  ])
  expect(csvOf({ claim, evidence: { kind: 'summary', n: 5, mean: 15, standardDeviation: 1 } })).toEqual([])
  expect(csvOf({ claim, evidence: { kind: 'count', n: 5, successes: 3 } } as ClaimDocument)).toEqual([])
})

test('of packs there is what each weighs, and its package where that was weighed', () => {
  const content = { nominal: 500, unit: 'g' } as const
  expect(csvOf({ content: { ...content, values: [501, 499], setAside: [1] } })).toEqual([
    'row,reading,measured,mark\n1,501,,\n2,499,,set aside\n',
  ])
  const each = { content: { ...content, gross: [511, 509], tare: [10, 11] } }
  expect(readingListsOf(each).map(({ of }) => of)).toEqual(['first', 'package'])
  expect(csvOf(each)[1]).toBe('row,reading,measured,mark\n1,10,,\n2,11,,\n')
  const emptied = { content: { ...content, gross: [511, 509], tare: { emptyPacks: [10.2] } } }
  expect(csvOf(emptied)[1]).toBe('row,reading,measured,mark\n1,10.2,,\n')
  expect(csvOf({ content: { ...content, gross: [511, 509], tare: 10 } })).toEqual([
    'row,reading,measured,mark\n1,511,,\n2,509,,\n',
  ])
})
