import fc from 'fast-check'
import type { ReadRule } from '@/desk/sampleDraft'
import type { DecimalMark } from '@/desk/typed'
import { nextQuestion } from './questions'
import { type Readings, readReadings } from './readings'

const read = (text: string, mark: DecimalMark = 'point', rules: readonly ReadRule[] = []) =>
  readReadings(text, { mark, rules })

/** What may be said of the entries that are not read, as the readings that they then are. */
function asked(text: string, mark: DecimalMark = 'point', rules: readonly ReadRule[] = []) {
  const { unread, values } = read(text, mark, rules)
  const entries = unread.map((entry) => ({ ...entry, column: '' }))
  const isMarkUsed = values.some((value) => !Number.isInteger(value))
  return nextQuestion(entries, { mark, rules }, { isMarkUsed, isList: true })
}

test('reads a column, and values apart by spaces, commas and semicolons', () => {
  expect(read('14.93\r\n15.02; 14.88; 15.01\n').values).toEqual([14.93, 15.02, 14.88, 15.01])
  expect(read('14.93 15.02 15').values).toEqual([14.93, 15.02, 15])
  expect(read('12.5,12.7').values).toEqual([12.5, 12.7])
  expect(read('12.5, 12.7,').values).toEqual([12.5, 12.7])
  expect(read('12.5,130,14').values).toEqual([12.5, 130, 14])
  expect(read('12,5, 12,7', 'comma').values).toEqual([12.5, 12.7])
})

test('reads numbers in quotes, alone and in a list', () => {
  expect(read("\"14.93\"\n'15.02'\n“14.88”\n'15.5").values).toEqual([14.93, 15.02, 14.88, 15.5])
  expect(read('"12,5","12,7"', 'comma').values).toEqual([12.5, 12.7])
})

test('points at what is no number by its line, and reads the rest', () => {
  const { values, places, entries, unread, header } = read('Net mass\n14.93\n\n14,88\n15.0x 15.01\n15.01')
  expect(values).toEqual([14.93, 15.01])
  expect(places).toEqual([1, 4])
  expect(header).toBe('Net mass')
  expect(entries).toEqual(['Net mass', '14.93', '14,88', '15.0x 15.01', '15.01'])
  expect(unread).toEqual([
    { line: 4, start: 16, row: 2, text: '14,88', reason: 'other-decimal-mark' },
    { line: 5, start: 22, row: 3, text: '15.0x 15.01', reason: 'not-a-number' },
  ])
})

test('nothing typed is no readings', () => {
  const limits = { below: [], above: [] }
  expect(read('')).toEqual({ values: [], places: [], entries: [], unread: [], limits, lineCount: 1 })
})

test.each([
  ['Lot 7\n14.93\n15.02', 'Lot 7'],
  ['"Net mass (kg)"\n14.93', '"Net mass (kg)"'],
  ['Net mass\n12.5 g', 'Net mass'],
])('the first line of %j names the column', (text, header) => {
  expect(read(text).header).toBe(header)
})

test.each([
  'l4.93\n15.02',
  'O.5\n0.6',
  '14.9x\n15',
  'n/a\n15',
  'USD 12\n13',
  'fail\nfail',
  'Lot 7',
  'broken\n\nx',
])('the first line of %j is an entry, and is asked about', (text) => {
  expect(read(text)).toMatchObject({ unread: [{ row: 0 }, ...read(text).unread.slice(1)] })
  expect(read(text).header).toBeUndefined()
})

test('a header is an entry where somebody says so', () => {
  const { header, unread } = read('Lot 7\n14.93', 'point', [{ rule: 'entry', text: '' }])
  expect([header, unread[0]?.text]).toEqual([undefined, 'Lot 7'])
})

const values = (text: string, mark: DecimalMark = 'point') => asked(text, mark)?.ways.map((way) => way.values)

