import { columnNamed, EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { dateText } from '../reading/date'
import { questionOf, withSaid } from '../sayings'
import { readTypedSheet } from './typedSheet'

const sheetOf = (days: readonly string[]): SampleDraft => ({
  ...EMPTY_SAMPLE,
  columns: [columnNamed('day', 'date'), columnNamed('mass', 'number')],
  readings: days.map((day) => `${day}\t14.9`).join('\n'),
})
/** What is read of the days; one that is not, as it stands. */
function daysRead(sample: SampleDraft) {
  const { columns, unread } = readTypedSheet(sample)
  const [day] = columns[0]!.kind === 'date' ? columns[0]!.chunks : []
  const texts = Array.from(day!, (value) => (Number.isNaN(value) ? '' : dateText(value)))
  return texts.map((text, row) => text || unread.find((one) => one.row === row)?.text)
}

test.each([
  ['whose day and month can’t change places', ['2026-04-03', '13/4/2026'], ['2026-04-03', '2026-04-13']],
  ['of one day and month', ['4/4/2026'], ['2026-04-04']],
  ['with points, the day first', ['3.4.2026'], ['2026-04-03']],
  ['beside one with the day first', ['3/4/2026', '25/4/2026'], ['2026-04-03', '2026-04-25']],
  ['beside one with the month first', ['3/4/2026', '4/25/2026'], ['2026-03-04', '2026-04-25']],
  ['beside nothing that tells', ['3/4/2026', '2026-04-25'], ['3/4/2026', '2026-04-25']],
  [
    'beside ones of either order',
    ['3/4/2026', '25/4/2026', '4/25/2026'],
    ['3/4/2026', '2026-04-25', '2026-04-25'],
  ],
])('dates %s are read in the one way that they can be, or asked about', (_, days, expected) => {
  expect(daysRead(sheetOf(days))).toEqual(expected)
})

test('dates that can be read in two ways are read as somebody says, all of them', () => {
  const sample = sheetOf(['3/4/2026', 'Tuesday', '5/6/2026', '25/4/2026', '4/25/2026'])
  const typed = readTypedSheet(sample)
  const question = questionOf(sample, typed, typed.unread)!
  expect(question.entry).toMatchObject({ text: '3/4/2026', reason: 'two-dates' })
  expect(question.ways.map(({ values, count }) => [dateText(values[0]!), count])).toEqual([
    ['2026-04-03', 2],
    ['2026-03-04', 2],
  ])
  const said = { ...sample, ...withSaid(sample, 'day', question.ways[1]!) }
  expect(daysRead(said)).toEqual(['2026-03-04', 'Tuesday', '2026-05-06', '25/4/2026', '2026-04-25'])
  const left = readTypedSheet(said).unread
  expect(left.map(({ reason }) => reason)).toEqual(['not-a-date', 'not-a-date'])
  expect(questionOf(said, readTypedSheet(said), left)).toBeUndefined()
})
