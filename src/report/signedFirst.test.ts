import { exampleCase, SACKS, UNFINISHED } from '@tests/exampleCase'
import { signedFinding } from '@tests/signedFinding'
import type { ContentFinding } from '@/casefile/content'
import { CORE_VERSION } from '@/claims/terms/version'
import { type ReportOptions, USUAL_OPTIONS } from '@/desk/reportOptions'
import { markdownOf } from './markdown'
import { reportOf } from './report'

const content = exampleCase([SACKS])
type Change = Partial<ContentFinding>

/** Findings of its one claim, which are of what stands now but for what is changed of each. */
async function signedOf(...changes: readonly Change[]) {
  const findings = await Promise.all(changes.map((change, at) => signedFinding(content, at + 1, change)))
  const options: ReportOptions = { ...USUAL_OPTIONS, parts: ['summary'] }
  const { result } = JSON.parse(findings[0]!.signed) as { result: { finding: { sentence: string } } }
  return {
    text: markdownOf(await reportOf({ ...content, findings }, options)),
    sentence: result.finding.sentence,
    remarks: SACKS.claim.remarks!.split('\n')[0]!,
  }
}

const times = (text: string, words: string) => text.split(words).length - 1

test('what was signed and still stands is said once, with what it rests on', async () => {
  const { text, sentence, remarks } = await signedOf({})
  expect(text).toContain('What stands now is what signed finding 1 says. What follows is what it rests on.')
  expect(times(text, sentence)).toBe(1)
  expect(text).toContain('With everything')
  expect(times(text, remarks)).toBe(1)
  expect(text).toContain('| A. Officer, 2026-11-03 |')
})

test('what was signed before a change stands first, the last of it before the others', async () => {
  const older = { inputFingerprint: 'another', outcome: 'supported' } as const
  const { text } = await signedOf(older, older)
  const places = [
    'Signed finding 2, by',
    'Signed finding 1, by',
    'The claim, its evidence or the remarks have changed since.',
    'With everything',
  ].map((words) => text.indexOf(words))
  expect(places).toEqual(places.toSorted((a, b) => a - b))
  expect(places[0]).toBeGreaterThan(0)
  expect(text).toContain('| Finding now |')
  expect(text).toContain('| supported: A. Officer, 2026-11-03; changed since |')
})

test('of another core what was signed is one thing, and what it comes to now another', async () => {
  const { signed } = await signedFinding(content, 1)
  const other = signed.replace('14.935', '14.936')
  const { text } = await signedOf({ coreVersion: '0.1.0', outcome: 'supported', signed: other })
  expect(text).toContain(`Computed anew with core ${CORE_VERSION} they come to this, which is not signed:`)
  expect(text.split('which is not signed:')[1]).toContain('Contradicted')
  expect(text).toContain('| supported: A. Officer, 2026-11-03; with core 0.1.0 |')
})

test('what another core signed and this one says word for word is said once', async () => {
  const { text, sentence } = await signedOf({ coreVersion: '0.1.0' })
  expect(text).toContain(
    `What stands now is what signed finding 1 says, and core ${CORE_VERSION} finds it too, word for word and by the same figures of the test.`,
  )
  expect(times(text, sentence)).toBe(1)
})

test('what is changed back to what was signed is what was signed', async () => {
  const { text } = await signedOf({}, { inputFingerprint: 'another' })
  expect(text).toContain('What stands now is what signed finding 1 says.')
  expect(text).toContain('| A. Officer, 2026-11-03 |')
})

test('of a claim without a finding it is not said that it is not signed', async () => {
  const text = markdownOf(await reportOf(exampleCase([UNFINISHED]), USUAL_OPTIONS))
  expect(text).toContain('There is no finding yet:')
  expect(text).not.toContain('This finding is not signed.')
})
