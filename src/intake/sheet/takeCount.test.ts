import type { KeptRows, RowCondition } from '@/desk/rowCondition'
import { EMPTY_CLAIM } from '@/desk/claimDraft'
import { EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { readEvidence } from '../readEvidence'
import { takenFrom } from '../takenFrom'
import { takeCount } from './takeCount'
import { readTypedSheet } from './typedSheet'

const columns = ['hours', 'depot'].map((name) => ({
  name,
  label: '',
  unit: '',
  kind: 'number' as const,
  codes: '',
}))
const sample = { ...EMPTY_SAMPLE, columns, readings: '40\t7\n50\t7\n\t7\n48\t8\n47\t7\n60\t7' }
const sheet = readTypedSheet(sample)
const where = (column: string, relation: RowCondition['relation'], value = ''): KeptRows => [
  [{ column, relation, value, upTo: '' }],
]

function counted(kept: KeptRows, property: KeptRows, setAside: readonly number[] = []) {
  const count = takeCount(sheet, { kept, counted: property, mark: 'point', setAside })
  if (!count.ok) throw new Error(count.problem.message)
  return count.value
}

test('rows with the property are counted among those that are kept, and a row without an entry is neither', () => {
  expect(counted([], where('hours', 'at-most', '48'))).toMatchObject({ n: 5, successes: 3, missing: 1 })
  expect(counted(where('depot', 'is', '7'), where('hours', 'at-most', '48'))).toMatchObject({
    n: 4,
    successes: 2,
    missing: 1,
  })
})

test('a property that asks for an empty entry leaves no row out', () => {
  expect(counted([], where('hours', 'is-empty'))).toMatchObject({ n: 6, successes: 1, missing: 0 })
})

test('what is set aside is not counted, and known with it', () => {
  expect(counted([], where('hours', 'at-most', '48'), [0, 1])).toEqual({
    n: 3,
    successes: 2,
    missing: 1,
    withSetAside: { n: 5, successes: 3 },
  })
})

test('a column that is not there is a problem', () => {
  const count = takeCount(sheet, {
    kept: [],
    counted: where('days', 'at-most', '2'),
    mark: 'point',
    setAside: [],
  })
  expect(count).toMatchObject({ ok: false, problem: { code: 'column-not-found' } })
})

test('a share is counted from the rows of a sheet, and asks what counts until that is said', () => {
  const claim = { ...EMPTY_CLAIM, sampleId: '', parameter: 'proportion' as const }
  const held = { ...sample, setAside: [{ row: 0, reason: 'twice', by: 'A.' }] }
  const draft = { ...claim, counted: where('hours', 'at-most', '48').map((list) => [...list]) }
  const reading = readEvidence({ sample: held, taken: takenFrom(sheet, draft, held), draft })
  expect(reading.evidence).toEqual({
    ...{ kind: 'count', n: 4, successes: 2 },
    entries: [{ setAside: 1, blank: 1 }],
  })
  expect(reading.withSetAside).toEqual({
    ...{ kind: 'count', n: 5, successes: 3 },
    entries: [{ blank: 1 }],
  })
  expect(readEvidence({ sample: held, taken: undefined, draft: claim }).missing).toMatchObject([
    { field: 'counted' },
  ])
})

test.each([
  ['mean', 'count'],
  ['median', 'summary'],
  ['proportion', 'summary'],
] as const)('a %s is not told from a %s, and the page says what would do', (parameter, kind) => {
  const draft = { ...EMPTY_CLAIM, sampleId: '', parameter }
  const { problems } = readEvidence({
    sample: { ...EMPTY_SAMPLE, kind, count: '1 of 2' },
    taken: undefined,
    draft,
  })
  expect(problems[0]?.message).toMatch(/cannot be told from/)
})
