import fc from 'fast-check'
import { wordsOf } from '@/words/en/rowConditionWords'
import { readRowConditions, testCells } from '../reading/rowCondition'
import { guessFormat } from './format'
import { readSheet, type Sheet } from './readSheet'
import { takeReadings, viewOf } from './takeReadings'

async function sheetOf(text: string): Promise<Sheet> {
  const sheet = await readSheet({
    source: () => [new TextEncoder().encode(text)],
    format: guessFormat(new TextEncoder().encode(text)),
  })
  if (!sheet.ok) throw new Error(sheet.problem.message)
  return sheet.value
}

const LOG = `depot,mass,shift,late,day
7,14.93,north,no,14/01/2026
8,15.02,south,,15/01/2026
7,,north,yes,31/01/2026
9,14.8,,no,
`

async function taken(column: string, where: string) {
  const kept = readRowConditions(where)
  return kept.ok
    ? takeReadings(await sheetOf(LOG), {
        column,
        kept: kept.value,
        mark: 'point',
        writing: { mark: 'point', rules: [] },
      })
    : kept
}

test.each([
  ['', [14.93, 15.02, 14.8]],
  ['depot = 7', [14.93]],
  ['depot != 7', [15.02, 14.8]],
  ['depot >= 8 and mass < 15', [14.8]],
  ['shift = north', [14.93]],
  ['shift != north', [15.02, 14.8]],
  ['late = ', [15.02]],
  ['mass > 14.9', [14.93, 15.02]],
  ['depot is 7', [14.93]],
  ['depot is not 7', [15.02, 14.8]],
  ['depot one of 7, 9', [14.93, 14.8]],
  ['depot is between 8 and 9 and late is no', [14.8]],
  ['mass above 15 or shift is empty', [15.02, 14.8]],
  ['shift is not empty', [14.93, 15.02]],
  ['day is 2026-01-14', [14.93]],
  ['day above 2026-01-14', [15.02]],
  ['day between 2026-01-01 and 2026-01-15', [14.93, 15.02]],
  ['day is empty', [14.8]],
])('the masses of the rows where “%s”', async (where, expected) => {
  expect(await taken('mass', where)).toMatchObject({ ok: true, value: { values: expected } })
})

test('what is taken is known by its rows, and rows without a number are counted', async () => {
  expect(await taken('mass', 'depot is 7')).toEqual({
    ok: true,
    value: { values: [14.93], rows: [0], keptCount: 2, unread: [] },
  })
})

test('a condition is said in words that are read back as the same', () => {
  for (const words of [
    'depot is one of 7, 9',
    'mass is between 14 and 15',
    'shift is empty',
    'mass is at least 2',
  ]) {
    const kept = readRowConditions(words)
    expect(kept.ok && kept.value.map((list) => list.map(wordsOf))).toEqual([[words]])
  }
})

test.each([
  ['mass', 'depot', 'condition-not-read', /depot = 7/],
  ['mass', 'shift < north', 'condition-not-read', /Only numbers and dates/],
  ['mass', 'line = 3', 'column-not-found', /“line”.*depot, mass, shift, late/],
  ['mass', 'day above north', 'condition-not-read', /2026-01-14/],
  [
    'mass',
    'depot is not seven',
    'condition-not-read',
    /“depot” is a column of numbers, and “depot is not seven”.*“seven”.*such as 7/,
  ],
  ['mass', 'depot one of 7, eight', 'condition-not-read', /“eight”/],
  ['mass', 'depot = 7 or depot = 1,008', 'condition-not-read', /State 1008 or 1.008, whichever is meant/],
  ['mass', 'mass above 2026-01-14', 'condition-not-read', /column of numbers.*“2026-01-14”/],
  ['mass', 'mass between 14 and 2026-01-14', 'condition-not-read', /Only numbers and dates/],
  [
    'mass',
    'day is not 14.01.2026',
    'condition-not-read',
    /“day” is a column of dates.*“14.01.2026”.*State a date as 2026-01-14/,
  ],
  ['mass', 'day above 14', 'condition-not-read', /column of dates.*“14”/],
  ['mass', 'shift one of north; south, east', 'condition-not-read', /by semicolons alone/],
  ['shift', '', 'not-numbers', /“shift” is a column of categories, such as “north” in row 1/],
])('%s where “%s” is refused', async (column, where, code, message) => {
  const refused = await taken(column, where)
  expect(refused).toMatchObject({ ok: false, problem: { code } })
  expect(!refused.ok && refused.problem.message).toMatch(message)
})

