import { startTestDatabase } from '@tests/database'
import { createHash } from 'node:crypto'
import { optionsFor, queryOf, type ReportOptions, USUAL_OPTIONS } from '@/desk/reportOptions'
import { valueOf } from '@tests/outcome'
import { addEmptyClaim, openCase } from '../case/changeCase'
import { documentOf } from '../check/documentOf'
import { readClaim } from '../claim/readClaim'
import { readReadings } from '../claim/readReadings'
import { saveClaim } from '../claim/saveClaim'
import { signFinding } from '../finding/signFinding'
import { fingerprintOfValue } from '../fingerprint'
import { importSheet } from '../sample/importSheet'
import { readSampleDraft } from '../sample/readSample'
import { saveSample } from '../sample/saveSample'
import { makeReport, makeSignedReport, readReportQuestion } from './readReport'

const now = new Date('2026-11-03T10:42:00Z')
const later = new Date('2026-11-03T10:43:00Z')
const asked = valueOf(readReportQuestion(new URLSearchParams({ format: 'md' })))
const textOf = (file: Readonly<{ bytes: Uint8Array }>) => new TextDecoder().decode(file.bytes)

test.each<Partial<ReportOptions>>([
  {},
  { parts: ['cover'], decimals: 3, language: 'comma', unstated: 'named' },
])('the address of a file takes what that of the page has: %j', (chosen) => {
  const options = { ...USUAL_OPTIONS, ...chosen }
  const { options: stated, format } = valueOf(readReportQuestion(new URLSearchParams(queryOf(options))))
  expect([optionsFor(stated, 1), format]).toEqual([options, 'pdf'])
})

test.each(['unstated=x', 'numbers=roman', 'decimals=1.5', 'colour=red'])('%s is refused', (query) =>
  expect(readReportQuestion(new URLSearchParams(query))).toMatchObject({ problem: { code: 'invalid' } }),
)

const database = startTestDatabase()

const LOG = 'depot,mass\n7,14.1\n8,15.2\n7,14.2\n7,14.0\n7,14.3\n'

/** A claim of the rows of one depot of a file, signed, then held to another value with its sample renamed. */
async function signedOfFile() {
  const db = database()
  const { caseId, claimId } = await openCase({ by: 'A. Officer', now })
  const body = (async function* () {
    yield new TextEncoder().encode(LOG)
  })()
  const brought = valueOf(await importSheet(db, { caseId, fileName: 'log.csv', by: 'A. Officer', body }, now))
  if (brought.is !== 'brought-in') throw new Error('asked where nothing had to be')
  const { sampleId } = brought
  const ofDepot = { column: 'depot', relation: 'is', value: '7', upTo: '' } as const
  const { draft: empty } = (await readClaim(caseId, claimId))!.claim
  const draft = { ...empty, sampleId, column: 'mass', kept: [[ofDepot]], claimedValue: '15' }
  valueOf(await saveClaim(claimId, { draft, revision: 1 }, now))
  const inputFingerprint = fingerprintOfValue({ document: await documentOf(db, draft), remarks: '' })
  const signature = { signedBy: 'A. Inspector', signedOn: '2026-11-03', inputFingerprint }
  valueOf(await signFinding(claimId, signature, later))
  valueOf(await saveClaim(claimId, { draft: { ...draft, claimedValue: '13' }, revision: 2 }, later))
  const { draft: sample, revision } = valueOf(await readSampleDraft(sampleId))
  valueOf(await saveSample(sampleId, { draft: { ...sample, name: 'renamed' }, revision, by: 'B' }, later))
  return { caseId, claimId }
}

test('a signed finding of a file is reported as it was signed, with its rows, after claim and sample were changed', async () => {
  const { claimId } = await signedOfFile()
  const file = valueOf(await makeSignedReport({ claimId, number: '1' }, asked))
  expect([file.name, file.type]).toEqual(['signed finding 1.md', 'text/markdown; charset=utf-8'])
  const text = textOf(file)
  expect(text).toContain('the sample contradicts the claim that the mean is at least 15')
  expect(text).toContain('| Sample | log |')
  expect(text).toContain('were changed since, up to entry')
  expect(text).not.toMatch(/renamed|at least 13/)
  expect(text).toContain('| 1 | 14.1 | 3 | 14.2 | 4 | 14 | 5 | 14.3 |')
  const pdf = valueOf(await makeSignedReport({ claimId, number: '1' }, { ...asked, format: 'pdf' }))
  expect(Buffer.from(pdf.bytes).toString('latin1', 0, 8)).toBe('%PDF-1.7')
})

test('a finding that there is not has no report', async () => {
  const { claimId } = await signedOfFile()
  for (const which of [
    { claimId, number: '2' },
    { claimId, number: '1.5' },
    { claimId: 'nowhere', number: '1' },
  ])
    expect(await makeSignedReport(which, asked)).toMatchObject({ ok: false, problem: { code: 'not-found' } })
})

test('the readings of a claim are the file whose hash its report states', async () => {
  const { caseId, claimId } = await signedOfFile()
  const file = valueOf(await readReadings(claimId, new URLSearchParams()))
  const [name, text] = [file.name, textOf(file)]
  expect(name).toMatch(/^Readings of Mean .*at least 13.*\.csv$/)
  expect(text).toBe('row,reading,measured,mark\n1,14.1,,\n3,14.2,,\n4,14,,\n5,14.3,,\n')
  const report = textOf(valueOf(await makeReport(caseId, asked)))
  expect(report).toContain(createHash('sha256').update(text).digest('hex'))
  const codeOf = async (id: string, of?: string) => {
    const read = await readReadings(id, new URLSearchParams(of === undefined ? {} : { of }))
    return read.ok ? 'there' : read.problem.code
  }
  expect(await codeOf(claimId, 'first')).toBe('there')
  expect(await codeOf(claimId, 'second')).toBe('no-readings')
  expect(await codeOf(claimId, 'third')).toBe('invalid')
  expect(await codeOf('nowhere')).toBe('not-found')
  const { claimId: open } = valueOf(await addEmptyClaim(caseId, { by: 'A', now }))
  expect(await codeOf(open)).toBe('no-readings')
})
