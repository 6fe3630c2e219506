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
