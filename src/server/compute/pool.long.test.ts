import { execFileSync } from 'node:child_process'
import path from 'node:path'
import { check } from '@/answers/check'
import { FORMATS, USUAL_OPTIONS } from '@/desk/reportOptions'
import { reportFile } from '@/report/files'
import { reportOf } from '@/report/report'
import { exampleCase, SACKS } from '@tests/exampleCase'
import { testedBy } from '@tests/reference/answers'
import { crossExamination } from '@/claims/crossexamination/crossExamination'
import type { CheckDocument } from '@/claims/terms/request'
import { failure, success } from '@/claims/terms/outcome'
import { computing, isLong } from './computing'
import { GivenUp, inThread, unlessGivenUp } from './pool'

const ROOT = path.resolve(__dirname, '../../..')
const WORKER = path.join(ROOT, 'dist/computing-tested.mjs')
const claim = { parameter: 'mean', relation: 'at-least', value: 15 } as const
const readings = (count: number) => Array.from({ length: count }, (_, at) => 15 + Math.sin(at * 12.9898) / 3)
const documentOf = (count: number, test: CheckDocument['test'] = {}): CheckDocument => ({
  claim,
  evidence: { kind: 'readings', values: readings(count) },
  test,
})
/** Many seconds of work. */
const LONG = documentOf(50_000, { method: 'bootstrap' })

beforeAll(() => {
  const bundle = `import { bundle } from './scripts/bundle.mjs'
    import { UNBUNDLED } from './scripts/buildCli.mjs'
    await bundle('src/server/compute/jobs.ts', ${JSON.stringify(WORKER)}, { external: UNBUNDLED })`
  execFileSync(process.execPath, ['--input-type=module', '-e', bundle], { cwd: ROOT })
  process.env.TRUE_WEIGHT_WORKER = WORKER
})
afterAll(async () => {
  delete process.env.TRUE_WEIGHT_WORKER
  await (globalThis as { trueWeightPool?: { destroy: () => Promise<void> } }).trueWeightPool?.destroy()
})

test('what is done in a thread is what is done at once', async () => {
  const document = documentOf(500, { method: 'bootstrap' })
  expect(await inThread('check', document)).toEqual(check(document))
  expect(await inThread('outcome', document)).toBe('not-contradicted')
  const few = documentOf(12)
  const examination = { document: few, result: testedBy(few) }
  expect(await inThread('examine', examination)).toEqual(
    crossExamination(examination).map(({ ask }) => ask()),
  )
  expect(await computing().examine(examination)).toHaveLength(crossExamination(examination).length)
  const answers = await inThread('answers', [JSON.stringify(document), 'no JSON', '[['])
  expect(answers.map((one) => (one.ok ? 'answered' : one.error.code))).toEqual([
    'answered',
    'not-json',
    'not-json',
  ])
})

test('a report and a workbook are the same from a thread', async () => {
  const report = await reportOf(exampleCase([SACKS]), USUAL_OPTIONS)
  for (const format of FORMATS) {
    const how = { format, root: ROOT }
    const [made, own] = [await inThread('report', { report, ...how }), await reportFile(report, how)]
    expect(Buffer.compare(Buffer.from(made), Buffer.from(own))).toBe(0)
  }
  expect(await inThread('workbook', { bytes: Uint8Array.of(80, 75, 3, 4), choice: {} })).toMatchObject({
    ok: false,
    problem: { path: 'file' },
  })
})

test('a job ends when nobody waits for it, and the next one is done', async () => {
  const leaving = new AbortController()
  const asked = inThread('check', LONG, { signal: leaving.signal })
  setTimeout(() => leaving.abort(new Error('gone')), 300)
  await expect(asked).rejects.toThrow('gone')
  expect(await inThread('outcome', documentOf(20))).toBeDefined()
})

test('a job that takes too long is given up, in words', async () => {
  const asked = inThread('check', LONG, { minutes: 0.005 })
  await expect(asked).rejects.toThrow(GivenUp)
  const outcome = await unlessGivenUp(async () => success(await inThread('check', LONG, { minutes: 0.005 })))
  expect(outcome).toMatchObject({
    ok: false,
    problem: { code: 'given-up', message: expect.stringContaining('took longer than') },
  })
})

test('other failures are thrown on, and outcomes are given as they are', async () => {
  await expect(unlessGivenUp(() => Promise.reject(new Error('else')))).rejects.toThrow('else')
  expect(await unlessGivenUp(async () => success(1))).toEqual({ ok: true, value: 1 })
  const refused = failure({ code: 'x', path: '', message: '' })
  expect(await unlessGivenUp(async () => refused)).toEqual(refused)
})

test('only long checks go to a thread, and each is made once', async () => {
  expect(isLong(documentOf(2000))).toBe(false)
  expect(isLong(documentOf(200_000))).toBe(true)
  expect(isLong(documentOf(200, { method: 'bootstrap' }))).toBe(true)
  expect(isLong({ claim, test: { method: 'none' } } as unknown as CheckDocument)).toBe(false)
  const own = computing()
  const document = documentOf(600, { method: 'bootstrap' })
  const first = await own.check(document)
  expect(first).toEqual(check(document))
  // The same object: nothing was computed again.
  expect(await computing().check(structuredClone(document))).toBe(first)
  const short = documentOf(20)
  expect(await own.check(short)).toEqual(check(short))
})
