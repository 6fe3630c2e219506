import { differing } from './differing'

const figures = { p: 0.2104712543506562, n: 24, words: 'p 0.21', list: [{ z: -1.25 }], none: undefined }

test('data that says the same differs in nothing, a key without a value or not', () => {
  const { none: _, ...rest } = structuredClone(figures)
  expect(differing(figures, rest)).toEqual([])
  expect(differing(rest, figures)).toEqual([])
  expect(differing(-0, 0)).toEqual([])
  expect(differing([Number.NaN, Infinity], [Number.NaN, Infinity])).toEqual([])
  expect(differing(Infinity, 1e308)).toEqual([''])
})

test('figures that an engine rounds otherwise are the same one; what a reader could see is not', () => {
  expect(differing(figures, { ...figures, p: 0.2104712543506563 })).toEqual([])
  expect(differing({ p: 1e-200 }, { p: 1.000000000001e-200 })).toEqual([])
  expect(differing(1, 1.0000000001)).toEqual([])
  expect(differing(figures, { ...figures, p: 0.21047125 })).toEqual(['p'])
  expect(differing({ p: 1e-200 }, { p: 2e-200 })).toEqual(['p'])
  expect(differing({ p: 0 }, { p: 1e-300 })).toEqual(['p'])
  expect(differing({ p: 0.1 }, { p: -0.1 })).toEqual(['p'])
})

test('whole numbers and texts are the same or not, however long', () => {
  expect(differing(2_000_000_000, 2_000_000_001)).toEqual([''])
  expect(differing(figures, { ...figures, words: 'p 0.22' })).toEqual(['words'])
  expect(differing(figures, { ...figures, n: '24' })).toEqual(['n'])
})

test('each difference is named by its path, as far as it is looked at', () => {
  const other = { ...figures, n: 25, list: [{ z: 1 }, 2], more: null }
  expect(differing(figures, other)).toEqual(['n', 'list.0.z', 'list.1', 'more'])
  expect(differing(figures, other, [/^list/, /^n$/])).toEqual(['more'])
})
