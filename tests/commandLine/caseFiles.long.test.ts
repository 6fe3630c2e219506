import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { PNG } from 'pngjs'
import { writeCaseFile } from '@/casefile/write'
import { DELIVERIES as SHARE, exampleCase, SACKS } from '@tests/exampleCase'
import { signedFinding, withSigned } from '@tests/signedFinding'
import { run, BINARY } from './run'

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
    [['--spec', spec, '--where', 'ok = Yes'], '--where'],
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
