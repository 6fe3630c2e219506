import { exampleCase, SACKS } from '@tests/exampleCase'
import { signedFinding, withSigned } from '@tests/signedFinding'
import { type CaseContent, type ContentFinding, sha256 } from '@/casefile/content'
import { canonicalJson } from '@/desk/canonicalJson'
import type { ClaimDraft } from '@/desk/claimDraft'
import { CORE_VERSION } from '@/claims/terms/version'
import { type ReportOptions, USUAL_OPTIONS } from '@/desk/reportOptions'
import { markdownOf } from './markdown'
import { signedReportOf } from './signedReport'

const stateOf = (claim: Partial<ClaimDraft> = {}) =>
  exampleCase([{ ...SACKS, claim: { ...SACKS.claim, ...claim } }])

const first = stateOf()
const second = stateOf({ claimedValue: '14.9', wording: '14.9 kg net' })
const later = stateOf({ claimedValue: '14.8' })

/** The reports of two findings, of 15 kg and then of 14.9 kg, while the claim is now of 14.8 kg. */
async function amended(options: ReportOptions = USUAL_OPTIONS) {
  const findings = [await signedFinding(first, 1), await signedFinding(second, 2)]
  const whole = withSigned(later, findings)
  const texts = findings.map(async (finding) => markdownOf(await signedReportOf(whole, finding, options)))
  const [one, two] = await Promise.all(texts)
  return { one: one!, two: two!, findings, whole }
}

