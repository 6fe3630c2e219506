import { checkCsv } from './run'

const toMean = (text: string, ...more: readonly string[]) =>
  checkCsv(['--column', 'mass', '--claim', 'mean at least 15 kg', ...more], text).result

test.each([
  ['depot;mass\n7;14,93\n8;15,02\n9;oops\n', '“oops” in row 4 of the column “mass” is not a number, so'],
  ['depot,mass\n7,\n8,15.02\n9,oops\n', '“oops” in row 4'],
  [
    'depot,mass\n7,x\n8,15\n8,y\n',
    '“x” in row 2 of the column “mass” is not a number, nor is one more entry, so',
  ],
  ['depot,mass\n7,x\n8,y\n8,z\n', 'nor are 2 more entries, so the column is one of texts. Correct them,'],
  ['depot,mass\n7,2026-01-14\n7,2026-01-15\n', 'The column “mass” is one of dates. Name another column.'],
])('what is no number in %j is named where it stands', (text, told) => {
  const { error } = toMean(text)
  expect(error).toMatchObject({ code: 'not-a-number', message: expect.stringContaining(told) })
})

test('of the rows that are kept the first that is no number is named', () => {
  const text = 'depot,mass\n7,x\n7,14.9\n8,y\n8,15\n'
  expect(toMean(text, '--where', 'depot = 8').error.message).toContain('“y” in row 4')
  expect(toMean('depot,mass\n7,x\n8,15\n', '--where', 'depot = 8').error.message).toContain('“x” in row 2')
  expect(toMean(text, '--by', 'depot').error.message).toContain('“x” in row 2')
})

// A column of texts by a space, a mark that is not shown or a word, each cell of which is a number or said to be missing.
test('a column whose every entry is a number is one of numbers, however it is padded', () => {
  const padded = 'depot,mass\n7,"14.93 "\n8,15.02\u200b\n8,15.1\n8,\u200b\n'
  const whole = toMean(padded)
  expect(whole).toMatchObject({ ok: true, sample: { n: 3, mean: (14.93 + 15.02 + 15.1) / 3 } })
  expect(toMean(padded, '--by', 'depot').groups).toMatchObject([
    { label: '7', n: 1 },
    { label: '8', n: 2, estimate: expect.closeTo(15.06, 12) },
  ])
  const said = 'depot;mass\n7;"1.014,93 "\n8;"1.015,02"\n9;n/a\n9;-\n'
  const numbers = ['--numbers', '1.234,5', '--missing', 'n/a']
  expect(toMean(said, ...numbers).error.message).toContain('“-” in row 5')
  expect(toMean(said, ...numbers, '--missing', '-')).toMatchObject({
    sample: { n: 2, mean: (1014.93 + 1015.02) / 2 },
  })
})

const late = (entries: readonly string[], success: string, ...more: readonly string[]) =>
  checkCsv(
    [...['--column', 'late', '--claim', 'share at most 5 %', '--success', success], ...more],
    `depot,late\n${entries.map((entry, at) => `${at % 2},${entry}\n`).join('')}`,
  ).result

test('what counts in a column of numbers is a number, however it is written', () => {
  const counted = ['1', '1.0', '01'].map((success) => late(['1.0', '0.0', '', '1'], success).sample)
  expect(counted).toEqual(Array(3).fill(expect.objectContaining({ n: 3, successes: 2 })))
  const commas = ['--column', 'late', '--claim', 'share at most 5 %', '--success', '1.0']
  expect(checkCsv(commas, 'depot;late\n0;1,0\n1;0,0\n').result.sample).toMatchObject({ n: 2, successes: 1 })
  expect(late(['1', '0'], 'yes').error.message).toContain('“late” is one of numbers. State the number')
  expect(late(['1', 'n/a', '0'], 'n/a', '--missing', 'n/a').error.code).toBe('not-a-number')
  expect(late(['yes', 'no', ''], ' ').error).toMatchObject({ code: 'missing', path: '--success' })
  expect(late(['0', '0'], '1').sample).toMatchObject({ n: 2, successes: 0 })
})

