import type { LeftOut, NamedReading } from '@/claims/crossexamination/asked'
import { askedWords, remarkWords, standingWords, turnsAt } from './crossWords'

const plain = (text: string) => text.replaceAll('\u202f', ' ')
const claim = { unit: 'kg' }
const named = (index: number, of?: NamedReading['of']): NamedReading => ({
  index,
  value: index + 1,
  of,
  claim,
})

test('how a finding fared is said in one sentence, with what turns it', () => {
  const stands = { stands: true, asked: { ask: 'burden', burden: 'substantiate' } } as const
  const turns = { stands: false, asked: { ask: 'level', level: 0.001 } } as const
  const untold = { asked: { ask: 'turning' } } as const
  expect(standingWords([stands, untold])).toBe('Stands in 1 of 1.')
  expect(plain(standingWords([stands, turns, untold]))).toBe(
    'Stands in 1 of 2. It turns if the significance level were 0.001 (0.1 %).',
  )
  expect(standingWords([turns, turns, stands])).toMatch(/^Stands in 1 of 3\. .*, and in 1 more\.$/)
})

test('readings are named while they are few, and counted when they are many', () => {
  const without = (by: 'test' | 'fences', readings: readonly NamedReading[]) =>
    plain(askedWords({ ask: 'without', by, readings }))
  const first = (...indexes: number[]) => indexes.map((index) => named(index))
  expect(without('fences', first(0))).toBe('no. 1 (1 kg), beyond the fences, were left out')
  expect(without('fences', first(0, 2, 5))).toBe(
    'no. 1 (1 kg), no. 3 (3 kg) and no. 6 (6 kg), beyond the fences, were left out',
  )
  expect(without('fences', first(0, 1, 2, 3, 4))).toBe('5 readings, beyond the fences, were left out')
  expect(without('test', [named(1, 'second')])).toBe(
    'no. 2 of the second source (2 kg), by the test for outliers, were left out',
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
  expect(leftOut(1, 0, [one])).toBe('It turns without no. 3 (2 kg); it stands without any other of 1,200.')
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
  expect(without(1)).toContain('without no. 5 (14.9 kg);')
  expect(without(12)).toContain('without any of the 12 at 14.9 kg;')
})

test('a finding turns at a value, or at a side of the claimed one that decimals do not tell from it', () => {
  const show = (value: number) => value.toFixed(2)
  expect(turnsAt(14.967, 15, show)).toEqual({ words: 'it turns at', shown: '14.97' })
  expect(turnsAt(14.9999, 15, show)).toEqual({ words: 'it turns just below', shown: '15.00' })
  expect(turnsAt(15.0001, 15, show)).toEqual({ words: 'it turns just above', shown: '15.00' })
})
