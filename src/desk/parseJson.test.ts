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

test.each([
  ['{"a":1,"a":1}', 'a'],
  ['[0,{"b":{"c":1,"d":[{"c":2}],"c":3}}]', 'c'],
  ['{"a" :1,"\\u0061": 2}', 'a'],
  ['{"a:{":"}","x":",","a:{":0}', 'a:{'],
  ['{"":1,"":2}', ''],
  ['{"__proto__":1,"__proto__":2}', '__proto__'],
  ['{"a\\"":1,"b":2,"a\\"":3,"b":4}', 'a"'],
])('an object that has two values by one name is refused: %s', (text, name) => {
  expect(() => parseJson(text)).toThrow(
    new SyntaxError(`one object has “${name}” twice, and which is meant can't be told`),
  )
})

test('a name may stand in several objects, in lists and in words', () => {
  const texts = [
    '{"a":{"a":["a","a",{"a":1},{"a":2}]},"b":"\\"a\\":1,\\"a\\":2"}',
    '{"A":1,"a":2,"a ":3,"\\u00e4":4,"a\u0308":5}',
  ]
  for (const text of texts) expect(parseJson(text)).toEqual(JSON.parse(text))
})

test('what is no JSON is told as such, whatever else is the matter with it', () => {
  for (const text of ['{"a":1,"a":}', '{"a":1,"a":2', '"\\', '{"\\q":1}', '{a:1,a:2}', ']:', ''])
    expect(() => parseJson(text)).toThrow(/JSON/)
})

test('what is no JSON is none', () => {
  expect(() => parseJson('{')).toThrow(SyntaxError)
})