test.each([
  [['Yes', 'no', 'yes'], 'yes', '“Yes” in row 2 of “late” is --success “yes” but for how it is written'],
  [['no', '"yes  sir"'], 'yes sir', '“yes  sir” in row 3'],
  [['no', '1.0', 'x'], '1', '“1.0” in row 3'],
  [['no', 'cafe\u0301'], 'caf\u00e9', '“cafe\u0301” in row 3'],
])('entries of %j that are “%s” but for how they are written are asked about', (entries, success, told) => {
  expect(late(entries, success).error).toMatchObject({
    code: 'two-ways',
    message: expect.stringContaining(told),
  })
  expect(late(entries, success, '--by', 'depot').error.code).toBe('two-ways')
})

const kept = (entries: readonly string[], ...where: readonly string[]) =>
  toMean(
    `late,mass\n${entries.map((entry, at) => `${entry},${15 + at}\n`).join('')}`,
    ...where.flatMap((one) => ['--where', one]),
  )

test.each([
  [['yes', 'Yes', 'no'], 'late = yes', '“Yes” in the column “late” is the “yes” of --where but for how'],
  [['yes', 'no', 'NO'], 'late is not no', '“NO”'],
  [['yes', 'no', 'NO'], 'late one of maybe; no', '“late one of no; NO” takes both'],
  [['"north  east"', 'x', 'x'], 'late = north east or late = x', '“north  east”'],
])('rows of %j where “%s” are asked about', (entries, where, told) => {
  expect(kept(entries, where).error).toMatchObject({
    code: 'two-ways',
    path: '--where',
    message: expect.stringContaining(told),
  })
})

test('an entry that a condition names, or that is told apart by none, is not asked about', () => {
  const n = (...where: readonly string[]) => kept(['yes', 'Yes', 'no', 'no'], ...where).sample?.n
  expect(n('late one of yes; Yes')).toBe(2)
  expect(n('late = no')).toBe(2)
  expect(n('late is not yes', 'late is not Yes')).toBe(2)
  expect(n('late one of yes; no', 'late is not Yes')).toBe(3)
  expect(n('late is not empty')).toBe(4)
  expect(kept(['7', '07', '8', 'x'], 'late = 7').sample.n).toBe(2)
})

test('an entry that is no number is named where a condition compares it with one, not left out', () => {
  const where = (text: string, condition: string, ...more: readonly string[]) =>
    toMean(text, '--where', condition, ...more)
  const text = 'hours,mass,depot\n12,15,7\nabout 15,14,7\n9,13,8\n8,12,8\n'
  for (const more of [[], ['--by', 'depot']])
    expect(where(text, 'hours at least 9', ...more).error).toMatchObject({
      code: 'not-a-number',
      message: expect.stringContaining('“about 15” in row 3 of the column “hours”'),
    })
  expect(where(text, 'hours is not empty').sample.n).toBe(4)
  expect(where(text, 'hours at least 9', '--missing', 'about 15').sample).toMatchObject({ n: 2, mean: 14 })
  const padded = 'hours;mass\n"12,5 ";15\n9,5;14\n10,5;13\n'
  expect(where(padded, 'hours above 10').sample).toMatchObject({ n: 2, mean: 14 })
})

test('an entry that is left out by a condition is not asked about, and none may count', () => {
  expect(late(['Yes', 'no', 'no', 'yes'], 'yes', '--where', 'depot = 1').sample).toMatchObject({
    n: 2,
    successes: 1,
  })
  expect(late(['no', 'no'], 'yes').sample).toMatchObject({ n: 2, successes: 0 })
  expect(late(['no', '', 'yes', 'no'], 'yes', '--by', 'depot').groups).toMatchObject([
    { label: '0', n: 2, estimate: 0.5 },
    { label: '1', n: 1, estimate: 0 },
  ])
})
