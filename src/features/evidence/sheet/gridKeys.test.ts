import { placeAfter } from './gridKeys'
import { SHOWN_ROWS } from './gridParts'

const size = { rowCount: 100, columnCount: 3 }
const pressed = (key: string, ctrlKey = false, altKey = false) => ({ key, ctrlKey, altKey })
const at = (place: number, column: number) => ({ place, column })

test.each([
  ['ArrowDown', at(5, 1), at(6, 1)],
  ['ArrowUp', at(5, 1), at(4, 1)],
  ['ArrowRight', at(5, 1), at(5, 2)],
  ['ArrowLeft', at(5, 1), at(5, 0)],
  ['PageDown', at(5, 1), at(5 + SHOWN_ROWS, 1)],
  ['PageUp', at(5, 1), at(0, 1)],
  ['Home', at(5, 1), at(5, 0)],
  ['End', at(5, 1), at(5, 2)],
  ['ArrowUp', at(0, 0), at(0, 0)],
  ['ArrowLeft', at(0, 0), at(0, 0)],
  ['ArrowDown', at(99, 2), at(99, 2)],
  ['ArrowRight', at(99, 2), at(99, 2)],
])('%s leads from %j to %j', (key, from, to) => {
  expect(placeAfter(from, pressed(key), size)).toEqual(to)
})

test('with Ctrl both ends of the sheet are reached, and other keys move nothing', () => {
  expect(placeAfter(at(5, 1), pressed('Home', true), size)).toEqual(at(0, 0))
  expect(placeAfter(at(5, 1), pressed('End', true), size)).toEqual(at(99, 2))
  expect(placeAfter(at(5, 1), pressed('a'), size)).toBeUndefined()
  expect(placeAfter(at(5, 1), pressed('ArrowDown', false, true), size)).toBeUndefined()
})
