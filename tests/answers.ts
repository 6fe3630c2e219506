import { check } from '@/answers/check'
import type { CheckDocument } from '@/claims/terms/request'
import { type AnyResult, testedBy } from '@tests/reference/answers'

export const pellets: CheckDocument = {
  id: 'sack claim',
  claim: { parameter: 'mean', relation: 'at-least', value: 15, unit: 'kg', quantity: 'net mass' },
  evidence: { kind: 'readings', values: [14.93, 15.02, 14.88, 14.91, 14.97, 14.86] },
}

type More = Readonly<{
  claim?: Partial<CheckDocument['claim']>
  evidence?: CheckDocument['evidence']
  test?: CheckDocument['test']
}>

export const withMore = ({ claim, evidence, test }: More): CheckDocument => ({
  ...pellets,
  claim: { ...pellets.claim, ...claim },
  evidence: evidence ?? pellets.evidence,
  ...(test ? { test } : {}),
})

export function resultOf(document: unknown): AnyResult {
  const answer = testedBy(document)
  return answer as AnyResult
}

export function errorOf(document: unknown) {
  const answer = check(document)
  if (answer.ok) throw new Error('a result where an error was expected')
  return answer.error
}
