import { newKeptColumns } from './keptColumns'

const MIB = 1 << 20
const columnOf = (mebibytes: number) => ({
  head: { name: 'mass', kind: 'number', length: 1, missing: 0, dictionary: [] } as const,
  chunks: [new Uint8Array(MIB), new Uint8Array((mebibytes - 1) * MIB)],
})

test('what was read longest ago goes where all of it together would be more than 32 MiB', () => {
  const kept = newKeptColumns()
  for (const name of ['a', 'b', 'c']) kept.set(name, columnOf(10))
  kept.get('a')
  kept.set('d', columnOf(10))
  expect(['a', 'b', 'c', 'd'].map((name) => kept.has(name))).toEqual([true, false, true, true])
})

test('a column that is larger by itself is not kept, and costs no other its place', () => {
  const kept = newKeptColumns()
  kept.set('a', columnOf(10))
  kept.set('large', columnOf(32))
  expect([kept.has('a'), kept.has('large')]).toEqual([true, false])
})

test('a column without a cell is kept', () => {
  const kept = newKeptColumns()
  kept.set('empty', { ...columnOf(1), chunks: [] })
  expect(kept.has('empty')).toBe(true)
})
