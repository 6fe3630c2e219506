import { eq } from 'drizzle-orm'
import { startTestDatabase } from '@tests/database'
import { valueOf } from '@tests/outcome'
import { later, newCase, saveReadings } from '@tests/storedCase'
import { AT_ONCE } from '@/answers/computing'
import { verifyRecord } from '@/casefile/follows'
import { findingBreaks } from '@/casefile/followsFindings'
import { findings } from '@/data/schema'
import { USUAL_OPTIONS } from '@/desk/reportOptions'
import { markdownOf } from '@/report/markdown'
import { reportOf } from '@/report/report'
import { signedReportOf } from '@/report/signedReport'
import { readTogether } from '../case/readTogether'
import { documentOf } from '../check/documentOf'
import { saveClaim } from '../claim/saveClaim'
import { readCase } from '../docket/docket'
import { verifyFinding } from './readFinding'
import { readToSign, signFinding } from './signFinding'
import { fingerprintOf, fingerprintOfValue } from '../fingerprint'
import { readContent } from '../keeping/readContent'

const database = startTestDatabase()

/** A claim that can be signed, and the fingerprint of what whoever signs has before them. */
async function signable() {
  const made = await newCase()
  valueOf(await saveReadings(made.sampleId, '14.1 14.2 14.0 14.1'))
  valueOf(await saveClaim(made.claimId, { draft: { ...made.draft, remarks: 'seen' }, revision: 1 }, later))
  const document = await documentOf(database(), made.draft)
  return { ...made, inputFingerprint: fingerprintOfValue({ document, remarks: 'seen' }) }
}

const signature = { signedBy: ' A. Inspector ', signedOn: '2026-11-03' }

test('a signed finding stays as it was, whatever becomes of the claim, and comes to the same figures', async () => {
  const { claimId, draft, sampleId, inputFingerprint } = await signable()
  expect(valueOf(await signFinding(claimId, { ...signature, inputFingerprint }, later))).toEqual({
    number: 1,
  })
  const before = await verifyFinding(claimId, '1')
  valueOf(await saveClaim(claimId, { draft: { ...draft, claimedValue: '3' }, revision: 2 }, later))
  valueOf(await saveReadings(sampleId, '1 2 3'))
  const after = await verifyFinding(claimId, '1')
  expect(after).toEqual(before)
  expect(after).toMatchObject({
    isWhole: true,
    differences: [],
    row: { signedBy: 'A. Inspector', outcome: 'contradicted', number: 1 },
    signed: { claim: { draft: { remarks: 'seen', claimedValue: '15' } }, samples: [{ id: sampleId }] },
  })
  expect(fingerprintOf(after!.row.signed)).toBe(after!.row.fingerprint)
})

test('a finding that replaces another says which one and why, in what is signed, and the record bears it out', async () => {
  const { caseId, claimId, draft, inputFingerprint } = await signable()
  // Of a first one there is nothing to give a reason for.
  valueOf(await signFinding(claimId, { ...signature, inputFingerprint, reason: 'none' }, later))
  const changed = { ...draft, remarks: 'seen', claimedValue: '14.9' }
  valueOf(await saveClaim(claimId, { draft: changed, revision: 2 }, later))
  const document = await documentOf(database(), changed)
  const again = { ...signature, inputFingerprint: fingerprintOfValue({ document, remarks: 'seen' }) }
  const reason = ' the label says 14.9 kg '
  const toSign = valueOf(await readToSign(claimId, { ...again, reason }, later))
  valueOf(await signFinding(claimId, { ...again, reason }, later))
  const [first, second] = [await verifyFinding(claimId, '1'), await verifyFinding(claimId, '2')]
  expect(toSign.signed).toBe(second!.row.signed)
  expect(first!.signed).not.toHaveProperty('replaces')
  expect(second!.signed).toMatchObject({
    replaces: { number: 1, fingerprint: first!.row.fingerprint, reason: 'the label says 14.9 kg' },
  })
  const content = (await readContent(database(), caseId))!
  expect(await verifyRecord(content)).toMatchObject({ breaks: [] })
  const text = markdownOf(await reportOf(content, USUAL_OPTIONS))
  expect(text).toContain('It replaces signed finding 1: “the label says 14.9 kg”')
  const tooLong = { ...again, reason: 'x'.repeat(2001) }
  expect(await signFinding(claimId, tooLong, later)).toMatchObject({
    ok: false,
    problem: { code: 'invalid' },
  })
})

