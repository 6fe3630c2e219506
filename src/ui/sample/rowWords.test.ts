import { drawnOf } from '@/pictures/readings'
import { rowWords } from './rowWords'

test('a reading that is pointed at is told by its row, and a row without one by nothing', () => {
  const words = rowWords(drawnOf({ values: [15, 18], rows: [0, 14], setAside: [] }, 'kg'))
  expect(words(14)).toBe('Row 15: 18\u202fkg')
  expect(words(3)).toBe('')
})
