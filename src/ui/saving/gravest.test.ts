import { gravestOf } from './gravest'
import type { SaveState } from './Keeper'

const saved = (at?: string): SaveState => ({ kind: 'saved', ...(at === undefined ? {} : { at }) })
const gravest = (...states: readonly SaveState[]) => gravestOf(states.map((state) => ({ state }))).state

test('what keeps anything from being stored is told of before what is stored', () => {
  const failed: SaveState = { kind: 'failed', message: 'full' }
  expect(gravest(saved('2026-11-29T10:00:00.000Z'), { kind: 'saving' })).toEqual({ kind: 'saving' })
  expect(gravest({ kind: 'changed-elsewhere' }, { kind: 'saving' })).toEqual({ kind: 'changed-elsewhere' })
  expect(gravest({ kind: 'changed-elsewhere' }, failed, saved())).toEqual(failed)
})

test('of what is saved the last time is told', () => {
  const [early, late] = [saved('2026-11-29T10:00:00.000Z'), saved('2026-11-29T10:01:00.000Z')]
  expect(gravest(early, late)).toBe(late)
  expect(gravest(late, early)).toBe(late)
  expect(gravest(saved(), early)).toBe(early)
  expect(gravest(early, saved())).toBe(early)
})