test('who works where a finding is signed by another name stands on the trail, in what is signed and in what is told of it', async () => {
  const { caseId, claimId, inputFingerprint } = await signable()
  const own = { ...signature, inputFingerprint, by: ' A. Inspector' }
  expect(valueOf(await readToSign(claimId, own, later)).signed).not.toContain('enteredBy')
  valueOf(await signFinding(claimId, { ...own, by: ' B. Weigher ' }, later))
  const content = (await readContent(database(), caseId))!
  expect(content.trail.at(-1)).toMatchObject({
    ...{ action: 'signed', who: 'A. Inspector' },
    detail: expect.stringMatching(/, entered by B\. Weigher$/),
  })
  expect(await verifyRecord(content)).toMatchObject({ breaks: [] })
  expect(markdownOf(await reportOf(content, USUAL_OPTIONS))).toMatch(
    /by A\. Inspector on 2026-11-03 \(on the trail at [^)]+, entered by B\. Weigher\)/,
  )
  // Its own report says so too, and an entry that names nobody, or somebody else, tells of another signature.
  const [finding] = content.findings
  expect(markdownOf(await signedReportOf(content, finding!, USUAL_OPTIONS))).toContain(
    'entered by B. Weigher',
  )
  for (const other of ['', ', entered by C. Weigher']) {
    const trail = content.trail.map((entry) => ({
      ...entry,
      detail: entry.detail.replace(', entered by B. Weigher', other),
    }))
    const breaks = await findingBreaks({ ...content, trail }, AT_ONCE)
    expect(breaks.map(({ message }) => message)).toEqual([
      expect.stringContaining('has no entry that A. Inspector signed the finding 1'),
      expect.stringContaining('says that A. Inspector signed'),
    ])
  }
})

test('the figure of a whole lot is marked, signed, reported and follows from the record, and is no part of several tests', async () => {
  const { caseId, claimId, draft, sampleId } = await newCase()
  valueOf(await saveReadings(sampleId, '14.1 14.2 14.0 14.1', { lotSize: '4' }))
  valueOf(await saveClaim(claimId, { draft, revision: 1 }, later))
  expect((await readCase(caseId))?.claims).toMatchObject([{ outcome: 'contradicted' }])
  const document = await documentOf(database(), draft)
  const inputFingerprint = fingerprintOfValue({ document, remarks: draft.remarks })
  valueOf(await signFinding(claimId, { ...signature, inputFingerprint }, later))
  expect(await verifyFinding(claimId, '1')).toMatchObject({ isWhole: true, differences: [] })
  expect(await readTogether(caseId)).toEqual([])
  const content = (await readContent(database(), caseId))!
  expect(await verifyRecord(content)).toMatchObject({ breaks: [] })
  const text = markdownOf(await reportOf(content, USUAL_OPTIONS)).replaceAll('\u202f', ' ')
  expect(text).toContain('| Contradicted |  | whole lot | A. Inspector, 2026-11-03 |')
  expect(text).toContain('All 4 units of the lot were taken, so this is no sample')
  expect(text).toContain('| Size of the lot | 4 |')
  expect(text).toMatch(/Check document of claim 1 \| [0-9a-f]{64}/)
  expect(text).not.toMatch(/p-value 0|There is no finding|Several claims together/)
  // With a reading set aside it is a sample again, beside the whole lot.
  valueOf(
    await saveReadings(sampleId, '14.1 14.2 14.0 14.1', {
      setAside: [{ row: 0, reason: 'torn', by: 'A. Officer' }],
    }),
  )
  const aside = (await readContent(database(), caseId))!
  const report = markdownOf(await reportOf(aside, USUAL_OPTIONS)).replaceAll('\u202f', ' ')
  expect(report).toContain('With everything that is set aside: All 4 units of the lot were taken')
  // What was signed stands before what has changed since.
  const [signed, now] = report.split('have changed since. What follows')
  expect(signed).toContain('Signed finding 1, by A. Inspector')
  expect(signed).toContain('All 4 units of the lot were taken')
  expect(now).not.toContain('Signed finding')
})

test('a report says what was signed as it was signed, and only then what has changed since', async () => {
  const { caseId, claimId, draft, inputFingerprint } = await signable()
  valueOf(await signFinding(claimId, { ...signature, inputFingerprint }, later))
  const reported = async () => {
    const content = (await readContent(database(), caseId))!
    return markdownOf(await reportOf(content, USUAL_OPTIONS)).replaceAll('\u202f', ' ')
  }
  const current = await reported()
  expect(current).toContain(
    'Signed finding 1, by A. Inspector on 2026-11-03 (on the trail at 2026-11-03 10:43:00 UTC), by name',
  )
  expect(current).toMatch(/\| Readings tested \| 4 \| 4 \|/)
  expect(current).toMatch(/\| p-value \| < 0\.001 \| 0\.0001021594802 \|/)
  expect(current).toContain('Remarks signed with it: seen')
  expect(current).toContain(
    'What stands now is what signed finding 1 says. What follows is what it rests on.',
  )
  expect(current).toContain('| No. | Claim | Finding | Level | p-value | Signed |')
  expect(current).toContain('| A. Inspector, 2026-11-03 |')
  // It is said once, not once as signed and once more.
  expect(current.match(/the claim that the mean is at least 15\b/g)).toHaveLength(1)
  const change = { ...draft, claimedValue: '14.1', remarks: 'changed' }
  valueOf(await saveClaim(claimId, { draft: change, revision: 2 }, later))
  const changed = await reported()
  expect(changed).toContain('| No. | Claim | Finding now | Level | p-value | Signed |')
  expect(changed).toContain('| contradicted: A. Inspector, 2026-11-03; changed since |')
  const [signed, now] = changed.split('The claim, its evidence or the remarks have changed since.')
  const sentence = /the claim that the mean is at least 15\b/
  expect(signed).toMatch(sentence)
  expect(signed).toContain('Remarks signed with it: seen')
  expect(now).not.toMatch(sentence)
  expect(now).toContain('Remarks: changed')
  // Changed back, it is what was signed.
  valueOf(await saveClaim(claimId, { draft: { ...draft, remarks: 'seen' }, revision: 3 }, later))
  expect(await reported()).toContain('What stands now is what signed finding 1 says.')
})

