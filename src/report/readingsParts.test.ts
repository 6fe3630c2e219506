import { type Example, exampleCase, SACKS } from '@tests/exampleCase'
import { createHash } from 'node:crypto'
import { EMPTY_MADE } from '@/desk/madeColumn'
import { type ReportOptions, USUAL_OPTIONS } from '@/desk/reportOptions'
import type { Block, Part } from './document/document'
import { readingsParts } from './readingsParts'
import { reportOf } from './report'
import type { ClaimStudy } from './study'

async function partsOf(examples: readonly Example[], options: Partial<ReportOptions> = {}) {
  const { parts } = await reportOf(exampleCase(examples), {
    ...{ ...USUAL_OPTIONS, parts: ['readings'] },
    ...options,
  })
  return parts.filter(({ id }) => id.startsWith('readings-'))
}
const tableIn = ({ blocks }: Part) => blocks.find((block) => block.is === 'table')
const textsIn = ({ blocks }: Part) =>
  blocks.map((block: Block) => (block.is === 'paragraph' ? block.text : ''))
const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')

const listOf = (count: number): Example => ({
  ...SACKS,
  sample: { readings: Array.from({ length: count }, (_, at) => 15 + (at % 7) / 10).join('\n') },
})

test('every reading stands in the annex, down the page, and what is set aside says so', async () => {
  const [part, ...others] = await partsOf([SACKS])
  expect(others).toEqual([])
  expect(tableIn(part!)).toEqual({
    is: 'table',
    label: 'Readings',
    heads: ['Row', 'Reading, kg', 'Row', 'Reading, kg', 'Row', 'Reading, kg', 'Row', 'Reading, kg'],
    rows: [
      ['1', '14.93', '4', '15.11', '7', '15.03', '10', '15.0'],
      ['2', '15.02', '5', '14.79', '8', '14.9', '11', '14.7'],
      ['3', '14.88', '6', '14.97', '9', '14.95', '12', '9 (set aside)'],
    ],
    numbers: Array.from({ length: 8 }, () => true),
    struck: [{ row: 2, column: 7, length: 1 }],
  })
  // As in docs/VERIFY.md, by `sha256sum`.
  expect(textsIn(part!)).toContain(
    'Readings: 12 in kg, 1 of them set aside. SHA-256 of them as a CSV file of the lines “row,reading,measured,mark”: 78d877d679a30641b7abdee14ff67101094b9a982e271167de4063bcfca3499a',
  )
})

test('the same readings are listed once, and others anew', async () => {
  const other = { ...SACKS, sample: { readings: '15.01 15.02 15.04' } }
  const [one, two, three] = await partsOf([SACKS, SACKS, other])
  expect([one, two, three].map((part) => tableIn(part!) !== undefined)).toEqual([true, false, true])
  expect(textsIn(two!)[0]).toContain(' They are those of claim 1. SHA-256')
})

test('more than a thousand are counted and not listed', async () => {
  const [[most], [more]] = [await partsOf([listOf(1000)]), await partsOf([listOf(1001)])]
  const table = tableIn(most!)
  expect(table?.rows.length).toBe(250)
  expect(most!.level).toBe(2)
  expect(textsIn(most!)[0]).not.toContain('More than')
  expect(table?.rows.at(-1)?.slice(-2)).toEqual(['1000', '15.5'])
  expect(tableIn(more!)).toBeUndefined()
  expect(textsIn(more!)[0]).toContain(
    'Readings: 1,001 in kg. More than 1,000 are not listed: the case file has them.',
  )
})

test('the last line is filled up with nothing, and numbers are written as the report writes them', async () => {
  const [part] = await partsOf([{ ...SACKS, sample: { readings: '15.01 15.02 15.04 15.1 15.2' } }], {
    language: 'comma',
  })
  expect(tableIn(part!)?.rows).toEqual([
    ['1', '15,01', '3', '15,04', '5', '15,2'],
    ['2', '15,02', '4', '15,1', '', ''],
  ])
  const csv = 'row,reading,measured,mark\n1,15.01,,\n2,15.02,,\n3,15.04,,\n4,15.1,,\n5,15.2,,\n'
  expect(textsIn(part!)[0]).toContain(sha256(csv))
})

const cellsOf = async (sample: Example['sample'], options: Partial<ReportOptions> = {}) => {
  const [part] = await partsOf([{ ...SACKS, sample }], options)
  return tableIn(part!)!
    .rows.flat()
    .filter((_, at) => at % 2 === 1)
}

