import { keptVerdict } from './keptVerdict'

beforeAll(() => void jest.useFakeTimers())
afterAll(() => void jest.useRealTimers())

const pass = (ms: number) => void jest.setSystemTime(Date.now() + ms)

/** A check that takes so long, and counts how often it is made. */
function counted(ms: number) {
  let times = 0
  return async () => {
    await Promise.resolve()
    pass(ms)
    return (times += 1)
  }
}
const usual = { head: 'a', isAnew: false }

test('what is checked at once is checked at every look', async () => {
  const check = counted(19)
  expect((await keptVerdict('quick', usual, check)).verdict).toBe(1)
  expect((await keptVerdict('quick', usual, check)).verdict).toBe(2)
})

test('what takes long is checked again where it has changed or is asked for, and once for all who wait', async () => {
  const check = counted(20)
  const verdicts = await Promise.all([1, 2, 3].map(() => keptVerdict('long', usual, check)))
  expect(verdicts.map(({ verdict }) => verdict)).toEqual([1, 1, 1])
  const again = await keptVerdict('long', usual, check)
  expect(again).toEqual(verdicts[0])
  expect((await keptVerdict('long', { head: 'b', isAnew: false }, check)).verdict).toBe(2)
  expect((await keptVerdict('long', { head: 'b', isAnew: true }, check)).verdict).toBe(3)
  expect((await keptVerdict('long', { head: 'b', isAnew: false }, check)).verdict).toBe(3)
  expect((await keptVerdict('other', { head: 'b', isAnew: false }, check)).verdict).toBe(4)
})

test('what takes long is checked again after fifty times as long', async () => {
  const check = counted(40)
  const { checkedAt } = await keptVerdict('aging', usual, check)
  pass(1999)
  expect(await keptVerdict('aging', usual, check)).toEqual({ verdict: 1, checkedAt })
  pass(1)
  expect((await keptVerdict('aging', usual, check)).verdict).toBe(2)
})

test('a check that failed is made again', async () => {
  let times = 0
  const check = async () => {
    await Promise.resolve()
    pass(200)
    times += 1
    if (times === 1) throw new Error('gone')
    return times
  }
  await expect(keptVerdict('failing', usual, check)).rejects.toThrow('gone')
  expect((await keptVerdict('failing', usual, check)).verdict).toBe(2)
})
