import { plain } from '@tests/plain'
import type { LeftOut, NamedReading } from '@/claims/crossexamination/asked'
import { askedWords, byRow, remarkWords, standingWords, turnsAt } from './crossWords'

const claim = { unit: 'kg' }
const named = (index: number, of?: NamedReading['of']): NamedReading => ({
  index,
  value: index + 1,
  of,
  claim,
})

const gap = (size: number) => `${size} kg`

test('how a finding fared is said in one sentence, with what turns it', () => {
  const stands = { stands: true, asked: { ask: 'method', method: 'bootstrap', used: 't' } } as const
  const turns = { stands: false, asked: { ask: 'without', by: 'test', readings: [named(1)] } } as const
  const untold = { asked: { ask: 'turning' } } as const
  const words = (...answers: readonly (typeof stands | typeof turns | typeof untold)[]) =>
    plain(standingWords({ answers, outcome: 'contradicted', gap }))
  expect(words(stands, untold)).toBe('Stands in 1 of 1.')
  expect(words(stands, turns, untold)).toBe(
    'Stands in 1 of 2. It turns if reading 2 (2 kg), by the test for outliers, were left out.',
  )
  expect(words(turns, turns, stands)).toMatch(/^Stands in 1 of 3\. .*, and in 1 more\.$/)
})

test('levels and the burden turn a finding by arithmetic, and are no part of its score', () => {
  const level = { stands: false, asked: { ask: 'level', level: 0.001 } } as const
  const burden = { stands: false, asked: { ask: 'burden', burden: 'substantiate' } } as const
  const other = { stands: true, asked: { ask: 'mid-p', isUsed: true } } as const
  expect(standingWords({ answers: [level, burden, other], outcome: 'supported', gap })).toBe(
    'Stands in 1 of 1. Levels and the burden are not counted.',
  )
  expect(standingWords({ answers: [level, burden], outcome: 'supported', gap })).toBe(
    'Only other levels and the other burden could be asked about: they are not counted.',
  )
})

test('where the sample shows nothing there is no score, but what it could have found', () => {
  const stands = { stands: true, asked: { ask: 'mid-p', isUsed: true } } as const
  const smallest = {
    asked: { ask: 'smallest-gap', power: 0.9 },
    figure: { kind: 'smallest-gap', value: 0.05 },
  } as const
  const units = {
    asked: { ask: 'planned', power: 0.9, isInside: false },
    figure: { kind: 'sample-size', value: 1175 },
  } as const
  for (const outcome of ['not-contradicted', 'not-supported'] as const) {
    expect(standingWords({ answers: [stands, smallest, units], outcome, gap })).toBe(
      'A sample of this size finds a gap of 0.05 kg in nine of ten; a smaller one it may well miss. To find a gap like the one seen would take 1,175 units.',
    )
    expect(standingWords({ answers: [stands], outcome, gap })).toBe(
      'What gap this sample could have found is not planned for this test.',
    )
  }
})

test('readings are named by their rows, as they were measured and as they were converted', () => {
  const rows = [4, 13838]
  const name = byRow({ first: { rows, measured: { values: [70, 74], unit: 'h' } }, second: { rows: [0] } })
  const reading = { index: 1, value: 74 / 24, of: undefined, claim: { unit: 'd' } }
  expect(plain(name(reading))).toBe('row 13,839 (74 h, 3.083333 d)')
  expect(plain(name({ ...reading, index: 0, of: 'second', value: 3 }))).toBe(
    'row 1 of the second source (3 d)',
  )
  // One that is in no row has its place among the readings.
  expect(plain(name({ ...reading, index: 7, value: 3 }))).toBe('reading 8 (3 d)')
})

test('readings are named while they are few, and counted when they are many', () => {
  const without = (by: 'test' | 'fences', readings: readonly NamedReading[]) =>
    plain(askedWords({ ask: 'without', by, readings }))
  const first = (...indexes: number[]) => indexes.map((index) => named(index))
  expect(without('fences', first(0))).toBe('reading 1 (1 kg), beyond the fences, were left out')
  expect(without('fences', first(0, 2, 5))).toBe(
    'reading 1 (1 kg), reading 3 (3 kg) and reading 6 (6 kg), beyond the fences, were left out',
  )
  expect(without('fences', first(0, 1, 2, 3, 4))).toBe('5 readings, beyond the fences, were left out')
  expect(without('test', [named(1, 'second')])).toBe(
    'reading 2 of the second source (2 kg), by the test for outliers, were left out',
  )
})

test('what leaving each out came to says how many were tried, and which turn it', () => {
  const leftOut = (turning: number, untried: number, names: readonly LeftOut[]) =>
    plain(remarkWords({ remark: 'left-out', tried: 1200, turning, names, untried }))
  const one: LeftOut = { unit: 'reading', reading: { ...named(2), value: 2 }, count: 1 }
  expect(leftOut(0, 0, [])).toBe('It stands without any one of 1,200.')
  expect(leftOut(0, 50, [])).toBe(
    'It stands without any one of 1,200. 50 readings in between were not tried.',
  )
  expect(leftOut(1, 0, [one])).toBe(
    'It turns without reading 3 (2 kg); it stands without any other of 1,200.',
  )
  expect(leftOut(1100, 0, [one, one, one, one, one])).toContain('It turns without any of 1,100;')
})

test('equal readings are named together', () => {
  const without = (count: number) =>
    plain(
      remarkWords({
        remark: 'left-out',
        tried: 20,
        turning: count,
        names: [{ unit: 'reading', reading: { ...named(4), value: 14.9 }, count }],
        untried: 0,
      }),
    )
  expect(without(1)).toContain('without reading 5 (14.9 kg);')
  expect(without(12)).toContain('without any of the 12 readings of 14.9 kg;')
})

test('a finding turns at a value, or at a side of the claimed one that decimals do not tell from it', () => {
  const show = (value: number) => value.toFixed(2)
  expect(turnsAt(14.967, 15, show)).toEqual({ words: 'it turns at', shown: '14.97' })
  expect(turnsAt(14.9999, 15, show)).toEqual({ words: 'it turns just below', shown: '15.00' })
  expect(turnsAt(15.0001, 15, show)).toEqual({ words: 'it turns just above', shown: '15.00' })
})
