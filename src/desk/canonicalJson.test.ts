import fc from 'fast-check'
import { canonicalJson } from './canonicalJson'

test('equal values have one text, whatever the order of their keys', () => {
  expect(canonicalJson({ b: [1, { d: 0.1, c: null }], a: undefined, e: 'é' })).toBe(
    '{"b":[1,{"c":null,"d":0.1}],"e":"é"}',
  )
  fc.assert(
    fc.property(fc.dictionary(fc.string(), fc.jsonValue()), (value) => {
      const turned = Object.fromEntries(Object.entries(value).reverse())
      expect(canonicalJson(turned)).toBe(canonicalJson(value))
      expect(canonicalJson(JSON.parse(canonicalJson(value)))).toBe(canonicalJson(value))
    }),
  )
})
