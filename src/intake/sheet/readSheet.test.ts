import { doubtsOf, guessFormat, type SheetFormat } from './format'
import { cellText, CHUNK_LENGTH, type Column } from './columns'
import { MAX_COLUMNS } from '@/desk/sampleDraft'
import { readSheet } from './readSheet'
import { bytesOf, piecesOf, PLAIN, read, textsOf } from '@tests/sheets'

async function problemOf(text: string | Uint8Array, format: Partial<SheetFormat> = {}, size = 1 << 16) {
  const bytes = typeof text === 'string' ? bytesOf(text) : text
  const sheet = await readSheet({ source: () => piecesOf(bytes, size), format: { ...PLAIN, ...format } })
  if (sheet.ok) throw new Error('a sheet where a problem was expected')
  return sheet.problem
}

test('numbers, codes and texts each get a column of their kind, decided from all cells', async () => {
  const { columns, rowCount } = await read('depot,mass,note\n7,14.93,ok\n8,,"a, b"\nx,1e3,"say ""hi"""\n')
  expect(rowCount).toBe(3)
  expect(columns.map(({ kind, name, missing }) => [kind, name, missing])).toEqual([
    ['category', 'depot', 0],
    ['number', 'mass', 1],
    ['category', 'note', 0],
  ])
  expect(columns.map(textsOf)).toEqual([
    ['7', '8', 'x'],
    ['14.93', '', '1000'],
    ['ok', 'a, b', 'say "hi"'],
  ])
})

test('a code keeps its zeros where one cell of its column is no number, however late', async () => {
  const codes = Array.from({ length: 3000 }, (_, i) => String(i % 40).padStart(3, '0'))
  const { columns } = await read(['code', ...codes, 'none of them'].join('\n'))
  expect(textsOf(columns[0]!).slice(0, 3)).toEqual(['000', '001', '002'])
})

test('more different texts than a dictionary holds become free text', async () => {
  const texts = Array.from({ length: 70_000 }, (_, i) => `delivery ${i}`)
  const { columns } = await read(['id', ...texts].join('\n'))
  expect(columns[0]).toMatchObject({ kind: 'text', length: 70_000 })
  expect(textsOf(columns[0]!)).toEqual(texts)
})

test('a cell that begins with a byte order mark keeps it, but for the first of the file', async () => {
  const texts = (column: Column) => Array.from({ length: column.length }, (_, row) => cellText(column, row))
  const codes = await read('\ufeffa,b\n\ufeffx,1\ny,2\n\ufeffx,3\n')
  expect(codes.names).toEqual(['a', 'b'])
  expect(texts(codes.columns[0]!)).toEqual(['\ufeffx', 'y', '\ufeffx'])
  const free = await read(
    `a,b\n${Array.from({ length: 70_000 }, (_, row) => `\ufeff${row} kg,1`).join('\n')}\n`,
  )
  expect(free.columns[0]!.kind).toBe('text')
  expect(texts(free.columns[0]!)[69_999]).toBe('\ufeff69999 kg')
})

test('columns longer than a chunk keep every cell', async () => {
  const values = Array.from({ length: CHUNK_LENGTH + 5 }, (_, i) => i / 8)
  const { columns } = await read(['x', ...values].join('\n'))
  const [column] = columns
  if (column?.kind !== 'number') throw new Error('not a column of numbers')
  expect(column.chunks.map(({ length }) => length)).toEqual([CHUNK_LENGTH, 5])
  expect(column.chunks.flatMap((chunk) => [...chunk])).toEqual(values)
})

test('a name as long as a sample keeps it is taken', async () => {
  const name = 'n'.repeat(500)
  const { columns } = await read(`a,${name}\n1,2\n`)
  expect(columns.map((column) => column.name)).toEqual(['a', name])
})

test('whoever gave the bytes of a file finds them as they were, a Buffer too', async () => {
  // Doubled quotes in a row that is not whole in its piece are read twice.
  const text = 'a,b\n1,"3/4"" bolt"\n2,"x"\n3,"""y"""\n'
  for (const cut of Array.from({ length: text.length }, (_, at) => at)) {
    const given = Buffer.from(text)
    const pieces = [given.subarray(0, cut), given.subarray(cut)].filter(({ length }) => length > 0)
    const sheet = await readSheet({ source: () => pieces, format: PLAIN })
    if (!sheet.ok) throw new Error(sheet.problem.message)
    expect(textsOf(sheet.value.columns[1]!)).toEqual(['3/4" bolt', 'x', '"y"'])
    expect(given.toString()).toBe(text)
  }
})

