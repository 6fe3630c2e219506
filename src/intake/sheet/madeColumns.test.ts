import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { EMPTY_MADE, type MadeColumn } from '@/desk/madeColumn'
import { type ColumnKind, columnNamed, EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { readEvidence } from '../readEvidence'
import { takenFrom } from '../takenFrom'
import { readTypedSheet } from './typedSheet'

type Columns = readonly (readonly [name: string, unit: string, kind?: ColumnKind])[]

function readingsOf(
  columns: Columns,
  lines: readonly string[],
  own: Partial<MadeColumn>,
  more: Partial<typeof EMPTY_CLAIM> = {},
) {
  const [first, second] = columns.map(([name]) => name)
  const made = { ...EMPTY_MADE, name: 'made', first: first!, second: second ?? '', ...own }
  const sample: SampleDraft = {
    ...EMPTY_SAMPLE,
    readings: lines.join('\n'),
    columns: columns.map(([name, unit, kind = 'number']) => ({ ...columnNamed(name, kind), unit })),
    made: [made],
  }
  const draft = { ...EMPTY_CLAIM, column: 'made', sampleId: '', ...more }
  const evidence = readEvidence({ sample, taken: takenFrom(readTypedSheet(sample), draft, sample), draft })
  return { values: evidence.values, problem: evidence.problems[0]?.message, evidence }
}
const MASSES: Columns = [
  ['gross', 'kg'],
  ['tare', 'kg'],
]
const DAYS: Columns = [
  ['ordered', '', 'date'],
  ['came', '', 'date'],
]

test('a difference is what it would be on paper, and follows the row that has both', () => {
  const lines = ['15.35\t0.35', '175\t167.1', '15.2\t', '0.3\t0.1']
  const { values, evidence } = readingsOf(MASSES, lines, { kind: 'difference' })
  expect(values).toEqual([15, 7.9, 0.2])
  expect(evidence.rows).toEqual([0, 1, 3])
  expect(evidence.evidence?.entries).toEqual([{ blank: 1 }])
  expect(readingsOf(MASSES, ['0.1\t0.2', '1\t2'], { kind: 'sum' }).values).toEqual([0.3, 3])
})

test('the second is converted to the unit of the first, and units that differ in kind are refused', () => {
  const inGrams: Columns = [
    ['gross', 'kg'],
    ['tare', 'g'],
  ]
  expect(readingsOf(inGrams, ['15.35\t350', '15.2\t200'], { kind: 'difference' }).values).toEqual([15, 15])
  expect(
    readingsOf(
      [
        ['gross', 'kg'],
        ['tare', 'm'],
      ],
      ['15\t1', '16\t1'],
      { kind: 'difference' },
    ).problem,
  ).toMatch(/can’t be worked out/)
  // The claim is in grams, and so is what is made.
  expect(
    readingsOf(MASSES, ['15.35\t0.35', '15.2\t0.2'], { kind: 'difference' }, { unit: 'g' }).values,
  ).toEqual([15000, 15000])
})

test('shares of before and after are in percent', () => {
  const lines = ['200\t170', '80\t60']
  expect(readingsOf(MASSES, lines, { kind: 'percent-cut' }).values).toEqual([15, 25])
  expect(readingsOf(MASSES, lines, { kind: 'percent-change' }).values).toEqual([-15, -25])
  expect(readingsOf(MASSES, lines, { kind: 'ratio' }).values).toEqual(
    [200 / 170, 80 / 60].map((one) => Number(one.toPrecision(15))),
  )
  expect(readingsOf(MASSES, lines, { kind: 'percent-cut' }, { unit: 'kg' }).problem).toMatch(/%/)
})

test('a factor with an offset, and a mass over its density', () => {
  expect(
    readingsOf([['c', '°C']], ['20', '100'], { kind: 'scaled', factor: '1.8', offset: '32', unit: '°F' })
      .values,
  ).toEqual([68, 212])
  expect(
    readingsOf([['m', 'g']], ['78.9', '394.5'], { kind: 'density', factor: '0.789', unit: 'ml' }).values,
  ).toEqual([100, 500])
  for (const factor of ['', 'x', '0'])
    expect(readingsOf([['m', 'g']], ['1', '2'], { kind: 'density', factor }).problem).toMatch(/density is/)
})

test('days and working days run from the day after the first up to the second', () => {
  // 2026-12-24 is a Thursday.
  const lines = [
    '2026-12-24\t2026-12-28',
    '2026-12-24\t2026-12-24',
    '2026-12-28\t2026-12-24',
    '2026-12-21\t2027-01-04',
  ]
  expect(readingsOf(DAYS, lines, { kind: 'days' }).values).toEqual([4, 0, -4, 14])
  expect(readingsOf(DAYS, lines, { kind: 'working-days' }).values).toEqual([2, 0, -2, 10])
  const holidays = '2026-12-25\n2026-12-26\n2027-01-01'
  expect(readingsOf(DAYS, lines, { kind: 'working-days', holidays }).values).toEqual([1, 0, -1, 8])
  expect(readingsOf(DAYS, lines, { kind: 'working-days', holidays: 'Christmas' }).problem).toMatch(
    /no day of its holidays/,
  )
})

test('the working days between two days are those that are counted one by one', () => {
  const day = (at: number) => new Date(Date.UTC(2026, 0, 1) + at * 86_400_000)
  const text = (at: number) => day(at).toISOString().slice(0, 10)
  for (const [from, to] of [
    [0, 1],
    [1, 30],
    [3, 3],
    [2, 45],
    [5, 400],
    [6, 12],
  ] as const) {
    let count = 0
    for (let at = from + 1; at <= to; at += 1) if (![0, 6].includes(day(at).getUTCDay())) count += 1
    const lines = [`${text(from)}\t${text(to)}`, `${text(to)}\t${text(from)}`]
    expect(readingsOf(DAYS, lines, { kind: 'working-days' }).values).toEqual([count, 0 - count])
  }
})

test.each([
  ['a column that is not there', MASSES, { second: 'net' }, /no column/i],
  ['days among numbers', DAYS, { kind: 'difference' }, /holds days/],
  ['numbers as days', MASSES, { kind: 'days' }, /holds no days/],
  ['a name that is taken', MASSES, { name: 'tare' }, /column of that name/],
  ['a ratio over 0', MASSES, { kind: 'ratio' }, /row 2/],
] as const)('%s is refused', (_, columns, own, words) => {
  const lines = columns === DAYS ? ['2026-01-01\t2026-01-02', '2026-01-01\t2026-01-03'] : ['1\t2', '1\t0']
  expect(
    readingsOf(columns, lines, own as Partial<MadeColumn>, { column: 'name' in own ? own.name : 'made' })
      .problem,
  ).toMatch(words)
})

test('what can’t be read in a source stops the claim as in a column of its own', () => {
  expect(readingsOf(MASSES, ['15.35\tx', '15.2\t0.2', '15.1\t0.2'], { kind: 'difference' }).problem).toMatch(
    /1 entry is not read: “x” in row 1/,
  )
})

test('rows are kept by what is made', () => {
  const kept = [[{ column: 'made', relation: 'above', value: '14.9', upTo: '' } as const]]
  expect(
    readingsOf(
      MASSES,
      ['15.35\t0.35', '15\t0.2', '15.2\t0.2'],
      { kind: 'difference' },
      { column: 'gross', kept },
    ).values,
  ).toEqual([15.35, 15.2])
})
