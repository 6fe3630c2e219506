import { spawn, spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { createInterface } from 'node:readline'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { PNG } from 'pngjs'
import { writeCaseFile } from '@/casefile/write'
import { DELIVERIES as SHARE, exampleCase, SACKS } from '@tests/exampleCase'
import { signedFinding, withSigned } from '@tests/signedFinding'

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
  const { status, stdout, stderr } = spawnSync(BINARY, args, { input, encoding: 'utf8', maxBuffer: 2 ** 28 })
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

describe('many documents, which other threads help with,', () => {
  const COUNT = 3000
  const documentAt = (at: number) => ({
    ...readings,
    id: String(at),
    evidence: { kind: 'readings', values: [14.9, 15.1, 15 + (at % 7) / 10, 14.7] },
  })
  const many = Array.from({ length: COUNT }, (_, at) => documentAt(at))

  test('are answered in order, each as it is by itself', () => {
    const { status, results } = run(['check'], lines(...many))
    expect(status).toBe(0)
    expect(results.map((line) => JSON.parse(line).id)).toEqual(many.map(({ id }) => id))
    for (const at of [0, 1234, COUNT - 1])
      expect(results[at]).toBe(run(['check'], lines(many[at])).results[0])
  })

  test('have the one that is refused in its place, and 1 at the end', () => {
    const texts = many.map((document) => JSON.stringify(document))
    const { status, results } = run(['check'], texts.with(2000, '{"id":').join('\r\n'))
    expect(status).toBe(1)
    expect(results).toHaveLength(COUNT)
    expect(results.flatMap((line, at) => (JSON.parse(line).ok ? [] : [at]))).toEqual([2000])
  })

  test('are written for people too', () => {
    const { results } = run(['check', '--pretty'], lines(...many))
    expect(results.join('\n')).toContain(run(['check', '--pretty'], lines(many.at(-1))).results.join('\n'))
    expect(results.filter((line) => line.includes('Test statistic')).length % COUNT).toBe(0)
  })
})

test('each document is answered as soon as its line is there', async () => {
  const child = spawn(BINARY, ['check'])
  const answers = createInterface({ input: child.stdout })[Symbol.asyncIterator]()
  for (const document of [readings, summary]) {
    child.stdin.write(lines(document))
    expect(JSON.parse((await answers.next()).value)).toMatchObject({ id: document.id })
  }
  child.stdin.end()
  expect(await answers.next()).toMatchObject({ done: true })
})

test('a line is ended by nothing that JSON may hold, however it comes in pieces', async () => {
  const document = { ...readings, id: `a\u2028b ${'ü'.repeat(200_000)}` }
  const { status, results } = run(['check'], lines(document, summary))
  expect([status, results.length]).toEqual([0, 2])
  expect(JSON.parse(results[0]!).id).toBe(document.id)
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

test('the compiled form of another bundle is not used, though it is as long, nor one that is broken', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-'))
  const load = `
    import { writeFileSync } from 'node:fs'
    import { compile } from ${JSON.stringify(path.resolve('scripts/loadCli.mjs'))}
    const { script, mark, main } = compile(${JSON.stringify(folder)})
    console.log(main(), script.cachedDataRejected)
    const file = ${JSON.stringify(folder)} + '/true-weight-' + process.version + '.compiled'
    if (process.argv[1] === 'keep') writeFileSync(file, Buffer.concat([Buffer.from(mark), script.createCachedData()]))
    if (process.argv[1] === 'break') writeFileSync(file, mark)`
  const said = (then = '') =>
    spawnSync(process.execPath, ['--input-type=module', '-e', load, then], { encoding: 'utf8' }).stdout.trim()
  const put = (mark: string, word: string) =>
    writeFileSync(
      path.join(folder, 'true-weight.cjs'),
      `/*${mark.repeat(32)}*/(function(exports, require, module, ask) { exports.main = () => '${word}' })`,
    )
  put('a', 'one')
  expect(said('keep')).toBe('one undefined')
  expect(said()).toBe('one false')
  put('b', 'two')
  expect(said('break')).toBe('two undefined')
  expect(said()).toBe('two true')
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

test('prints the JSON Schema of its requests', () => {
  const { status, results } = run(['schema'])
  const schema = JSON.parse(results.join(''))
  expect(status).toBe(0)
  expect(schema).toMatchObject({ $schema: 'https://json-schema.org/draft/2020-12/schema' })
  expect(schema.anyOf).toHaveLength(11)
})

test('a claim against each group of a column, and a whole specification against one file', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-'))
  const [file, spec] = ['log.csv', 'spec.csv'].map((name) => path.join(folder, name)) as [string, string]
  writeFileSync(
    file,
    'depot,mass,flue,ok\nnorth,14.9,158,yes\nnorth,15.1,161,no\nsouth,15.2,163,yes\nsouth,15.3,160,yes\nsouth,,,\neast,15,162,yes\n',
  )
  writeFileSync(
    spec,
    'characteristic,relation,value,unit,column\nmass,at least,15,kg,\nflue temperature,about,160,°C,\nflue,at most,160,°C,\nvoltage,at least,230,V,volts\n',
  )
  const asked = (...args: readonly string[]) => {
    const { status, results } = run(['check', '--csv', file, ...args])
    return { status, answer: JSON.parse(results[0]!) }
  }
  const claimed = ['--column', 'mass', '--claim', 'mean at least 15 kg'] as const
  const grouped = asked(...claimed, '--by', 'depot', '--adjust', 'benjamini-hochberg')
  expect(grouped).toMatchObject({
    status: 0,
    answer: {
      groups: [
        { label: 'north', n: 2 },
        { label: 'south', n: 2 },
        { label: 'east', why: expect.any(String) },
      ],
    },
  })
  const shares = asked(
    '--column',
    'ok',
    '--claim',
    'share at least 90 %',
    '--success',
    'yes',
    '--by',
    'depot',
  ).answer
  expect(shares.groups).toMatchObject([{ estimate: 0.5 }, { estimate: 1, n: 2 }, { estimate: 1 }])
  for (const [args, where] of [
    [[...claimed, '--by', 'shop'], 'csv'],
    [[...claimed, '--by', 'depot', '--adjust', 'none'], '--adjust'],
    [[...claimed, '--adjust', 'holm'], '--by'],
    [[...claimed, '--by', 'depot', '--lot', '40'], '--lot'],
    [['--spec', spec, '--lot', '40'], '--lot'],
    [['--spec', spec, '--column', 'mass'], '--column'],
    [['--spec', path.join(folder, 'none.csv')], '--spec'],
  ] as const)
    expect(asked(...args)).toMatchObject({ status: 1, answer: { ok: false, error: { path: where } } })
  const specified = asked('--spec', spec, '--where', 'ok = yes', '--alpha', '0.01')
  expect(specified.status).toBe(1)
  const [mass, about, flue, voltage] = specified.answer.specification
  expect(mass).toMatchObject({
    line: 2,
    column: 'mass',
    matched: 'named',
    answer: { ok: true, sample: { n: 4 }, test: { significanceLevel: 0.01 } },
    together: { pValue: expect.any(Number) },
  })
  expect(about.problem.message).toContain('“about” is no relation')
  expect(flue).toMatchObject({ column: 'flue', answer: { ok: true } })
  expect(voltage.problem.message).toContain('no column “volts”')
  const p = [mass, flue].map((line) => line.answer.test.pValue)
  expect(Math.min(...[mass, flue].map((line) => line.together.pValue))).toBe(Math.min(1, 2 * Math.min(...p)))
  const { results } = run(['check', '--csv', file, '--spec', spec, '--pretty'])
  expect(results).toHaveLength(4)
  expect(results[1]).toMatch(/^Line 3, flue temperature: refused\./)
})

test('answers every kind of request, and sums each up for people', () => {
  const requests = [
    { describe: { values: [1, 2, 3, 4, 100] } },
    { adjust: { pValues: [0.01, 0.04] } },
    { reckon: { distribution: { name: 'normal' }, upper: 0.025 } },
    { critical: { distribution: { name: 'binomial', n: 20, p: 0.5 }, levels: [0.05, 1e-7] } },
    { plan: { claim, assume: { value: 14.9, standardDeviation: 0.11 }, find: 'n', power: 0.9 } },
  ]
  const { status, results } = run(['check', '--pretty'], lines(...requests))
  expect(status).toBe(0)
  expect(results.join('\n')).toMatch(
    /mean 22.*Adjusted p-values: 0.02, 0.04.*at x = 1\.9599639845400.*At 5.%: lower 5, upper 15; both 5 and 15.*lower none, upper none.*with n = 12 a difference of 0.1 is found/s,
  )
})

describe('case files', () => {
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-case-'))
  const file = path.join(folder, 'case.zip')
  beforeAll(async () => {
    const pieces = []
    for await (const piece of writeCaseFile(exampleCase([SACKS, SHARE]))) pieces.push(piece)
    writeFileSync(file, Buffer.concat(pieces))
  })

  test('verify says whether one holds, and what is wrong with one that does not', () => {
    expect(run(['verify', file])).toMatchObject({
      status: 0,
      results: [
        expect.stringContaining('The chain holds: all 5 entries are as written'),
        'Every file has the hash that its manifest states, and everything in it follows from the trail (2 claims, 0 signed findings).',
      ],
    })
    const entries = unzipSync(readFileSync(file))
    const altered = path.join(folder, 'altered.zip')
    const claim = strFromU8(entries['claims/01.json']!).replace('15 kg net', '14 kg net')
    writeFileSync(altered, zipSync({ ...entries, 'claims/01.json': strToU8(claim) }))
    const { status, results } = run(['verify', altered])
    expect([status, results[0]]).toEqual([1, expect.stringContaining('claims/01.json was altered')])
  })

  test('verify reads a trail by itself', () => {
    const trail = path.join(folder, 'trail.ndjson')
    const lines = strFromU8(unzipSync(readFileSync(file))['trail.ndjson']!)
    writeFileSync(trail, lines)
    expect(run(['verify', trail])).toMatchObject({ status: 0 })
    writeFileSync(trail, lines.replace('A. Officer', 'B. Other'))
    expect(run(['verify', trail]).results[0]).toContain('broken at entry 1: it is not what was written')
    writeFileSync(trail, 'hello')
    expect(run(['verify', trail])).toMatchObject({
      status: 1,
      results: [expect.stringContaining('Line 1 is no entry')],
    })
  })

  test('report writes one beside it, or where it is told to, as the name of that says', () => {
    expect(run(['report', file, '--format', 'md'])).toMatchObject({
      status: 0,
      results: [path.join(folder, 'case.md')],
    })
    const output = path.join(folder, 'other.pdf')
    expect(run(['report', file, '--output', output])).toMatchObject({ status: 0, results: [output] })
    expect(readFileSync(output).toString('latin1', 0, 8)).toBe('%PDF-1.7')
    expect(readFileSync(path.join(folder, 'case.md'), 'utf8')).toMatch(/^# WH-099 Pellet sacks/)
  })

  test('report says what is not stated where that is asked for', () => {
    const output = path.join(folder, 'unstated.md')
    run(['report', file, '--output', output])
    expect(readFileSync(output, 'utf8')).not.toContain('Authorised by')
    run(['report', file, '--unstated', 'named', '--output', output])
    expect(readFileSync(output, 'utf8')).toContain('| Authorised by | not stated |')
  })

  test('report has the mark of an office above its title', () => {
    const mark = path.join(folder, 'mark.png')
    writeFileSync(mark, PNG.sync.write(new PNG({ width: 4, height: 2 })))
    const output = path.join(folder, 'marked.html')
    run(['report', file, '--mark', mark, '--output', output])
    expect(readFileSync(output, 'utf8')).toMatch(/<main[^>]*>\n<img class="mark"[^>]+width="4" height="2"/)
  })

  test('report writes one of a signed finding by the beginning of its fingerprint', async () => {
    const content = exampleCase([SACKS])
    const finding = await signedFinding(content, 1)
    const signed = path.join(folder, 'signed.zip')
    const pieces = []
    for await (const piece of writeCaseFile(withSigned(content, [finding]))) pieces.push(piece)
    writeFileSync(signed, Buffer.concat(pieces))
    const first = finding.fingerprint.slice(0, 8)
    const output = path.join(folder, `signed-finding-${first}.md`)
    expect(run(['report', signed, '--finding', first, '--format', 'md'])).toMatchObject({
      status: 0,
      results: [output],
    })
    expect(readFileSync(output, 'utf8')).toMatch(/^# WH-099 Pellet sacks: signed finding 1 of claim 1/)
    expect(run(['report', signed, '--finding', 'x']).stderr).toContain(
      `“x” begins the fingerprint of 0 signed findings. There are: ${finding.fingerprint.slice(0, 12)}.`,
    )
    expect(run(['report', file, '--finding', first]).stderr).toContain('Nothing is signed in this file.')
    expect(run(['verify', signed]).results.join('\n')).toContain('(1 claim, 1 signed finding).')
  })

  test.each([
    [['--format', 'odt'], 'There is no report in the format “odt”'],
    [['--parts', 'cover,colours'], '--parts takes some of these'],
    [['--decimals', '99'], '--decimals takes a whole number from 0 to 12'],
    [['--numbers', 'roman'], '--numbers takes'],
    [['--template', '/nowhere.dotx'], 'A report as pdf has no template'],
    [
      ['--format', 'docx', '--template', BINARY],
      'This is no template that a report can take its styles from',
    ],
    [['--format', 'md', '--mark', BINARY], 'A report as md has no mark. Say --format pdf or docx or html'],
    [['--mark', BINARY], 'This is no picture that a report can have as its mark'],
    [['--unstated', 'x'], '--unstated takes named, or left-out.'],
  ])('report %j is refused, and why', (options, message) => {
    const { status, stderr } = run(['report', file, ...options])
    expect([status, stderr]).toEqual([1, expect.stringContaining(message)])
  })

  test('a file that is not there is said not to be', () => {
    expect(run(['verify', path.join(folder, 'none.zip')])).toMatchObject({
      status: 2,
      stderr: expect.stringContaining('no such file'),
    })
  })
})
