import { packed, unpacked } from './link'

const long = Array.from({ length: 1000 }, (_, at) => at / 7)

test('long lists of numbers go as doubles, wherever they stand, and come back the same', () => {
  const sent = {
    evidence: { values: long, setAside: [3] },
    answers: [{ values: long }, 'said', null, undefined],
  }
  const wire = packed(sent) as typeof sent
  expect(wire.evidence.values).toEqual({ listOfDoubles: Float64Array.from(long) })
  expect(wire.evidence.setAside).toBe(sent.evidence.setAside)
  expect(wire.answers[0]).toEqual({ values: { listOfDoubles: expect.any(Float64Array) } })
  expect(unpacked(structuredClone(wire))).toEqual(sent)
})

test.each([{ listOfDoubles: long }, { listOfDoubles: { below: [1], above: [] } }, { listOfDoubles: 'text' }])(
  'what is called as the doubles are comes back as it was: %#',
  (value) => {
    expect(unpacked(structuredClone(packed(value)))).toEqual(value)
  },
)

test('every number is the same to the last bit', () => {
  const special = [-0, Number.NaN, Infinity, -Infinity, 5e-324, 2 ** 53, 0.1 + 0.2, ...long]
  const back = unpacked(packed(special)) as number[]
  expect(Array.isArray(back)).toBe(true)
  expect(back.every((value, at) => Object.is(value, special[at]))).toBe(true)
  expect(back).toHaveLength(special.length)
})

test.each([
  ['a short list', long.slice(1)],
  ['a list with a text among its numbers', [...long, '']],
  ['a list with an empty place', Object.assign([...long], { length: 1001 })],
  ['an object without a long list', { evidence: { values: [1, 2] } }],
  ['a typed list', new Float64Array(2000)],
  ['a file', new Blob(['text'])],
  ['an object of some other kind', new Map([['values', long]])],
  ['nothing', null],
  ['a text', 'text'],
])('%s goes as it is', (_, value) => {
  expect(packed(value)).toBe(value)
  expect(unpacked(value)).toBe(value)
})