test('a signed finding has a report of what was signed, whatever the claim is now', async () => {
  const { one, findings, whole } = await amended()
  expect(one).toMatch(/^# WH-099 Pellet sacks: signed finding 1 of claim 1\n/)
  expect(one).toContain(
    `| Number of this report | WH-099-${findings[0]!.fingerprint.slice(0, 8).toUpperCase()} |`,
  )
  const [entry] = whole.trail.filter(({ action }) => action === 'signed')
  expect(one).toContain(`| Entry of the trail | ${entry!.number}, with the hash ${entry!.hash} |`)
  expect(one).toContain('“15 kg net, since 1.1.2026”')
  expect(one).toContain('the sample contradicts the claim that the mean net mass is at least 15\u202fkg')
  expect(one).toContain(
    `What follows was computed anew from what was signed, with core ${CORE_VERSION}, which comes to the same finding, word for word, by the same figures of the test.`,
  )
  expect(one).toContain('Claimed value 15\u202fkg.')
  expect(one).not.toMatch(/14\.[89]\u202fkg net|at least 14\.[89]/)
})

test('what it rests on is laid out with it: conditions, both results, readings, working, sources', async () => {
  const { one } = await amended()
  const titles = one.split('\n').filter((line) => line.startsWith('#'))
  const named = titles.map((line) => line.replace(/^#+ /, '').split(',')[0])
  expect(named.slice(1)).toEqual([
    'What it replaces',
    'Claim 1: Mean net mass at least 15\u202fkg (“15 kg net',
    'Hypotheses',
    'Sample',
    'Conditions',
    'Pictures',
    'Test',
    'Cross-examination',
    'Appendix: readings of claim 1',
    'Appendix: working of claim 1',
    'Methods and sources',
    'What the results relate to',
  ])
  expect(one).toContain('| With everything |')
  expect(one).toContain('the sack was torn')
  expect(one).toContain('| 12 | ~~9~~ (set aside) |')
})

test('an amended finding says which one it replaces and what was changed', async () => {
  const { one, two } = await amended()
  expect(one).toContain('It is the first that was signed of this claim.')
  expect(one).toContain('It is replaced by signed finding 2 (')
  expect(two).toContain('It replaces signed finding 1 (contradicted: A. Officer, 2026-11-03).')
  expect(two).toContain('| Claim: claimed value | 15 | 14.9 |')
  expect(two).toContain('| Changed since | In signed finding 1 | In signed finding 2 |\n| --- | --- | --- |')
  expect(two).toContain('| Claim: wording |')
  expect(two).not.toContain('Sample: ')
  expect(two).toContain(
    'It was not replaced. The claim, its evidence or the remarks were changed since, up to entry',
  )
})

const reportOf = async (...[whole, finding]: [CaseContent, ContentFinding]) =>
  markdownOf(await signedReportOf(whole, finding, { ...USUAL_OPTIONS, parts: ['cover'] }))

test('what was changed of its sample is told too, a long text by its beginning', async () => {
  const other = { ...SACKS, sample: { ...SACKS.sample, name: `a${'b'.repeat(400)}c`, lot: 'L-7' } }
  const changed = exampleCase([other])
  const findings = [await signedFinding(first, 1), await signedFinding(changed, 2)]
  // However they are stored.
  const whole = withSigned(changed, findings.toReversed())
  const text = await reportOf(whole, findings[1]!)
  expect(text).toContain(`| Sample: name | Sacks of line 2 | a${'b'.repeat(399)}… |`)
  expect(text).toMatch(/\| Sample: lot \| .* \| L-7 \|/)
  expect(text).not.toContain('Claim: ')
  expect(await reportOf(whole, findings[0]!)).toContain('It is the first that was signed of this claim.')
  const short = { ...SACKS, sample: { ...SACKS.sample, name: 'a'.repeat(400) } }
  const exact = await signedFinding(exampleCase([short]), 2)
  expect(await reportOf(withSigned(first, [findings[0]!, exact]), exact)).toContain(`| ${'a'.repeat(400)} |`)
})

test('what was signed twice was not changed, and what can’t be read is not compared', async () => {
  const findings = [await signedFinding(first, 1), await signedFinding(first, 2)]
  const text = await reportOf(withSigned(first, findings), findings[1]!)
  expect(text).toContain('What it is of was not changed in between.')
  const unread = [{ ...findings[0]!, signed: '{}' }, findings[1]!]
  const apart = await reportOf(withSigned(first, unread), unread[1]!)
  expect(apart).toContain('It replaces signed finding 1')
  expect(apart).not.toContain('in between')
})

test('one that says why it replaces another is reported with its reason', async () => {
  const [one, two] = [await signedFinding(first, 1), await signedFinding(first, 2)]
  const told = async (reason: string) => {
    const replaces = { number: 1, fingerprint: one.fingerprint, reason }
    const signed = canonicalJson({ ...JSON.parse(two.signed), replaces })
    const own = { ...two, signed, fingerprint: sha256(signed) }
    const whole = withSigned(first, [one, own])
    return markdownOf(await signedReportOf(whole, own, USUAL_OPTIONS))
  }
  expect(await told('a scale was misread')).toContain('It replaces signed finding 1: “a scale was misread”')
  const without = await told('')
  expect(without).toContain('It replaces signed finding 1; why is not stated.')
  expect(without).not.toContain('The record does not hold')
  expect(without).toMatch(/End of report WH-099-[0-9A-F]{8}\.\s+Made with True Weight/)
})

test('a claim has the number that the report of its case gives it; a discarded one is counted with these', async () => {
  const claims = (discarded: readonly boolean[]) =>
    exampleCase(discarded.map((isDiscarded) => ({ ...SACKS, claim: { ...SACKS.claim, isDiscarded } })))
  const titleOf = async (discarded: readonly boolean[]) => {
    const whole = claims(discarded)
    const [{ id: claimId } = { id: '' }] = whole.claims.slice(1)
    const finding = await signedFinding(first, 1, { claimId })
    return (await reportOf(withSigned(whole, [finding]), finding)).split('\n')[0]
  }
  expect(await titleOf([false, false])).toContain('of claim 2')
  expect(await titleOf([true, false])).toContain('of claim 1')
  expect(await titleOf([false, true])).toContain('of claim 2')
})

test('a signature that no entry tells of has none in its report, and the record is said not to hold', async () => {
  const finding = await signedFinding(first, 1)
  const text = await reportOf({ ...first, findings: [finding] }, finding)
  expect(text).not.toContain('Entry of the trail')
  expect(text).toContain('## The record does not hold')
})

test('one whose claim is as it was signed says so, and one that was discarded says that', async () => {
  const finding = await signedFinding(first, 1)
  const textOf = async (whole: typeof first) =>
    markdownOf(await signedReportOf(withSigned(whole, [finding]), finding, USUAL_OPTIONS))
  expect(await textOf(first)).toContain(
    'The claim, its evidence and the remarks are as they were signed, up to',
  )
  expect(await textOf(stateOf({ isDiscarded: true }))).toContain('The claim was discarded since, up to entry')
})

test('what another core signed stands in its words, and what this one makes of it apart', async () => {
  const { signed } = await signedFinding(first, 1)
  const other = signed
    .replaceAll(`"coreVersion":"${CORE_VERSION}"`, '"coreVersion":"0.1.0"')
    .replace('14.935', '14.936')
  const finding = await signedFinding(first, 1, { coreVersion: '0.1.0', signed: other })
  const text = markdownOf(await signedReportOf(withSigned(first, [finding]), finding, USUAL_OPTIONS))
  const [before, after] = text.split(
    `Computed anew with core ${CORE_VERSION}, what was signed comes to this, which is not signed:`,
  )
  expect(before).toContain('14.936')
  expect(after).toMatch(/^\s+\*\*Contradicted\*\*/)
})

type Samples = readonly Readonly<{ draft: object }>[]

test.each([
  ['samples that this version does not read', ([sample]: Samples) => [{ ...sample, draft: {}, id: 1 }]],
  [
    'readings that do not come to its document',
    ([sample]: Samples) => [{ ...sample, draft: { ...sample!.draft, readings: '14.93 15.12 15' } }],
  ],
])('of one with %s only the signed words are told', async (_, altered) => {
  const { signed, ...finding } = await signedFinding(first, 1)
  const { samples, ...text } = JSON.parse(signed) as { samples: Samples }
  const other = { ...finding, signed: JSON.stringify({ ...text, samples: altered(samples) }) }
  const report = markdownOf(await signedReportOf(withSigned(first, [other]), other, USUAL_OPTIONS))
  expect(report).toContain('the sample contradicts the claim that')
  expect(report).toContain('the text that was signed has it whole.')
  expect(report).not.toContain('Cross-examination, claim 1')
})

test('parts are chosen as in the report of a case', async () => {
  const { one } = await amended({ ...USUAL_OPTIONS, parts: ['test'], language: 'comma' })
  expect(one).not.toContain('Number of this report')
  expect(one).not.toContain('Conditions, claim 1')
  expect(one).toContain('14,935')
  expect(one).toContain('It is the first that was signed of this claim.')
})
