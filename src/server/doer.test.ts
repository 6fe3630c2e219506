import { doerOf } from './doer'

test('whoever says a name has it, and what is no name is nobody’s', () => {
  expect(doerOf('A. Officer').by).toBe('A. Officer')
  for (const none of [undefined, null, 7, {}, 'x'.repeat(501)]) expect(doerOf(none).by).toBe('')
})

test('it is done now', () => {
  const before = Date.now()
  const { now } = doerOf('')
  expect(now.getTime()).toBeGreaterThanOrEqual(before)
  expect(now.getTime()).toBeLessThanOrEqual(Date.now())
})