test('only the columns that are wanted are kept', async () => {
  const sheet = await readSheet({ source: () => [bytesOf('a,b\n1,x\n2,y\n')], format: PLAIN, wanted: ['b'] })
  expect(sheet.ok && sheet.value.columns.map(({ name }) => name)).toEqual(['b'])
})

test('words where nothing was measured are missing, and told of', async () => {
  const { columns, missingWords } = await read('x\n1\nn/a\n-\nn/a\n2')
  expect(columns[0]).toMatchObject({ kind: 'number', missing: 3 })
  expect(missingWords).toEqual([
    { column: 'x', word: 'n/a', count: 2 },
    { column: 'x', word: '-', count: 1 },
  ])
})

test.each<readonly [string, string | Uint8Array, Partial<SheetFormat>, string, RegExp]>([
  ['empty', '', {}, 'file-empty', /empty/],
  ['only a header', 'a,b\n', {}, 'no-rows', /header/],
  ['binary', Uint8Array.of(0x50, 0x4b, 3, 4, 0, 0), {}, 'file-not-text', /Line 1/],
  ['a quote never closed', 'a,b\n1,"x\n2,y\n', {}, 'quote-not-closed', /line 2/],
  ['text after a quote', 'a,b\n1,"x"y\n', {}, 'text-after-quote', /line 2, in column 2/],
  ['an uneven row', 'a,b\n1,2\n\n3\n', {}, 'uneven-row', /line 4 has 1 cell where the first row has 2/],
  [
    'mixed encodings',
    Uint8Array.of(0x61, 0x0a, 0xc3, 0xa4, 0x0a, 0xe4, 0x0a),
    {},
    'wrong-encoding',
    /line 3, in column 1/,
  ],
  [
    'a name too long',
    `a,${'n'.repeat(501)}\n1,2\n`,
    {},
    'name-too-long',
    /column 2 has 501 characters; at most 500/,
  ],
  ['a header twice', 'a,b,a\n1,2,3\n', {}, 'header-twice', /“a”/],
  [
    '500 columns',
    `${Array.from({ length: 500 }, (_, i) => `c${i}`).join(',')}\n`,
    {},
    'too-many-columns',
    /500/,
  ],
  ['a number too large', 'a\n1\n1e999\n', {}, 'number-too-large', /line 3, “1e999” in the column “a”/],
  ['a line that never ends', `a\n${'x'.repeat(5 * 1024 * 1024)}`, {}, 'cell-too-long', /line 2/],
])('a file with %s is refused, with the place', async (_, text, format, code, message) => {
  for (const size of [3, 1 << 16]) {
    const problem = await problemOf(text, format, Math.max(size, text.length > 1e6 ? 1 << 16 : 0))
    expect(problem.code).toBe(code)
    expect(problem.message).toMatch(message)
  }
})

test.each([
  [
    'depot;mass\n7;14,93\n8;15,02\n',
    { separator: ';', decimalMark: 'comma', header: 'first-row', encoding: 'utf-8' },
  ],
  ['depot,mass\n7,14.93\n', { separator: ',', decimalMark: 'point', header: 'first-row' }],
  ['14.93\n15.02\n', { separator: ',', header: 'none' }],
  ['a\tb\n"x, y"\t2\n', { separator: '\t', header: 'first-row' }],
  [
    Uint8Array.of(0x67, 0x72, 0xf6, 0xdf, 0x65, 0x0a, 0x31),
    { encoding: 'windows-1252', header: 'first-row' },
  ],
] as const)('guesses how %j is written', (text, expected) => {
  expect(guessFormat(typeof text === 'string' ? bytesOf(text) : text)).toMatchObject(expected)
})