test.each<[string, DecimalMark, readonly (readonly number[])[]]>([
  ['998.5\n1,021.2\n999.4\n1,015.5', 'point', [[1021.2]]],
  ['1 234,5\n1 235,5\n1 236,5', 'comma', [[1234.5], [1, 234.5]]],
  ['1 234,5\n1 235,5\n1 236,5', 'point', [[1234.5], [1, 234.5]]],
  ['1\u00a0234,5', 'comma', [[1234.5], [1, 234.5]]],
  ['1\u202f234.5', 'point', [[1234.5], [1, 234.5]]],
  ['1\u2009234', 'point', [[1234], [1, 234]]],
  ["1'234.5", 'point', [[1234.5]]],
  ['1’234.5', 'point', [[1234.5]]],
  ['1.234,5', 'point', [[1234.5]]],
  ['1.234.567', 'point', [[1_234_567]]],
  ['1,234', 'point', [[1.234], [1234], [1, 234]]],
  ['12,13', 'point', [[12.13], [12, 13]]],
  ['12,13,14', 'point', [[12, 13, 14]]],
  ['101 102 103', 'point', [[101_102_103], [101, 102, 103]]],
  ['100,200,300', 'point', [[100_200_300], [100, 200, 300]]],
  ['12.5 g\n12.7 g', 'point', [[12.5]]],
  ['12.5g', 'point', [[12.5]]],
  ['12 %', 'point', [[12]]],
  ['$83,210', 'point', [[83.21], [83_210]]],
  ['$83,210.50', 'point', [[83_210.5]]],
  ['-$5', 'point', [[-5]]],
  ['EUR 12,50', 'comma', [[12.5]]],
  ['12.5 widgets\n12.7 widgets', 'point', [[12.5]]],
  ['12,5\n12.7', 'point', [[12.5], [12, 5]]],
  ['n/a\n12.7', 'point', [[Number.NaN]]],
  ['1\t12.5\n2\t12.7', 'point', [[1, 12.5]]],
  ['1;12.5\n2;12.7', 'point', [[1, 12.5]]],
  ['1 12.5\n2 12.7', 'point', [[1, 12.5]]],
  ['1,5 2,5', 'point', [[1.5, 2.5]]],
])('%j with the decimal %s is asked about', (text, mark, ways) => {
  expect(new Set(values(text, mark)!.map(String))).toEqual(new Set(ways.map(String)))
})

test.each([
  '<<0.5',
  '12.5 n.d.',
  '15.0x',
  '12:30',
  '1/2',
  '2026-01-14',
  '(12.5)',
  '±3',
  '12.5 kg net mass',
  'heavy',
])('%j is read in no way', (text) => {
  expect(values(`12.25\n${text}`)).toBeUndefined()
  expect(read(`12.25\n${text}`).unread).toHaveLength(1)
})

test('one saying reads all such entries, and leaves the others', () => {
  const text = '998.5\n1,021.2\n997.0\n1,015.5\n12,5\n"1,011.7"'
  const [way] = asked(text)!.ways
  expect(way).toMatchObject({ count: 3, rules: [{ rule: 'thousands', text: ',' }] })
  const said = read(text, way!.mark, way!.rules)
  expect(said.values).toEqual([998.5, 1021.2, 997, 1015.5, 1011.7])
  expect(said.unread).toMatchObject([{ text: '12,5', line: 5 }])
  expect(asked(text, way!.mark, way!.rules)!.ways[0]).toMatchObject({ values: [12.5] })
})

test('a line of very many spaces is asked about at once', () => {
  const long = `1${' '.repeat(200_000)}heavy`
  expect(read(long).unread).toHaveLength(1)
  expect(asked(long)).toBeUndefined()
})

test('what four digits begin, or a comma and a space part, is a list', () => {
  expect(read('1234 567').values).toEqual([1234, 567])
  expect(read('12, 13').values).toEqual([12, 13])
})

test('a mark beside the usual one is none before three digits, which may be thousands', () => {
  const { values: seen, unread } = read('12,5\n1,234', 'point', [{ rule: 'decimals', text: ',' }])
  expect([seen, unread.map(({ text }) => text)]).toEqual([[12.5], ['1,234']])
})

