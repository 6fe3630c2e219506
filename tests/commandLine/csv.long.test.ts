import { checkCsv } from './run'

const DELIVERIES = `\ufeffdepot,mass,"late, or not"\r\n7,14.93,no\r\n7,15.02,yes\r\n8,99,no\r\n7,14.88,no\r\n7,,no\r\n7,14.91,"no"\r\n7,14.97,no\r\n`

const runCsv = (args: readonly string[], text = DELIVERIES) => checkCsv(args, text)

test('checks one column of a CSV file, of the rows that are kept', () => {
  const { status, result } = runCsv([
    ...['--column', 'mass', '--where', 'depot = 7', '--claim', 'mean at least 15 kg', '--alpha', '0.1'],
  ])
  expect(status).toBe(0)
  expect(result).toMatchObject({
    sample: { n: 5 },
    test: { method: 't', significanceLevel: 0.1 },
    hypotheses: { null: { relation: '≥', value: 15 } },
  })
  expect(result.finding.sentence).toContain('the mean is at least 15\u202fkg')
})

test('counts a value of a column for a share, and reads a tolerance', () => {
  const share = runCsv([
    ...['--column', 'late, or not', '--success', 'no', '--claim', 'share at least 95 %', '--lot', '500'],
  ])
  expect(share.result).toMatchObject({
    sample: { n: 7, successes: 6 },
    estimate: { parameter: 'proportion' },
  })
  const within = runCsv([
    ...['--column', 'mass', '--where', 'mass < 20', '--claim', 'median within 14.5 to 15.5 kg'],
  ])
  expect(within.result.hypotheses.null).toMatchObject({ relation: 'outside', lower: 14.5, upper: 15.5 })
})

test.each([
  [
    'no such column',
    ['--column', 'weight', '--claim', 'mean at least 15'],
    'column-not-found',
    /depot, mass/,
  ],
  ['no column named', ['--claim', 'mean at least 15'], 'missing', /--column/],
  [
    'a claim that cannot be read',
    ['--column', 'mass', '--claim', 'about 15 kg'],
    'claim-not-read',
    /about 15 kg/,
  ],
  [
    'a condition that cannot be read',
    ['--column', 'mass', '--claim', 'mean at least 15', '--where', 'depot'],
    'condition-not-read',
    /depot = 7/,
  ],
  [
    'a condition that nothing meets',
    ['--column', 'mass', '--claim', 'mean at least 15', '--where', 'depot = 9'],
    'no-rows',
    /mass/,
  ],
  [
    'texts in the column',
    ['--column', 'late, or not', '--claim', 'mean at least 15'],
    'not-a-number',
    /“no”/,
  ],
  [
    'a share without its success',
    ['--column', 'late, or not', '--claim', 'share at least 95 %'],
    'missing',
    /--success/,
  ],
  [
    'a lot size that is no number',
    ['--column', 'mass', '--where', 'depot = 7', '--claim', 'mean at least 15', '--lot', 'abc'],
    'wrong-type',
    /“abc”.*lotSize/,
  ],
  [
    'a level that is no number',
    ['--column', 'mass', '--claim', 'mean at least 15', '--alpha', 'five'],
    'wrong-type',
    /five/,
  ],
] as const)('a CSV check with %s is refused', (_, args, code, message) => {
  const { status, result } = runCsv(args)
  expect(status).toBe(1)
  expect(result.error).toMatchObject({ code })
  expect(result.error.message).toMatch(message)
})

test.each([
  ['empty', '', 'file-empty'],
  ['of uneven rows', 'mass,depot\n1,2\n3\n', 'uneven-row'],
  ['with a word among its numbers', 'mass\n1\nn/a\n2\n', 'missing-words'],
])('a CSV file that is %s is refused', (_, text, code) => {
  const { result } = runCsv([...['--column', 'mass', '--claim', 'mean at least 15']], text)
  expect(result.error).toMatchObject({ code })
})