test('nothing is signed without a name, on no day, or that is not what is stored', async () => {
  const { claimId, inputFingerprint } = await signable()
  const codeOf = async (change: object) => {
    const signed = await signFinding(claimId, { ...signature, inputFingerprint, ...change }, later)
    return signed.ok ? undefined : signed.problem.code
  }
  expect(await codeOf({ signedBy: ' ' })).toBe('name-needed')
  expect(await codeOf({ signedOn: '2026-02-30' })).toBe('day-needed')
  expect(await codeOf({ signedOn: '3 November' })).toBe('day-needed')
  expect(await codeOf({ inputFingerprint: 'another' })).toBe('changed-elsewhere')
  expect(await codeOf({ more: true })).toBe('invalid')
  const open = await newCase()
  const nothing = await signFinding(open.claimId, { ...signature, inputFingerprint }, later)
  expect(nothing).toMatchObject({ ok: false, problem: { code: 'nothing-to-sign' } })
  expect(await signFinding('nowhere', { ...signature, inputFingerprint }, later)).toMatchObject({ ok: false })
})

test('a finding is signed on no day that is to come, and on none before its sample was drawn', async () => {
  const { claimId, sampleId, inputFingerprint } = await signable()
  valueOf(await saveReadings(sampleId, '14.1 14.2 14.0 14.1', { drawnWhen: '2026-10-30 to 2026-11-02' }))
  const signedOn = async (day: string) => {
    const asked = { ...signature, signedOn: day, inputFingerprint }
    const signed = await readToSign(claimId, asked, later)
    return signed.ok ? 'signed' : signed.problem.message
  }
  expect(await signedOn('2026-11-01')).toBe(
    '2026-11-01 is before 2026-11-02, by when the sample was drawn and measured. Write the day on which the finding is signed, or mend that of the sample.',
  )
  expect(await signedOn('2026-11-02')).toBe('signed')
  // It is the 4th already where the day begins first.
  expect(await signedOn('2026-11-04')).toBe('signed')
  expect(await signedOn('2026-11-05')).toBe(
    '2026-11-05 is to come: this server has 2026-11-03 10:43:00 UTC. Write the day on which the finding is signed.',
  )
  const late = await signFinding(claimId, { ...signature, signedOn: '1999-02-01', inputFingerprint }, later)
  expect(late).toMatchObject({ ok: false, problem: { code: 'day-needed', path: 'signedOn' } })
  // It may have been measured after it was drawn.
  const drawnWhen = '2026-10-30'
  for (const measuredOn of ['2026-10-31 to 2026-11-02', '2026-10-29', 'soon']) {
    valueOf(await saveReadings(sampleId, '14.1 14.2 14.0 14.1', { drawnWhen, measuredOn }))
    expect(await signedOn('2026-11-01')).toMatch(measuredOn.includes('to') ? 'before 2026-11-02' : 'signed')
    expect(await signedOn('2026-10-29')).toMatch(/is before 2026-(11-02|10-30)/)
  }
  // Where nobody says when it was drawn, any day before will do.
  valueOf(await saveReadings(sampleId, '14.1 14.2 14.0 14.1', { drawnWhen: '', measuredOn: '' }))
  expect(await signedOn('2026-01-14')).toBe('signed')
})

test('a finding that was altered is told by its fingerprint, and figures that differ by their paths', async () => {
  const { claimId, inputFingerprint } = await signable()
  valueOf(await signFinding(claimId, { ...signature, inputFingerprint }, later))
  const db = database()
  const row = await verifyFinding(claimId, '1')
  const altered = row!.row.signed.replace(/"statistic":-?[\d.]+/, '"statistic":-1')
  await db.update(findings).set({ signed: altered }).where(eq(findings.claimId, claimId))
  expect(await verifyFinding(claimId, '1')).toMatchObject({ isWhole: false, differences: ['test.statistic'] })
  expect(await verifyFinding(claimId, '2')).toBeUndefined()
  expect(await verifyFinding(claimId, '1.5')).toBeUndefined()
})
