import { crossWords, standingWords, turnsAt } from './crossWords'

const plain = (text: string) => text.replaceAll('\u202f', ' ')
const claim = { unit: 'kg' }

test('how a finding fared is said in one sentence, with what turns it', () => {
  const stands = { stands: true, words: 'the claim had to be shown' }
  const turns = { stands: false, words: 'the significance level were 0.001 (0.1 %)' }
  const untold = { words: 'the claimed value were another one' }
  expect(standingWords([stands, untold])).toBe('Stands in 1 of 1.')
  expect(standingWords([stands, turns, untold])).toBe(
    'Stands in 1 of 2. It turns if the significance level were 0.001 (0.1 %).',
  )
  expect(standingWords([turns, turns, stands])).toMatch(/^Stands in 1 of 3\. .*, and in 1 more\.$/)
})

test('readings are named while they are few, and counted when they are many', () => {
  const list = { values: [1, 2, 3, 4, 5, 6] }
  const without = (indexes: readonly number[]) =>
    plain(crossWords.without({ indexes, by: 'fences', list, claim }))
  expect(without([0])).toBe('no. 1 (1 kg), beyond the fences, were left out')
  expect(without([0, 2, 5])).toBe(
    'no. 1 (1 kg), no. 3 (3 kg) and no. 6 (6 kg), beyond the fences, were left out',
  )
  expect(without([0, 1, 2, 3, 4])).toBe('5 readings, beyond the fences, were left out')
  const second = { ...list, of: 'second' as const }
  expect(plain(crossWords.without({ indexes: [1], by: 'test', list: second, claim }))).toBe(
    'no. 2 of the second source (2 kg), by the test for outliers, were left out',
  )
})

test('what leaving each out came to says how many were tried, and which turn it', () => {
  const shared = { tried: 1200, turning: 0, names: [], untried: 0 }
  expect(crossWords.leftOut(shared)).toBe('It stands without any one of 1,200.')
  expect(crossWords.leftOut({ ...shared, untried: 50 })).toBe(
    'It stands without any one of 1,200. 50 readings in between were not tried.',
  )
  expect(crossWords.leftOut({ ...shared, turning: 1, names: ['no. 3 (2 kg)'] })).toBe(
    'It turns without no. 3 (2 kg); it stands without any other of 1,200.',
  )
  const names = ['a', 'b', 'c', 'd', 'e']
  expect(crossWords.leftOut({ ...shared, turning: 1100, names })).toContain('It turns without any of 1,100;')
})

test('equal readings are named together', () => {
  const reading = { index: 4, value: 14.9, of: undefined, claim }
  expect(plain(crossWords.reading({ ...reading, count: 1 }))).toBe('no. 5 (14.9 kg)')
  expect(plain(crossWords.reading({ ...reading, count: 12 }))).toBe('any of the 12 at 14.9 kg')
})

test('a finding turns at a value, or at a side of the claimed one that decimals do not tell from it', () => {
  const show = (value: number) => value.toFixed(2)
  expect(turnsAt(14.967, 15, show)).toEqual({ words: 'it turns at', shown: '14.97' })
  expect(turnsAt(14.9999, 15, show)).toEqual({ words: 'it turns just below', shown: '15.00' })
  expect(turnsAt(15.0001, 15, show)).toEqual({ words: 'it turns just above', shown: '15.00' })
})
