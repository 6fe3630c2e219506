import { answer } from '@/answers/answer'
import { figuresOf } from '@tests/reference/answers'
import { powerOfNormalShare } from './normalSharePower'

// At the claimed share itself the power is the level, by definition.
test.each(['less', 'greater', 'two-sided'] as const)(
  'at the claimed share the power is the level, %s',
  (alternative) => {
    const question = { n: 20, value: 0.95, truth: 0.95, alternative, significanceLevel: 0.05 }
    expect(powerOfNormalShare(question)).toBeCloseTo(0.05, 9)
  },
)

const plan = (more: object) => ({
  plan: {
    claim: {
      parameter: 'proportion',
      relation: 'at-least',
      value: 0.95,
      limit: { side: 'at-least', value: 15 },
    },
    test: { method: 'normal-share' },
    assume: { value: 0.85 },
    ...more,
  },
})

test('the n that is planned is the first that reaches the power', () => {
  const { n, power } = figuresOf<{ n: number; power: number }>(plan({ find: 'n', power: 0.9 }))
  expect(power).toBeGreaterThanOrEqual(0.9)
  const at = (size: number) => figuresOf<{ power: number }>(plan({ find: 'power', n: size })).power
  expect(at(n)).toBe(power)
  expect(at(n - 1)).toBeLessThan(0.9)
  expect(answer(plan({ find: 'power', n: 1 }))).toMatchObject({ ok: false })
})
