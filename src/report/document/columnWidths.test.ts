import fc from 'fast-check'
import { shareRoom, wideAmong } from './columnWidths'

test('what nobody asks for goes to one column', () => {
  const wishes = [
    { min: 10, max: 20 },
    { min: 5, max: 30 },
  ]
  expect(shareRoom(wishes, 100, 1)).toEqual([20, 80])
  expect(shareRoom(wishes, 100, 0)).toEqual([70, 30])
})

test('figures alone share what nobody asks for; beside texts, one of these takes it', () => {
  const wishes = [
    { min: 10, max: 20 },
    { min: 5, max: 30 },
  ]
  expect(wideAmong([true, true])).toBeUndefined()
  expect(shareRoom(wishes, 100, undefined)).toEqual([45, 55])
  expect(wideAmong([false, true, true])).toBe(0)
  expect(wideAmong([true, true, false])).toBe(2)
})

test('what is left over the words goes to those whose text is longer', () => {
  const wishes = [
    { min: 20, max: 20 },
    { min: 20, max: 100 },
    { min: 20, max: 40 },
  ]
  expect(shareRoom(wishes, 110, 0)).toEqual([20, 60, 30])
})

test('the room is filled and no word broken, unless the words alone do not fit', () => {
  const width = fc.double({ min: 1, max: 200, noNaN: true })
  const wish = fc.tuple(width, width).map(([one, other]) => ({
    min: Math.min(one, other),
    max: Math.max(one, other),
  }))
  fc.assert(
    fc.property(fc.array(wish, { minLength: 1, maxLength: 8 }), (wishes) => {
      const widths = shareRoom(wishes, 500, 0)
      expect(widths.reduce((sum, one) => sum + one, 0)).toBeCloseTo(500, 6)
      const words = wishes.reduce((sum, { min }) => sum + min, 0)
      if (words <= 500)
        for (const [at, { min }] of wishes.entries()) expect(widths[at]).toBeGreaterThan(min - 1e-9)
    }),
  )
})
