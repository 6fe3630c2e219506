import { EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { asNumbers } from '../sheet/asNumbers'
import { changeOfReadings } from '../sheet/typedEdit'
import { readTypedSheet } from '../sheet/typedSheet'
import { FieldReader, ANY } from './fieldReader'
import { readReadings } from './readings'
import { trimmed } from './trimmed'

const WRITING = { mark: 'point', rules: [] } as const

test.each([
  ['14.93', '14.93'],
  [' \u202a14.93\u202c\u200b ', '14.93'],
  ['\u200e\u221214.93', '\u221214.93'],
  ['\u200b \ufeff \u200b', ''],
  ['', ''],
])('%j is seen as %j', (text, seen) => expect(trimmed(text)).toBe(seen))

test('a million of them are no more than nothing', () => {
  expect(trimmed(`${'\u200b '.repeat(1_000_000)}15`)).toBe('15')
})

// A soft hyphen may have been a minus, an override turns 51 into what looks like 15, and within a text anything may be meant.
test.each(['\u00ad14.93', '\u202e51', '\u202b-5', '1\u200b,5'])(
  '%j keeps what may be more than unseen',
  (text) => {
    expect(trimmed(text)).toBe(text)
    const { values, unread } = readReadings(`${text}\n15`, WRITING)
    expect(values).toEqual([15])
    expect(unread).toMatchObject([{ row: 0, text }])
  },
)

test('readings, cells, columns of texts and fields are read without it', () => {
  const { values, places, unread, lineCount } = readReadings(
    '14.93\u200b\n\u200b\n\u202a15.02\u202c',
    WRITING,
  )
  expect({ values, places, unread, lineCount }).toEqual({
    ...{ values: [14.93, 15.02], places: [0, 1], unread: [], lineCount: 3 },
  })
  const columns = ['depot', 'mass'].map((name) => ({
    ...{ name, label: '', unit: '', kind: 'number' as const, codes: '' },
  }))
  const sheet = readTypedSheet({ ...EMPTY_SAMPLE, readings: '7\t14.93\u200b\n8\t\u200b', columns })
  expect(sheet.unread).toEqual([])
  expect(sheet.columns[1]).toMatchObject({ chunks: [Float64Array.of(14.93, Number.NaN)], missing: 1 })
  const texts = {
    kind: 'text',
    name: 'mass',
    texts: ['14.93\u200b', '\u200b'],
    length: 2,
    missing: 0,
  } as const
  expect(asNumbers(texts, WRITING)).toMatchObject({
    column: { chunks: [Float64Array.of(14.93, Number.NaN)], missing: 1 },
    unread: [],
  })
  expect(new FieldReader({ value: '15\u200b' }, 'point').number('value', 'value', ANY)).toBe(15)
})

test('what is refused for a mark that is not shown is told so', () => {
  const fields = new FieldReader({ value: '\u00ad15', other: '15x' }, 'point')
  expect(fields.number('value', 'value', ANY) ?? fields.number('other', 'other', ANY)).toBeUndefined()
  expect(fields.problems.map(({ message }) => message)).toEqual([
    expect.stringContaining('it holds a mark that is not shown (U+00AD). Type it anew.'),
    expect.stringContaining('write digits only'),
  ])
})

test('a pasted block has the names and kinds of what is seen', () => {
  const block = 'mass\u200b\tdepot\n14.93\u200b\t7\n\u200b15.02\t8'
  const sheet = changeOfReadings(EMPTY_SAMPLE, block)
  expect(sheet.columns).toMatchObject([
    { name: 'mass', kind: 'number' },
    { name: 'depot', kind: 'number' },
  ])
  // Numbers are no names.
  const bare = changeOfReadings(EMPTY_SAMPLE, '14.93\u200b\t\u202a7\u202c\n15.02\t8')
  expect(readTypedSheet({ ...EMPTY_SAMPLE, ...bare }).rowCount).toBe(2)
})
