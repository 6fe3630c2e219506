import { EMPTY_CLAIM } from '@/desk/claimDraft'
import type { RowCondition } from '@/desk/rowCondition'
import { columnNamed, EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { takenFrom } from '../takenFrom'
import { guessFormat } from './format'
import { nearEntry } from './nearEntry'
import { readSheet } from './readSheet'
import { readTypedSheet } from './typedSheet'

const is = (value: string, more: Partial<RowCondition> = {}): RowCondition => ({
  ...{ column: 'late', relation: 'is', value, upTo: '' },
  ...more,
})

async function nearOf(entries: readonly string[], ...conditions: readonly RowCondition[]) {
  const bytes = new TextEncoder().encode(`late,mass\n${entries.map((entry) => `"${entry}",1\n`).join('')}`)
  const sheet = await readSheet({ source: () => [bytes], format: guessFormat(bytes) })
  if (!sheet.ok) throw new Error(sheet.problem.message)
  return nearEntry(sheet.value.columns, conditions, 'point', { mark: 'point', rules: [] })
}

test.each([
  [['no', 'Yes', 'yes'], [is('yes')], { column: 'late', seen: 'Yes', text: 'yes' }],
  [['no', 'north  east'], [is('north east')], { seen: 'north  east' }],
  [['no', 'ﬁrst'], [is('first', { relation: 'is-not' })], { seen: 'ﬁrst', text: 'first' }],
  [['a', 'B', 'b'], [is('a, b', { relation: 'one-of' })], { seen: 'B', text: 'b' }],
  [['a', 'b', 'B'], [is('a'), is('b')], { seen: 'B', text: 'b' }],
])('of %j where %j one is near', async (entries, conditions, near) => {
  expect(await nearOf(entries, ...conditions)).toMatchObject(near)
})

test('what is named, told apart by nothing, or of another column is not near', async () => {
  const entries = ['Yes', 'yes', 'no']
  expect(await nearOf(entries, is('yes'), is('Yes', { relation: 'is-not' }))).toBeUndefined()
  expect(await nearOf(entries, is('yes; Yes', { relation: 'one-of' }))).toBeUndefined()
  expect(await nearOf(entries, is('no'))).toBeUndefined()
  expect(await nearOf(entries, is('', { relation: 'is-not-empty' }))).toBeUndefined()
  expect(await nearOf(entries, is('yes', { column: 'mass' }))).toBeUndefined()
  expect(await nearOf(['7', '07', 'x'], is('7'))).toBeUndefined()
  expect(await nearOf(['1', '2'], is('1'))).toBeUndefined()
})

const SAMPLE = {
  ...EMPTY_SAMPLE,
  columns: [columnNamed('mass', 'number'), columnNamed('late', 'category')],
  readings: '14.9\tyes\n15.1\tYes\n15.0\tno\n',
}
const nearTaken = (claim: Partial<typeof EMPTY_CLAIM>) => {
  const taken = takenFrom(readTypedSheet(SAMPLE), { ...EMPTY_CLAIM, ...claim }, SAMPLE)
  return taken?.ok && taken.value.near
}

test('what a claim takes names an entry near to what keeps its rows, or to what counts', () => {
  const near = { column: 'late', seen: 'Yes', text: 'yes' }
  expect(nearTaken({ column: 'mass', kept: [[is('yes')]] })).toEqual(near)
  expect(nearTaken({ column: 'mass', counted: [[is('yes')]] })).toBeUndefined()
  expect(nearTaken({ parameter: 'proportion', counted: [[is('yes')]] })).toEqual(near)
  expect(nearTaken({ parameter: 'proportion', counted: [[is('no')]] })).toBeUndefined()
})
