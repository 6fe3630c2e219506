import { spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'

const BINARY = path.join(process.cwd(), 'bin/true-weight')
const claim = { parameter: 'mean', relation: 'at-least', value: 15 }
const readings = { id: 'readings', claim, evidence: { kind: 'readings', values: [14.93, 15.02, 14.88] } }
const summary = {
  id: 'summary',
  claim,
  evidence: { kind: 'summary', n: 24, mean: 14.929, variance: 0.011449 },
  test: { method: 'z', knownStandardDeviation: 0.1 },
}

function run(args: readonly string[], input = '') {
  const { status, stdout, stderr } = spawnSync(BINARY, args, { input, encoding: 'utf8' })
  const results = stdout.split('\n').filter(Boolean)
  return { status, results, stderr }
}

const lines = (...documents: readonly unknown[]) =>
  documents.map((document) => `${JSON.stringify(document)}\n`).join('')

test('answers documents in order, from standard input', () => {
  const { status, results } = run(['check', '-'], lines(readings, summary))
  const [first, second] = results.map((line) => JSON.parse(line))
  expect(status).toBe(0)
  expect(first).toMatchObject({ id: 'readings', ok: true, test: { method: 't' } })
  expect(second).toMatchObject({
    id: 'summary',
    ok: true,
    test: { method: 'z', distribution: { name: 'normal' } },
  })
})

test('reads a file, with a byte order mark, CRLF and empty lines', () => {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'true-weight-')), 'checks.ndjson')
  writeFileSync(file, `\ufeff${JSON.stringify(readings)}\r\n\r\n${JSON.stringify(summary)}`)
  const { status, results } = run(['check', file])
  expect(status).toBe(0)
  expect(results).toHaveLength(2)
})

test('a line that is refused gives its error in its place, and 1 at the end', () => {
  const { status, results } = run(['check'], `${lines(readings)}{"id":\n${lines({ ...summary, claim: {} })}`)
  const [, broken, refused] = results.map((line) => JSON.parse(line))
  expect(status).toBe(1)
  expect(broken).toMatchObject({ ok: false, error: { code: 'not-json' } })
  expect(refused).toMatchObject({
    id: 'summary',
    ok: false,
    error: { code: 'missing', path: 'claim.parameter' },
  })
})

test('ends quietly when nobody reads on', () => {
  const many = lines(...Array.from({ length: 500 }, () => readings))
  const { stdout, stderr } = spawnSync('bash', ['-c', `"${BINARY}" check | head -n 1`], {
    input: many,
    encoding: 'utf8',
  })
  expect(JSON.parse(stdout)).toMatchObject({ ok: true })
  expect(stderr).toBe('')
})

test('prints a summary for people', () => {
  const { results } = run(['check', '--pretty'], lines(summary))
  expect(results[0]).toContain('summary: Contradicted.')
})

test.each([
  [['check', '/nowhere/at/all'], 'there is no such file'],
  [['check', '/'], 'it is a folder'],
  [['weigh'], 'Usage: true-weight check'],
  [['check', '--fast'], "Unknown option '--fast'"],
])('%j cannot run: 2, and why', (args, reason) => {
  const { status, stderr, results } = run(args)
  expect(status).toBe(2)
  expect(stderr).toContain(reason)
  expect(results).toEqual([])
})

const DELIVERIES = `\ufeffdepot,mass,"late, or not"\r\n7,14.93,no\r\n7,15.02,yes\r\n8,99,no\r\n7,14.88,no\r\n7,,no\r\n7,14.91,"no"\r\n7,14.97,no\r\n`

function runCsv(args: readonly string[], text = DELIVERIES) {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'true-weight-')), 'deliveries.csv')
  writeFileSync(file, text)
  const { status, results, stderr } = run(['check', '--csv', file, ...args])
  return { status, result: results[0] === undefined ? undefined : JSON.parse(results[0]), stderr }
}

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

test('reads semicolons and decimal commas as they are', () => {
  const { result } = runCsv(
    ['--column', 'mass', '--claim', 'mean at least 15'],
    'depot;mass\n7;14,9\n7;15,1\n',
  )
  expect(result.sample).toMatchObject({ n: 2, mean: 15 })
})

test('prints the JSON Schema of its requests', () => {
  const { status, results } = run(['schema'])
  const schema = JSON.parse(results.join(''))
  expect(status).toBe(0)
  expect(schema).toMatchObject({ $schema: 'https://json-schema.org/draft/2020-12/schema' })
  expect(schema.anyOf).toHaveLength(5)
})

test('answers every kind of request, and sums each up for people', () => {
  const requests = [
    { describe: { values: [1, 2, 3, 4, 100] } },
    { adjust: { pValues: [0.01, 0.04] } },
    { reckon: { distribution: { name: 'normal' }, upper: 0.025 } },
    { plan: { claim, assume: { value: 14.9, standardDeviation: 0.11 }, find: 'n', power: 0.9 } },
  ]
  const { status, results } = run(['check', '--pretty'], lines(...requests))
  expect(status).toBe(0)
  expect(results.join('\n')).toMatch(
    /mean 22.*Adjusted p-values: 0.02, 0.04.*at x = 1\.9599639845400.*with n = 12 a difference of 0.1 is found/s,
  )
})
