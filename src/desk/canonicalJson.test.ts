import fc from 'fast-check'
import { canonicalJson, spellingsOf } from './canonicalJson'

test('equal values have one text, whatever the order of their keys', () => {
  expect(canonicalJson({ b: [1, { d: 0.1, c: null }], a: undefined, e: 'é' })).toBe(
    '{"b":[1,{"c":null,"d":0.1}],"e":"é"}',
  )
  fc.assert(
    fc.property(
      fc.dictionary(fc.string({ unit: 'grapheme' }), fc.jsonValue({ stringUnit: 'grapheme' })),
      (value) => {
        const turned = Object.fromEntries(Object.entries(value).reverse())
        expect(canonicalJson(turned)).toBe(canonicalJson(value))
        expect(canonicalJson(JSON.parse(canonicalJson(value)))).toBe(canonicalJson(value))
      },
    ),
  )
})

// RFC 8785 (2020), 3.2.3: the sample of sorting, and the numbers of appendix B that its text gives.
test('keys and numbers are spelled as RFC 8785 has it', () => {
  const sample = {
    '\u20ac': 'Euro Sign',
    '\r': 'Carriage Return',
    '\ufb33': 'Hebrew Letter Dalet With Dagesh',
    '1': 'One',
    '\ud83d\ude00': 'Emoji: Grinning Face',
    '\u0080': 'Control',
    '\u00f6': 'Latin Small Letter O With Diaeresis',
  }
  expect([...canonicalJson(sample).matchAll(/:"([^"]*)"/g)].map(([, word]) => word)).toEqual([
    'Carriage Return',
    'One',
    'Control',
    'Latin Small Letter O With Diaeresis',
    'Euro Sign',
    'Emoji: Grinning Face',
    'Hebrew Letter Dalet With Dagesh',
  ])
  expect(canonicalJson([333333333.33333329, 1e30, 4.5, 2e-3, 1e-27])).toBe(
    '[333333333.3333333,1e+30,4.5,0.002,1e-27]',
  )
})

test('keys that are whole numbers were spelled otherwise, and so was half of a character: both are still known', () => {
  expect(spellingsOf({ 9: 'a', 10: 'b' })).toEqual(['{"10":"b","9":"a"}', '{"9":"a","10":"b"}'])
  expect(spellingsOf({ b: 1, '-': 2, a: 3, 7: 4 })[1]).toBe('{"7":4,"-":2,"a":3,"b":1}')
  expect(spellingsOf({ a: '\ud800' })).toEqual(['{"a":"\\ud800"}'])
  expect(() => canonicalJson({ a: '\ud800' })).toThrow('surrogate')
  expect(() => canonicalJson(Number.NaN)).toThrow('NaN')
  expect(() => canonicalJson(undefined)).toThrow('undefined')
})
