import type { Claim } from '@/claims/terms/claim'
import { claimClause } from './claimWords'

const claim = { parameter: 'mean', relation: 'equal-to', value: 15, unit: 'kg' } as const
const tolerance = { below: 0.1, above: 0.2 }

test.each<[Claim, string]>([
  [claim, 'the mean is equal to 15\u202fkg'],
  // What is tested is the value itself, whatever else is stated.
  [{ ...claim, tolerance }, 'the mean is equal to 15\u202fkg'],
  [{ ...claim, tolerance, burden: 'challenge' }, 'the mean is equal to 15\u202fkg'],
  [
    { ...claim, tolerance, burden: 'substantiate' },
    'the mean is within 0.1\u202fkg below and 0.2\u202fkg above 15\u202fkg',
  ],
  [
    { ...claim, tolerance, relation: 'within' },
    'the mean is within 0.1\u202fkg below and 0.2\u202fkg above 15\u202fkg',
  ],
  [{ ...claim, tolerance, relation: 'at-least' }, 'the mean is at least 15\u202fkg'],
  [
    { parameter: 'proportion', relation: 'within', value: 0.95, tolerance: { below: 0.02, above: 0.1 } },
    'the share is within 2 percentage points below and 10 percentage points above 95\u202f%',
  ],
])('the clause of a claim says what is tested: %j', (stated, clause) => {
  expect(claimClause(stated)).toBe(clause)
})
