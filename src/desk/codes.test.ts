import { readCodes, unreadCodeLines } from './codes'

test('a code list is read with any of its separators', () => {
  const text = '7 = North quay depot\n8\tCauseway depot\r\n9; Mill lane = old mill\n\nA: by hand'
  expect(readCodes(text)).toEqual([
    { code: '7', meaning: 'North quay depot' },
    { code: '8', meaning: 'Causeway depot' },
    { code: '9', meaning: 'Mill lane = old mill' },
    { code: 'A', meaning: 'by hand' },
  ])
  expect(unreadCodeLines(text)).toEqual([])
})

test('lines that are no codes are told by their number', () => {
  expect(unreadCodeLines('7 = North quay depot\nCauseway\n\n8 =\n')).toEqual([2, 4])
})
