import { plainWords } from './plainWords'

test('names that every object has bring no functions along', () => {
  const asked = { toString: [Object.prototype.toString, '3'], gap: '1', power: ['1', '2'], none: undefined }
  expect(plainWords(asked)).toEqual({ toString: ['3'], gap: '1', power: ['1', '2'], none: [] })
})
