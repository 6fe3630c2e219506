import { parseJson } from './parseJson'

const nested = (depth: number, inside = '') => `${'['.repeat(depth)}${inside}${']'.repeat(depth)}`

test('JSON is read as it stands', () => {
  expect(parseJson('{"a":["[{\\"]",1]}')).toEqual({ a: ['[{"]', 1] })
  const quoted = `say "${'['.repeat(200)}`
  expect(parseJson(JSON.stringify(quoted))).toBe(quoted)
  expect(parseJson(nested(100))).toBeDefined()
  expect(parseJson(`"${'['.repeat(20_000)}"`)).toBe('['.repeat(20_000))
  expect(parseJson(`[${'[],'.repeat(20_000)}[]]`)).toHaveLength(20_001)
})

test.each([
  ['lists', nested(101)],
  ['lists by the thousand', nested(20_000)],
  ['lists that are never closed', '['.repeat(1_000_000)],
  ['objects', `${'{"a":'.repeat(20_000)}1${'}'.repeat(20_000)}`],
])('%s that stand in one another too often are refused', (_, text) => {
  expect(() => parseJson(text)).toThrow(/more than 100 lists and objects/)
})

test('what is no JSON is none', () => {
  expect(() => parseJson('{')).toThrow(SyntaxError)
})
