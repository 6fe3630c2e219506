import { exampleCase, DELIVERIES, SACKS } from '@tests/exampleCase'
import type { CaseContent } from './content'
import { whyNotGoingOn } from './goingOn'

const here = exampleCase([SACKS, DELIVERIES])
const { length } = here.trail
const last = here.trail.at(-1)!
const later = { ...last, number: length + 1, previous: last.hash, hash: 'f'.repeat(64) }
const goneOn: CaseContent = {
  ...here,
  trail: [...here.trail, later],
  head: { length: length + 1, hash: later.hash },
}
const finding = {
  ...({} as CaseContent['findings'][number]),
  id: 'f',
  claimId: 'c',
  number: 1,
  fingerprint: 'a',
}

test('a file that has all that is here, and more on its trail, goes on from it', async () => {
  expect(await whyNotGoingOn(here, goneOn)).toBeUndefined()
})

test.each<readonly [string, CaseContent, CaseContent, string]>([
  ['the same case', here, here, 'holds nothing newer'],
  ['an older one', goneOn, here, 'it has 6 entries on its trail here, and the file holds nothing newer'],
  [
    'one that went another way',
    goneOn,
    { ...goneOn, trail: [...here.trail, { ...later, hash: 'e'.repeat(64) }] },
    'both here and in the file since entry 5',
  ],
  ['one without a claim', here, { ...goneOn, claims: goneOn.claims.slice(1) }, 'without the claim'],
  ['one without a sample', here, { ...goneOn, samples: goneOn.samples.slice(0, 1) }, 'without the sample'],
  [
    'one without a signed finding',
    { ...here, findings: [finding] },
    goneOn,
    'without the signed finding 1 of claim c',
  ],
  [
    'one whose signed finding is another',
    { ...here, findings: [finding] },
    { ...goneOn, findings: [{ ...finding, fingerprint: 'b' }] },
    'without the signed finding 1',
  ],
])('%s does not, and why is said', async (_, known, file, why) => {
  expect(await whyNotGoingOn(known, file)).toContain(why)
})

test('cells and files that are others are told of', async () => {
  const cells = (value: number) => ({
    rowCount: 1,
    columns: async () => [
      { kind: 'number' as const, name: 'mass', length: 1, missing: 0, chunks: [Float64Array.of(value)] },
    ],
  })
  const withCells = (content: CaseContent, value: number): CaseContent => ({
    ...content,
    samples: content.samples.map((sample) => ({ ...sample, sheet: cells(value) })) as CaseContent['samples'],
  })
  expect(await whyNotGoingOn(withCells(here, 1), withCells(goneOn, 1))).toBeUndefined()
  expect(await whyNotGoingOn(withCells(here, 1), withCells(goneOn, 2))).toContain('the file of the sample')
  const renamed = withCells(goneOn, 1).samples.map((sample) => ({
    ...sample,
    file: { fileName: 'other.csv', fileBytes: 1, fileSha256: 'a'.repeat(64), rowCount: 1 },
  }))
  expect(await whyNotGoingOn(withCells(here, 1), { ...goneOn, samples: renamed })).toContain('the file of')
})