test('a word that stands for nothing, one that comes again, and a row of a sheet name no column', () => {
  for (const text of ['missing\n15', 'fail\n15\nfail', 'Net mass\tline\n12.5\tA'])
    expect(read(text).header).toBeUndefined()
})

test('what can be read in the fewest ways is asked about first', () => {
  expect(asked('1,234\n1,021.2')!.entry.text).toBe('1,021.2')
})

test('a second unit is not taken off beside the first', () => {
  const rules = [{ rule: 'unit', text: 'g' }] as const
  const { values: grams, unread } = read('12.5 g\n12.7 kg', 'point', rules)
  expect([grams, unread.map(({ text }) => text)]).toEqual([[12.5], ['12.7 kg']])
  expect(asked('12.5 g\n12.7 kg', 'point', rules)).toBeUndefined()
})

/** Common ways of writing a number, each with the marks that it is read by. */
const WRITINGS: readonly (readonly [string, DecimalMark, (value: number) => string])[] = [
  ['plain', 'point', String],
  ['comma', 'comma', (value) => String(value).replace('.', ',')],
  ['comma by a point', 'point', (value) => String(value).replace('.', ',')],
  ['english', 'point', (value) => value.toLocaleString('en', { maximumFractionDigits: 3 })],
  ['german', 'comma', (value) => value.toLocaleString('de', { maximumFractionDigits: 3 })],
  ['french', 'comma', (value) => value.toLocaleString('fr', { maximumFractionDigits: 3 })],
  ['swiss', 'point', (value) => value.toLocaleString('de-CH', { maximumFractionDigits: 3 })],
  [
    'spaced',
    'comma',
    (value) => value.toLocaleString('fr', { maximumFractionDigits: 3 }).replace(/\s/g, ' '),
  ],
  [
    'spaced by a point',
    'point',
    (value) => value.toLocaleString('en', { maximumFractionDigits: 3 }).replace(/,/g, ' '),
  ],
  ['with a unit', 'point', (value) => `${value} g`],
  ['in quotes', 'point', (value) => `"${value}"`],
  ['dollars', 'point', (value) => `$${value.toLocaleString('en', { maximumFractionDigits: 3 })}`],
]
const SEPARATORS = ['\n', '\r\n', '\t', ' ', ';', '; ', ', ', ',', '\u00a0', '\n\n']
const number = fc
  .tuple(fc.integer({ min: -9_999_999, max: 9_999_999 }), fc.constantFrom(1, 10, 100, 1000))
  .map(([whole, over]) => whole / over + 0)

test('what is read is the list that was written, or a question is asked; never another list', () => {
  const input = fc.record({
    list: fc.array(number, { minLength: 1, maxLength: 8 }),
    writing: fc.constantFrom(...WRITINGS),
    between: fc.constantFrom(...SEPARATORS),
  })
  fc.assert(
    fc.property(input, ({ list, writing: [, mark, write], between }) => {
      // With nothing but the stated decimal mark between them, two whole numbers are one with decimals.
      fc.pre(!(mark === 'comma' && between === ','))
      const seen: Readings = read(list.map(write).join(between), mark)
      expect(seen.unread.length > 0 || seen.values.join() === list.join()).toBe(true)
    }),
    { numRuns: 5000 },
  )
})

test('the list that was written is among the ways that are offered, one a line', () => {
  const input = fc.record({
    list: fc.array(number, { minLength: 1, maxLength: 6 }),
    writing: fc.constantFrom(...WRITINGS),
  })
  fc.assert(
    fc.property(input, ({ list, writing: [, mark, write] }) => {
      const text = list.map(write).join('\n')
      const found = [{ mark, rules: [] as readonly ReadRule[] }]
      const reached = new Set<string>()
      for (const { mark: by, rules } of found) {
        const { values: seen, unread } = read(text, by, rules)
        if (unread.length === 0) reached.add(seen.join())
        else if (found.length < 200) found.push(...(asked(text, by, rules)?.ways ?? []))
      }
      expect([...reached]).toContain(list.join())
    }),
    { numRuns: 1500 },
  )
})