test.each([
  ['40,000', '', '“40,000” can be read in more than one way. Write 40000 or 40.000'],
  ['1,234.5', '', 'Write 1234.5'],
  ['1', '1 234', 'Write 1234'],
])('a condition between “%s” and “%s” is asked about', (value, upTo, message) => {
  const relation = upTo === '' ? 'above' : 'between'
  const test = testCells({ column: 'mass', relation, value, upTo }, 'point')
  expect(!test.ok && test.problem.message).toContain(message)
})

test('what a list names is separated by commas or by semicolons, and a comma within a number is asked about', () => {
  const among = (value: string, mark: 'comma' | 'point') => {
    const test = testCells({ column: 'mass', relation: 'one-of', value, upTo: '' }, mark)
    return test.ok ? test.value.among : test.problem.message
  }
  expect(among('1,5; 2,5;', 'comma')).toEqual(['1,5', '2,5'])
  expect(among('7, 8', 'comma')).toEqual(['7', '8'])
  expect(among('1.5,2.5', 'point')).toEqual(['1.5', '2.5'])
  expect(among('a b;c', 'point')).toEqual(['a b', 'c'])
  for (const [value, mark] of [
    ['7,8', 'comma'],
    ['1,5, 2', 'comma'],
    ['1,5; 2', 'point'],
    ['a, b; c', 'comma'],
  ] as const)
    expect(among(value, mark)).toBe(
      `“${value}” can be read in more than one way. Separate what is listed by semicolons alone, such as 7; 8.`,
    )
})

test('a sheet is shown by its first rows and what is missing', async () => {
  const view = viewOf(await sheetOf(LOG))
  expect(view.rowCount).toBe(4)
  expect(view.columns[1]).toEqual({ name: 'mass', kind: 'number', missing: 1 })
  expect(view.rows[1]).toEqual(['8', '15.02', 'south', '', '2026-01-15'])
})

test.each([
  ['12.5 g', '12.6 g', '12.5 g'],
  ['$83,210', '$1,200', '$83,210'],
  ['AB-12', 'AB-13', undefined],
  ['line 2', 'line 3', undefined],
  ['n/a 1', '-', undefined],
])('of texts such as “%s” a sheet says whether they can be read as numbers', async (first, second, like) => {
  const sheet = await sheetOf(`depot\tmass\n1\t${first}\n2\t${second}\n3\t${first}\n`)
  expect(viewOf(sheet).columns[1]).toEqual({
    name: 'mass',
    kind: 'category',
    missing: 0,
    ...(like ? { likeNumber: like } : {}),
  })
})

test('a row is kept by exactly one of a condition and its contrary', () => {
  const contrary = { '=': '!=', '<': '>=', '>': '<=' } as const
  fc.assert(
    fc.property(
      fc.constantFrom('=', '<', '>'),
      fc.integer({ min: -5, max: 5 }),
      fc.integer({ min: -5, max: 5 }),
      (sign, limit, value) => {
        const holds = (one: string) => {
          const conditions = readRowConditions(`x ${one} ${limit}`)
          const cells = conditions.ok && testCells(conditions.value[0]![0]!, 'point')
          return cells && cells.ok && cells.value.holdsNumber(value)
        }
        expect(holds(sign)).toBe(!holds(contrary[sign as '=']))
      },
    ),
  )
})
