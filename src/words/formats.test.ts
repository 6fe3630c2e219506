import { formatsFor } from './formats'

const claim = { parameter: 'mean', unit: 'kg' } as const

test('figures without a unit have three decimals where none are chosen, and those that are', () => {
  const shown = (chosen: number | undefined) => formatsFor(claim, undefined, chosen).plain(2 / 3)
  expect([shown(undefined), shown(5), shown(0)]).toEqual(['0.667', '0.66667', '1'])
  expect(formatsFor(claim, undefined, undefined).plainDecimals).toBe(3)
  expect(formatsFor(claim, undefined, 1).inUnit(2 / 3)).toBe('0.7\u202fkg')
})
