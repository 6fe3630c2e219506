import { DELIVERIES, type Example, exampleCase, SACKS } from '@tests/exampleCase'
import type { ClaimDraft } from '@/desk/claimDraft'
import { type PartName, USUAL_OPTIONS } from '@/desk/reportOptions'
import { reportOf } from './report'

const ALL: readonly PartName[] = ['summary', 'cross-examination', 'sources']
const of = (example: Example, claim: Partial<ClaimDraft>): Example => ({
  ...example,
  claim: { ...example.claim, ...claim },
})

async function sourcesOf(
  examples: readonly Example[],
  parts = ALL,
): Promise<readonly (readonly [string, string])[]> {
  const report = await reportOf(exampleCase(examples), { ...USUAL_OPTIONS, parts: [...parts] })
  const [block] = report.parts.find(({ id }) => id === 'sources')!.blocks
  if (block?.is !== 'facts') throw new Error('sources were expected')
  return block.rows
}
const namesOf = async (...of: Parameters<typeof sourcesOf>) => (await sourcesOf(...of)).map(([name]) => name)

test('every figure has its source once: test, interval, effect size, conditions, and what the finding was held against', async () => {
  const rows = await sourcesOf([SACKS, SACKS])
  const names = rows.map(([name]) => name)
  expect(new Set(names).size).toBe(names.length)
  expect(names.filter((name) => !name.startsWith('Condition'))).toEqual([
    't test',
    'Effect size',
    'Cross-examination: bootstrap test',
    // A reading of 15 is equal to the claimed value.
    'Cross-examination: quantile test',
    'Several claims together',
  ])
  expect(rows[1]![1]).toBe(
    'Hedges (1981), J. of Educational Statistics 6, 107-128; its interval by the noncentral t distribution',
  )
  expect(rows.find(([name]) => name.includes('bootstrap'))![1]).toContain(
    '; 9,999 resamples with the seed 20260101, by xoshiro128**: Blackman & Vigna (2021)',
  )
})

test('claims that are not taken together, and methods that were not asked, have no source there', async () => {
  expect(await namesOf([SACKS])).not.toContain('Several claims together')
  const names = await namesOf([SACKS, DELIVERIES], ['sources'])
  expect(names).not.toContain('Several claims together')
  expect(names.join()).not.toContain('Cross-examination')
})

test.each([
  ['auto', 'Interval: Clopper and Pearson', 'Clopper & Pearson (1934)'],
  ['wilson', 'Interval: Wilson', 'Wilson (1927)'],
  ['agresti-coull', 'Interval: Agresti and Coull', 'Agresti & Coull (1998)'],
] as const)('of a share by %s the interval has its own', async (interval, name, source) => {
  const rows = await sourcesOf([of(DELIVERIES, { interval })])
  expect(rows.find(([of]) => of === name)?.[1]).toContain(source)
  expect(rows.find(([of]) => of === 'Effect size')?.[1]).toContain('Cohen (1988)')
})

test('a tolerance that has to be shown is shown by two tests, and a bootstrap states what it drew', async () => {
  const within = { relation: 'within', toleranceBelow: '1', toleranceAbove: '1' } as const
  expect(await namesOf([of(SACKS, within)])).toContain('Within a tolerance')
  const rows = await sourcesOf([of(SACKS, { method: 'bootstrap' })])
  expect(rows[0]![1]).toContain('resamples with the seed')
})
