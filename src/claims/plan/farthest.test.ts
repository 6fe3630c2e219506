import { answer } from '@/answers/answer'

const plan = (relation: 'at-least' | 'at-most', value: number, n: number) =>
  answer({ plan: { claim: { parameter: 'proportion', relation, value }, find: 'difference', n, power: 0.9 } })

test.each([
  ['at-most', 0.95],
  ['at-least', 0.05],
  ['at-most', 0.3],
  ['at-most', 0.61],
] as const)('no share beyond 0 and 1 is sought to reach a power: %s %d', (relation, value) => {
  expect(plan(relation, value, 2)).toMatchObject({
    ok: false,
    error: { code: 'not-reached', path: 'plan.n' },
  })
  const found = plan(relation, value, 400)
  expect(found).toMatchObject({ ok: true, plan: { n: 400 } })
})

test('the same difference is found from a share upwards as from its contrary downwards', () => {
  const [up, down] = [plan('at-most', 0.95, 400), plan('at-least', 0.05, 400)].map((one) =>
    one.ok && 'plan' in one ? one.plan.difference : Number.NaN,
  )
  expect(up).toBeCloseTo(down!, 12)
  expect(up).toBeLessThan(0.05)
})