test('a reading keeps the zeros that it was typed with, and no others', async () => {
  expect(await cellsOf({ readings: '14.90 15 0.00 −0.50 1.50e1 14.93' })).toEqual([
    ...['14.90', '0.00', '15', '15', '−0.50', '14.93'],
  ])
  const comma = { decimalMark: 'comma' as const }
  expect(await cellsOf({ readings: '1234,50\n14,9', ...comma }, { language: 'comma' })).toEqual([
    ...['1\u202f234,50', '14,9'],
  ])
  const lines = '1.0\tA\t14.10\n2\tB\t14.200\n'
  const columnNames = ['no', 'who', 'mass']
  const columns = columnNames.map((name, at) => ({
    ...{ name, label: '', unit: 'kg', codes: '' },
    kind: at === 1 ? ('text' as const) : ('number' as const),
  }))
  const [part] = await partsOf([
    { ...SACKS, sample: { readings: lines, columns }, claim: { ...SACKS.claim, column: 'mass' } },
  ])
  expect(tableIn(part!)?.rows).toEqual([['1', '14.10', '2', '14.200']])
  // A column that is made of others was typed by nobody.
  const made = [
    { ...EMPTY_MADE, name: 'half', kind: 'scaled' as const, first: 'mass', factor: '0.5', unit: 'kg' },
  ]
  const [ofMade] = await partsOf([
    { ...SACKS, sample: { readings: lines, columns, made }, claim: { ...SACKS.claim, column: 'half' } },
  ])
  expect(tableIn(ofMade!)?.rows).toEqual([['1', '7.05', '2', '7.1']])
})

test('of a converted reading what was measured keeps its zeros, and both are struck where it is set aside', async () => {
  const columns = [{ name: 'mass', label: '', unit: 'g', kind: 'number' as const, codes: '' }]
  const setAside = [{ row: 1, reason: 'torn', by: '' }]
  const sample = { readings: '14930.0\n14880.0\n15110', columns, setAside }
  const [part] = await partsOf([{ ...SACKS, sample }])
  expect(tableIn(part!)).toMatchObject({
    rows: [
      ['1', '14,930.0', '14.93', '3', '15,110', '15.11'],
      ['2', '14,880.0', '14.88 (set aside)', '', '', ''],
    ],
    struck: [
      { row: 1, column: 1, length: 8 },
      { row: 1, column: 2, length: 5 },
    ],
  })
})

test('what was converted stands beside what was measured', async () => {
  const columns = [{ name: 'mass', label: '', unit: 'g', kind: 'number' as const, codes: '' }]
  const [part] = await partsOf([{ ...SACKS, sample: { readings: '14930 14880 15110', columns } }])
  const heads = ['Row', 'Measured, g', 'Reading, kg']
  expect(tableIn(part!)).toMatchObject({
    heads: [...heads, ...heads],
    rows: [
      ['1', '14,930', '14.93', '3', '15,110', '15.11'],
      ['2', '14,880', '14.88', '', '', ''],
    ],
  })
})

/** The annex of a claim of which the check document is all that is known. */
function annexOf(document: object, draft: object = {}) {
  const known = {
    ...{ number: 1, checked: { document }, samples: [], reading: {} },
    claim: { draft: { unit: 'kg', ...draft } },
  }
  return readingsParts([known as unknown as ClaimStudy], (text) => text)[0]!
}

test('a limit stands as one, and where no row is known a reading has its number', () => {
  const values = [0.5, 0.8, 20]
  const evidence = { kind: 'readings', values, censored: { below: [0], above: [2] } }
  expect(tableIn(annexOf({ claim: {}, evidence }))).toMatchObject({
    heads: ['No.', 'Reading, kg', 'No.', 'Reading, kg', 'No.', 'Reading, kg'],
    rows: [['1', '< 0.5', '2', '0.8', '3', '> 20']],
  })
})

test('of packs that were weighed with their packages, both are listed, in the unit that they were weighed in', () => {
  const content = {
    nominal: 1,
    unit: 'L',
    gross: [1.02, 1.01],
    tare: [0.1, 0.11],
    density: 0.92,
    massUnit: 'kg',
  }
  const draft = { control: 'net-content', unit: 'L', tareBy: 'column', density: '0.92' }
  const texts = textsIn(annexOf({ content }, draft)).filter(Boolean)
  expect(texts.map((text) => text.split('.')[0])).toEqual([
    'Readings, packs with their packages: 2 in kg',
    'Readings, packages: 2 in kg',
  ])
  expect(textsIn(annexOf({ claim: {}, evidence: { kind: 'readings', values: [1] } }, draft))[0]).toContain(
    '1 in L.',
  )
})

test('a claim of figures or of a count has no annex', async () => {
  const summary = { ...SACKS, sample: { kind: 'summary' as const, n: '24', mean: '14.93', spread: '0.1' } }
  expect(await partsOf([summary])).toEqual([])
})
