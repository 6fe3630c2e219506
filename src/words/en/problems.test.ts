import { check } from '@/answers/check'

const refusal = (relation: unknown): string => {
  const answer = check({
    claim: { parameter: 'mean', relation, value: 15 },
    evidence: { kind: 'readings', values: [14.9, 15.1] },
  } as never)
  return answer.ok ? '' : answer.error.message
}

test('a message repeats sixty characters of what was seen, and says where it leaves off', () => {
  const fits = 'x'.repeat(58)
  expect(refusal(fits)).toContain(`is "${fits}";`)
  expect(refusal(`${fits}y`)).toContain(`is "${fits}y…;`)
})
