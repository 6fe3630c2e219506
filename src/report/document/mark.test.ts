import { sizeOfMark } from './mark'

test.each([
  ['a wide one', [720, 100], [180, 25]],
  ['a high one', [100, 540], [10, 54]],
  ['a small one is not blown up', [40, 20], [30, 15]],
])('how large a mark is shown: %s', (_, [width, height], shown) => {
  const size = sizeOfMark({ png: '', width: width!, height: height! })
  expect([size.width, size.height]).toEqual(shown)
})
