import { columnNamed, EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { readTypedSheet } from '../sheet/typedSheet'
import { takenRows, type TakenReading, unitsNoted, withoutLast, withReading } from './rows'

const KG = { column: 'readings', unit: 'kg' }
const at = (second: number) => `2026-11-29T10:42:0${second}.000Z`
const taken = (text: string, second: number, change: Partial<TakenReading> = {}): TakenReading => ({
  ...{ text, unitOfReading: 'kg', unit: '49', tare: '0.125 kg', at: at(second), instrument: 'Scale 3' },
  ...change,
})
function put(sample: SampleDraft, reading: TakenReading, claim = KG): SampleDraft {
  const outcome = withReading(sample, claim, reading)
  if (!outcome.ok) throw new Error(outcome.problem.why)
  return { ...sample, ...outcome.value.fields }
}
test('readings come one behind the other, each with what goes with it', () => {
  const two = put(put(EMPTY_SAMPLE, taken('14.932', 1)), taken('15.010', 2, { unit: 'north 51', tare: '' }))
  expect(two.readings).toBe(`14.932\t49\t0.125 kg\t${at(1)}\tScale 3\n15.010\tnorth 51\t\t${at(2)}\tScale 3`)
  expect(two.columns.map(({ name, unit, kind, isKindSaid }) => [name, unit, kind, isKindSaid])).toEqual([
    ['readings', 'kg', 'number', undefined],
    // Also where all of them look like numbers.
    ['unit of the lot', '', 'text', true],
    ['tare', '', 'text', true],
    ['taken at', '', 'text', true],
    ['taken with', '', 'text', true],
  ])
  expect(takenRows(two).map(({ unit, at: when }) => [unit, when])).toEqual([
    ['49', at(1)],
    ['north 51', at(2)],
  ])
  expect(readTypedSheet(two).unread).toEqual([])
})

test('digits are the instrument’s, with the mark of the sample; a tab in a name makes no other column', () => {
  const comma = put({ ...EMPTY_SAMPLE, decimalMark: 'comma' }, taken('-14.90', 1, { instrument: 'A\tB' }))
  expect(comma.readings).toBe(`-14,90\t49\t0.125 kg\t${at(1)}\tA B`)
})

test('what was typed before stays, each reading in its row, and its name', () => {
  const setAside = [{ row: 2, reason: 'torn', by: '' }]
  const list = { ...EMPTY_SAMPLE, readings: 'mass\n14.9 15.1\n14.8', setAside }
  const more = put(list, taken('15.010', 1), { column: '', unit: 'kg' })
  expect(more.columns[0]!.name).toBe('mass')
  expect(more.readings.split('\n').map((line) => line.split('\t')[0])).toEqual([
    '14.9',
    '15.1',
    '14.8',
    '15.010',
  ])
  expect(takenRows(more)).toHaveLength(1)
  // The same reading is set aside, one row further up.
  expect(more.setAside.map(({ row }) => row)).toEqual([1])
  // Also where the column has a name of its own, as the list's first line says another.
  const named = { ...list, columns: [{ ...columnNamed('weight', 'number'), unit: 'kg' }] }
  expect(put(named, taken('15.010', 1)).columns[0]).toMatchObject({ name: 'mass', unit: 'kg' })
  const sheet: SampleDraft = {
    ...EMPTY_SAMPLE,
    columns: [columnNamed('shift', 'text'), columnNamed('mass', 'number')],
    readings: 'early\t14.9\nlate\t15',
  }
  const longer = put(sheet, taken('15.010', 1), { column: 'mass', unit: 'kg' })
  expect(longer.readings.split('\n').map((line) => line.split('\t').slice(0, 2))).toEqual([
    ['early', '14.9'],
    ['late', '15'],
    ['', '15.010'],
  ])
})

test.each<readonly [string, Partial<SampleDraft>, string, object]>([
  ['a sample of a count', { kind: 'count' }, 'kg', { why: 'not-typed' }],
  [
    'readings in the claim’s unit',
    { readings: '14.9' },
    'g',
    { why: 'other-unit', instrument: 'g', readings: 'kg' },
  ],
  [
    'readings in a unit of their own',
    { readings: '14900', columns: [{ ...columnNamed('mass', 'number'), unit: 'g' }] },
    'kg',
    { why: 'other-unit', instrument: 'kg', readings: 'g' },
  ],
])('nothing is put to %s', (_, sample, unitOfReading, problem) => {
  expect(withReading({ ...EMPTY_SAMPLE, ...sample }, KG, taken('1', 1, { unitOfReading }))).toEqual({
    ...{ ok: false, problem },
  })
})

test.each<readonly [string, Partial<SampleDraft>, string]>([
  ['that nobody chose', {}, ''],
  ['of words', {}, 'shift'],
  ['that there is not', {}, 'width'],
  [
    'that is made of others',
    { made: [{ name: 'net', kind: 'difference', first: 'mass', second: 'tare of the bag' } as never] },
    'net',
  ],
])('nothing is put into a column %s', (_, more, column) => {
  const columns = [columnNamed('shift', 'text'), columnNamed('mass', 'number')]
  const sheet = { ...EMPTY_SAMPLE, columns, readings: 'early\t14.9', ...more }
  expect(withReading(sheet, { column, unit: 'kg' }, taken('15', 1))).toEqual({
    ...{ ok: false, problem: { why: 'no-column' } },
  })
})

test('the first reading says the unit; an instrument that says none is in that of the readings', () => {
  expect(put(EMPTY_SAMPLE, taken('14932', 1, { unitOfReading: 'g' })).columns[0]!.unit).toBe('g')
  const silent = put({ ...EMPTY_SAMPLE, readings: '14.9' }, taken('15', 1, { unitOfReading: '' }))
  expect(silent.columns[0]!.unit).toBe('')
  expect(silent.readings.split('\n')).toHaveLength(2)
  const known = { ...EMPTY_SAMPLE, columns: [{ ...columnNamed('mass', 'number'), unit: 'g' }] }
  expect(put(known, taken('15', 1, { unitOfReading: '' })).columns[0]!.unit).toBe('g')
})

test('units of the lot are noted with the readings that count', () => {
  const two = put(put(EMPTY_SAMPLE, taken('14.932', 1)), taken('15.010', 2, { unit: 'north 51' }))
  const three = put(two, taken('15.020', 3, { unit: '' }))
  const noted = (change: Partial<SampleDraft>, column = 'readings') =>
    unitsNoted({ ...three, ...change }, column)
  expect(noted({})).toEqual(['49', 'north 51'])
  expect(noted({ setAside: [{ row: 0, reason: 'torn', by: '' }] })).toEqual(['north 51'])
  expect(noted({ readings: three.readings.replace('14.932', '') })).toEqual(['north 51'])
  expect(noted({}, 'mass')).toEqual([])
  expect(noted({ kind: 'summary' })).toEqual([])
  expect(noted({ columns: [], readings: '14.9\n15' })).toEqual([])
})

test('the last one is taken back where it was taken here, and not where it was typed or set aside', () => {
  const two = put(put(EMPTY_SAMPLE, taken('14.932', 1)), taken('15.010', 2))
  const one = { ...two, ...withoutLast(two)! }
  expect(takenRows(one).map(({ at: when }) => when)).toEqual([at(1)])
  expect(withoutLast({ ...one, ...withoutLast(one)! })).toBeUndefined()
  expect(withoutLast({ ...EMPTY_SAMPLE, readings: '14.9\n15' })).toBeUndefined()
  expect(withoutLast({ ...two, setAside: [{ row: 1, reason: 'torn', by: '' }] })).toBeUndefined()
})
