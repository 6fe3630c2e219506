import { intervalWords } from './claimLineWords'

const inKilograms = { scale: 1, unit: 'kg', decimals: 3 } as const

const interval = { level: 0.95, sides: 'two-sided', method: 't', holdsClaimedValue: true } as const

test.each([
  [{ lower: 14.884, upper: 14.974 }, '95 % interval 14.884 to 14.974'],
  [{ upper: 14.974 }, '95 % upper bound 14.974'],
  [{ lower: 14.884 }, '95 % lower bound 14.884'],
  [{}, ''],
])('an interval with the ends %j', (ends, words) => {
  expect(intervalWords({ ...interval, ...ends }, inKilograms).replace(/\s/g, ' ')).toBe(words)
})