test('a word where nothing was measured is asked about, and left out when it is said to be one', () => {
  const text = 'mass\n14.9\nn/a\n15.1\n14.8\n'
  const { result } = runCsv(['--column', 'mass', '--claim', 'mean at least 15', '--missing', 'n/a'], text)
  expect(result.sample).toMatchObject({ n: 3 })
})

describe('what of a CSV file can be read in two ways', () => {
  const args = ['--column', 'mass', '--claim', 'mean at least 2']
  const GROUPS = 'depot;mass\n7;1,234\n7;1,250\n7;1,239\n'

  test('is asked about', () => {
    const { status, result } = runCsv(args, GROUPS)
    expect(status).toBe(1)
    expect(result.error).toMatchObject({ code: 'two-ways', path: 'csv' })
    expect(result.error.message).toContain('“1,234” can be read in two ways: as 1234 and as 1.234.')
  })

  test.each([
    ['1,234.5', GROUPS, 1241],
    ['1234,5', GROUPS, 1.241],
    ['1.234,5', GROUPS.replaceAll(',', '.'), 1241],
    ['1234.5', GROUPS.replaceAll(',', '.'), 1.241],
    ['1 234,5', GROUPS.replaceAll(',', ' '), 1241],
  ])('is read as --numbers "%s" says', (numbers, text, mean) => {
    const { result } = runCsv([...args, '--numbers', numbers], text)
    expect(result.sample).toMatchObject({ n: 3, mean: expect.closeTo(mean, 9) })
  })

  const DAYS = 'day,mass\n3/4/2026,1.5\n4/4/2026,1.6\n3/5/2026,1.7\n4/5/2026,1.9\n'
  const since = ['--where', 'day at least 2026-04-04']
  test.each([
    ['day-first', 3],
    ['month-first', 2],
  ])('dates are those that --dates %s says', (dates, n) => {
    expect(runCsv([...args, ...since], DAYS).result.error.message).toContain('--dates day-first')
    const { result } = runCsv([...args, ...since, '--dates', dates], DAYS)
    expect(result.sample).toMatchObject({ n })
  })

  test.each([
    ['--numbers', '1,234,5'],
    ['--numbers', 'comma'],
    ['--dates', 'backwards'],
  ])('%s "%s" is no choice', (option, value) => {
    expect(runCsv([...args, option, value], GROUPS).result.error).toMatchObject({
      code: 'not-a-choice',
      path: option,
    })
  })
})

test('reads semicolons and decimal commas as they are', () => {
  const { result } = runCsv(
    ['--column', 'mass', '--claim', 'mean at least 15'],
    'depot;mass\n7;14,9\n7;15,1\n',
  )
  expect(result.sample).toMatchObject({ n: 2, mean: 15 })
})

test('a column is held against a limit, and its rows are taken by clusters', () => {
  const csv = 'mass,pallet\n15.1,a\n14.9,a\n15.3,b\n15.2,b\n14.7,c\n15.0,c\n'
  const asked = (text: string, ...args: readonly string[]) =>
    runCsv(['--column', 'mass', ...args], text).result
  const mean = asked(csv, '--claim', 'mean at least 15 kg', '--cluster', 'pallet')
  expect(mean).toMatchObject({ test: { method: 'cluster-t' }, sample: { clusters: 3 } })
  const share = asked(
    csv,
    '--claim',
    'share at least 90 %',
    '--limit',
    'at least 14.9',
    '--method',
    'exact-binomial',
  )
  expect(share).toMatchObject({ sample: { n: 6, successes: 5 } })
  expect(asked(csv, '--claim', 'share at least 90 %', '--limit', '14.9').error).toMatchObject({
    path: '--limit',
  })
  const unnamed = asked(
    csv.replace('15.2,b', '15.2,'),
    '--claim',
    'mean at least 15 kg',
    '--cluster',
    'pallet',
  )
  expect(unnamed.error).toMatchObject({
    path: '--cluster',
    message: expect.stringContaining('Row 5') as string,
  })
})
