import type { Outcome } from '@/claims/terms/outcome'
import { Keeper, type Saved, type SaveState } from './Keeper'

const saved: Outcome<Saved> = { ok: true, value: { savedAt: '2026-11-03T10:42:00.000Z' } }
const problem = (code: string): Outcome<Saved> => ({ ok: false, problem: { code, path: '', message: code } })

/** A keeper whose requests are answered by hand. */
function keeperOf(isStored = true) {
  const sent: string[] = []
  const states: SaveState['kind'][] = []
  const waiting: ((answer: Outcome<Saved> | undefined) => void)[] = []
  const keeper = new Keeper({
    ...{ value: 'a', isStored },
    send: (value: string) => {
      sent.push(value)
      return new Promise((resolve) => waiting.push(resolve))
    },
    onState: ({ kind }) => states.push(kind),
  })
  const answer = async (outcome: Outcome<Saved> | undefined) => {
    waiting.shift()!(outcome)
    await jest.advanceTimersByTimeAsync(0)
  }
  return { keeper, sent, states, answer }
}

beforeEach(() => jest.useFakeTimers())
afterEach(() => jest.useRealTimers())

test('stores what a page begins with where that is not stored yet', async () => {
  const { keeper, sent, answer } = keeperOf(false)
  expect(keeper.isUnsaved()).toBe(true)
  keeper.change('a')
  await jest.advanceTimersByTimeAsync(1000)
  expect(sent).toEqual(['a'])
  await answer(saved)
  expect(keeper.isUnsaved()).toBe(false)
})

test('stores the last of several changes, once', async () => {
  const { keeper, sent, states, answer } = keeperOf()
  keeper.change('b')
  keeper.change('c')
  await jest.advanceTimersByTimeAsync(1000)
  expect(sent).toEqual(['c'])
  await answer(saved)
  expect(keeper.isUnsaved()).toBe(false)
  expect(states.at(-1)).toBe('saved')
})

test('sends one request at a time, and what was typed meanwhile after it', async () => {
  const { keeper, sent, answer } = keeperOf()
  keeper.change('b')
  await jest.advanceTimersByTimeAsync(1000)
  keeper.change('c')
  await jest.advanceTimersByTimeAsync(1000)
  expect(sent).toEqual(['b'])
  await answer(saved)
  await jest.advanceTimersByTimeAsync(1000)
  expect(sent).toEqual(['b', 'c'])
  await answer(saved)
  expect(keeper.isUnsaved()).toBe(false)
})

test('tries again while the server does not answer', async () => {
  const { keeper, sent, states, answer } = keeperOf()
  keeper.change('b')
  await jest.advanceTimersByTimeAsync(1000)
  await answer(undefined)
  expect(states.at(-1)).toBe('failed')
  expect(keeper.isUnsaved()).toBe(true)
  await jest.advanceTimersByTimeAsync(5000)
  expect(sent).toEqual(['b', 'b'])
  await answer(saved)
  expect(states.at(-1)).toBe('saved')
})

test('stops after a change made elsewhere, until it is told to go on', async () => {
  const { keeper, sent, states, answer } = keeperOf()
  keeper.change('b')
  await jest.advanceTimersByTimeAsync(1000)
  await answer(problem('changed-elsewhere'))
  keeper.change('c')
  await jest.advanceTimersByTimeAsync(9000)
  expect(sent).toEqual(['b'])
  expect(states.at(-1)).toBe('changed-elsewhere')
  void keeper.resume()
  await jest.advanceTimersByTimeAsync(0)
  expect(sent).toEqual(['b', 'c'])
})

test('a stored value that is taken over is not sent back', async () => {
  const { keeper, sent } = keeperOf()
  keeper.change('b')
  keeper.adopt('z')
  keeper.change('z')
  await jest.advanceTimersByTimeAsync(9000)
  expect(sent).toEqual([])
})

test('a refused value is kept and its reason shown', async () => {
  const { keeper, states, answer } = keeperOf()
  void keeper.change('b')
  void keeper.flush()
  await jest.advanceTimersByTimeAsync(0)
  await answer(problem('invalid'))
  expect(states.at(-1)).toBe('failed')
  expect(keeper.isUnsaved()).toBe(true)
})
