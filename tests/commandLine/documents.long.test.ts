import { spawn, spawnSync } from 'node:child_process'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { createInterface } from 'node:readline'
import { BINARY, run } from './run'

const claim = { parameter: 'mean', relation: 'at-least', value: 15 }
const readings = { id: 'readings', claim, evidence: { kind: 'readings', values: [14.93, 15.02, 14.88] } }
const summary = {
  id: 'summary',
  claim,
  evidence: { kind: 'summary', n: 24, mean: 14.929, variance: 0.011449 },
  test: { method: 'z', knownStandardDeviation: 0.1 },
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

test('prints the JSON Schema of its requests', () => {
  const { status, results } = run(['schema'])
  const schema = JSON.parse(results.join(''))
  expect(status).toBe(0)
  expect(schema).toMatchObject({ $schema: 'https://json-schema.org/draft/2020-12/schema' })
  expect(schema.anyOf).toHaveLength(11)
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