test.each([
  ['a;b\n1.234,50;2\n', { thousands: '.', decimalMark: 'comma' }],
  ['a,b\n"1,234,567",2\n', { thousands: ',', decimalMark: 'point' }],
  ["a;b\n1'234.5;2\n", { thousands: "'", decimalMark: 'point' }],
  ['a;b\n1 234,5;2\n', { thousands: ' ', decimalMark: 'comma' }],
  ['a,b\n1234.5,2\n', { thousands: 'none', decimalMark: 'point' }],
  ['day\n14/01/2026\n', { dateOrder: 'day-first' }],
  ['day\n01/14/2026\n', { dateOrder: 'month-first' }],
  ['day\n2026-01-14\n', { dateOrder: 'year-first' }],
])('guesses how the numbers and dates of %j are written', (text, expected) => {
  expect(guessFormat(bytesOf(text))).toMatchObject(expected)
})

test.each([
  ['mass;depot\n1,234;7\n2,500;8\n', [{ about: 'thousands', example: '1,234' }]],
  ['day\n3/4/2026\n5/4/2026\n', [{ about: 'date-order', example: '3/4/2026' }]],
  ['mass;depot\n1,23;7\n2,500;8\n', []],
  ['mass,day\n14.930,14/01/2026\n', []],
])('what of %j can be read in two ways is asked about', (text, expected) => {
  const bytes = bytesOf(text)
  expect(doubtsOf(guessFormat(bytes), bytes)).toEqual(expected)
})

test('numbers in groups of three are read, and groups of any other size are texts', async () => {
  const grouped = await read('a;b\n1.234,5;1.23\n-12.345.678;2\n', {
    separator: ';',
    decimalMark: 'comma',
    thousands: '.',
  })
  expect(grouped.columns[0]).toMatchObject({ kind: 'number', chunks: [Float64Array.of(1234.5, -12345678)] })
  expect(grouped.columns[1]?.kind).toBe('category')
})

test('a column of dates is one, with missing days; one text among them makes it texts', async () => {
  const dated = await read('day,when\n14/01/2026,14/01/2026\n,soon\n15/01/2026 09:30,\n', {
    dateOrder: 'day-first',
  })
  const [day, when] = dated.columns
  expect([0, 1, 2].map((row) => cellText(day!, row))).toEqual(['2026-01-14', '', '2026-01-15 09:30'])
  expect(day).toMatchObject({ kind: 'date', missing: 1 })
  expect(when?.kind).toBe('category')
})

test('only the words that were said to be are taken for missing figures', async () => {
  const text = 'mass\n1\nn/a\nnil\n2\n'
  expect((await read(text, {}, 9)).columns[0]).toMatchObject({ kind: 'number', missing: 2 })
  const asked = async (missingWords: readonly string[]) => {
    const sheet = await readSheet({ source: () => [bytesOf(text)], format: PLAIN, missingWords })
    return sheet.ok && sheet.value.columns[0]
  }
  expect(await asked(['n/a', 'nil'])).toMatchObject({ kind: 'number', missing: 2 })
  expect(await asked(['n/a'])).toMatchObject({ kind: 'category', missing: 0 })
})

test('a sheet is looked at by its first rows', async () => {
  const source = function* () {
    for (const piece of ['a\n1\n2\n', '3\n4\n', '"never closed\n']) yield bytesOf(piece)
  }
  const sheet = await readSheet({ source, format: PLAIN, maxRows: 3 })
  expect(sheet.ok && sheet.value.rowCount).toBe(4)
})

test('a separator that is known is not guessed, whatever the texts hold', () => {
  const bytes = new TextEncoder().encode('a|b|c,1\nd|e|f,2\n')
  expect(guessFormat(bytes).separator).toBe('|')
  expect(guessFormat(bytes, ',').separator).toBe(',')
})

test('as many columns as are taken are read, and one more is refused by its number', async () => {
  const headed = (count: number) => Array.from({ length: count }, (_, at) => `c${at}`).join(',')
  const row = (count: number) => Array.from({ length: count }, (_, at) => at).join(',')
  const bytes = (count: number) => new TextEncoder().encode(`${headed(count)}\n${row(count)}\n`)
  const readColumns = (count: number) =>
    readSheet({ source: () => [bytes(count)], format: guessFormat(bytes(count)) })
  const max = await readColumns(MAX_COLUMNS)
  expect(max.ok && max.value.columns).toHaveLength(400)
  const more = await readColumns(MAX_COLUMNS + 1)
  expect(more.ok || more.problem.message).toContain('401')
})
