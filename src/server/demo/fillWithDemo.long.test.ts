import { openTestDatabase } from '@tests/database'
import { fillWithDemo } from './fillWithDemo'

test('the demo fills an empty database once, with a claim for each parameter and findings of every outcome', async () => {
  const empty = await openTestDatabase()
  await fillWithDemo(empty)
  await fillWithDemo(empty)
  const cases = await empty.query.cases.findMany({ with: { claims: true } })
  const findings = cases.flatMap(({ reference, claims }) =>
    claims.map(({ parameter, outcome }) => [reference, parameter, outcome]),
  )
  expect(findings).toEqual([
    ['WH-014', 'mean', 'contradicted'],
    ['WH-014', 'variance-ratio', 'not-contradicted'],
    ['WH-017', 'mean', 'contradicted'],
    ['WH-017', 'proportion', 'not-contradicted'],
    ['WH-017', 'rate', 'contradicted'],
    // Of 200,000 rows: it is computed a moment later.
    ['WH-017', 'mean', null],
    ['WH-021', 'mean', 'not-contradicted'],
    ['WH-021', 'standard-deviation', 'not-contradicted'],
    ['WH-026', 'mean', 'not-contradicted'],
    ['WH-026', 'variance', 'not-contradicted'],
    ['WH-030', 'mean', 'supported'],
    ['WH-030', 'median', 'not-supported'],
    ['WH-033', 'mean', 'contradicted'],
    ['WH-033', 'proportion', 'not-contradicted'],
    ['WH-033', 'mean', 'contradicted'],
    ['WH-033', 'mean', 'not-contradicted'],
    ['WH-033', 'median', 'not-contradicted'],
    // A control of net content, held against what a mean is held against.
    ['WH-037', 'mean', 'contradicted'],
    ['WH-037', 'mean', 'not-contradicted'],
    ['WH-041', 'mean', 'supported'],
    ['WH-041', 'mean', 'not-contradicted'],
    ['WH-041', 'mean', 'not-contradicted'],
    ['WH-041', 'mean', 'supported'],
    ['WH-041', 'mean', 'not-contradicted'],
    ['WH-041', 'mean', 'not-contradicted'],
    ['WH-041', 'mean', 'supported'],
    ['WH-041', 'standard-deviation', 'not-contradicted'],
  ])
  await empty.close()
})
