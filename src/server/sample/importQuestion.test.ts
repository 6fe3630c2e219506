import { readImportQuestion } from './importQuestion'

const FORMAT = {
  separator: ';',
  encoding: 'utf-8',
  decimalMark: 'comma',
  thousands: '.',
  dateOrder: 'day-first',
  header: 'first-row',
}
const asked = (question: unknown) =>
  readImportQuestion(new URLSearchParams({ question: JSON.stringify(question) }))

test('a file is named, and how it is written may be said', () => {
  const question = { fileName: 'log.csv', by: 'A. Officer', format: FORMAT, missingWords: ['n/a'] }
  expect(asked(question)).toEqual({ ok: true, value: question })
  expect(asked({ fileName: 'log.csv', by: '' }).ok).toBe(true)
})

test.each([
  ['no name', { by: '' }, 'fileName'],
  [
    'an unknown separator',
    { fileName: 'a', by: '', format: { ...FORMAT, separator: '#' } },
    'format.separator',
  ],
  ['an unknown field', { fileName: 'a', by: '', folder: '/etc' }, 'folder'],
  ['words that are no list', { fileName: 'a', by: '', missingWords: 'n/a' }, 'missingWords'],
])('%s is refused by name', (_, question, named) => {
  const read = asked(question)
  expect(!read.ok && read.problem.message).toContain(named)
})

test.each(['', '{', 'log.csv'])('the question %j is no JSON', (text) => {
  const read = readImportQuestion(new URLSearchParams({ question: text }))
  expect(read).toMatchObject({ ok: false, problem: { code: 'not-json' } })
})
