import { type CaseContent, type ContentFinding } from '@/casefile/content'
import { readCaseFile } from '@/casefile/read'
import type { Column } from '@/intake/sheet/columns'
import {
  relinked,
  resigned,
  finding,
  idOf,
  type Forgery,
  MASS,
  bytesOf,
  honest,
  refusalOf,
} from './honestCase'

type Trail = CaseContent['trail']

const withDetail = (trail: Trail, of: (detail: string) => string) =>
  relinked(trail.map((entry) => (entry.action === 'signed' ? { ...entry, detail: of(entry.detail) } : entry)))
/** A second finding that says so of the one that it replaces. */
const replacing = (all: CaseContent, number: number, fingerprint: string): ContentFinding => ({
  ...resigned(finding(all), (signed) => (signed.replaces = { number, fingerprint, reason: 'typo' })),
  ...{ id: idOf(401), number: 2 },
})

const FORGERIES: Readonly<Record<string, readonly [Forgery, RegExp]>> = {
  'a second finding that nobody signed': [
    (all) => ({ ...all, findings: [finding(all), { ...finding(all), id: idOf(401), number: 2 }] }),
    /no entry that A\. Officer signed the finding 2/,
  ],
  'a signer renamed in text, column and fingerprint': [
    (all) => {
      const other = resigned(finding(all), (signed) => (signed.signedBy = 'C. Other'))
      return { ...all, findings: [{ ...other, signedBy: 'C. Other' }] }
    },
    /no entry that C\. Other signed/,
  ],
  'a signer renamed, with the fingerprint in the trail': [
    (all) => {
      const other = {
        ...resigned(finding(all), (signed) => (signed.signedBy = 'C. Other')),
        signedBy: 'C. Other',
      }
      return {
        ...all,
        findings: [other],
        ...withDetail(all.trail, (detail) => detail.replace(/[0-9a-f]{64}/, other.fingerprint)),
      }
    },
    /no entry that C\. Other signed/,
  ],
  'a column that is not the text’s': [
    (all) => ({ ...all, findings: [{ ...finding(all), outcome: 'supported' as const }] }),
    /its outcome is not the one in the text/,
  ],
  'a day that is not the text’s': [
    (all) => ({ ...all, findings: [{ ...finding(all), signedOn: '2026-11-01' }] }),
    /its day is not the one in the text/,
  ],
  'another instant of signing': [
    (all) => ({ ...all, findings: [{ ...finding(all), createdAt: '2026-11-05T09:00:00.000Z' }] }),
    /no entry that A\. Officer signed the finding 1/,
  ],
  'inputs that are not the text’s': [
    (all) => ({ ...all, findings: [{ ...finding(all), inputFingerprint: 'b'.repeat(64) }] }),
    /its inputs is not the one/,
  ],
  'another number': [
    (all) => ({ ...all, findings: [{ ...finding(all), number: 3 }] }),
    /no entry that A\. Officer signed the finding 3/,
  ],
  'a finding that replaces one that there is not': [
    (all) => ({
      ...all,
      findings: [
        resigned(finding(all), (signed) => {
          signed.replaces = { number: 1, fingerprint: 'b'.repeat(64), reason: '' }
        }),
      ],
    }),
    /its predecessor is not the one/,
  ],
  'a finding that replaces another than the one before it': [
    (all) => ({ ...all, findings: [finding(all), replacing(all, 1, 'b'.repeat(64))] }),
    /its predecessor is not the one/,
  ],
  'a finding that counts the one before it otherwise': [
    (all) => ({ ...all, findings: [finding(all), replacing(all, 7, finding(all).fingerprint)] }),
    /its predecessor is not the one/,
  ],
  'a finding that is gone': [
    (all) => ({ ...all, findings: [] }),
    /says that A\. Officer signed .* there is no such finding/,
  ],
  'no trail beside a signed finding': [
    (all) => ({ ...all, ...relinked([]) }),
    /no entry that|does not begin/,
  ],
  'a result that does not follow': [
    (all) => {
      const other = resigned(
        finding(all),
        (signed) => ((signed.result as { estimate: { value: number } }).estimate.value = 15.4),
      )
      return {
        ...all,
        findings: [other],
        ...withDetail(all.trail, (detail) => detail.replace(/[0-9a-f]{64}/, other.fingerprint)),
      }
    },
    /its result is not what its check document comes to/,
  ],
  'the finding of another claim': [
    (all) => ({ ...all, findings: [{ ...finding(all), claimId: all.claims[1]!.id }] }),
    /its claim is not the one in the text/,
  ],
  'what is set aside put back': [
    (all) => ({
      ...all,
      samples: all.samples.map((one, at) =>
        at === 0 ? { ...one, draft: { ...one.draft, setAside: [] } } : one,
      ),
    }),
    /says that B\. Weigher set a reading aside .* and it is not/,
  ],
  'an entry of what is set aside taken out': [
    (all) => ({ ...all, ...relinked(all.trail.filter(({ action }) => action !== 'set-aside')) }),
    /is set aside by B\. Weigher .* and the trail does not say so/,
  ],
  'somebody else who set it aside': [
    (all) => ({
      ...all,
      samples: all.samples.map((one, at) =>
        at === 0
          ? { ...one, draft: { ...one.draft, setAside: [{ ...one.draft.setAside[0]!, by: 'C. Other' }] } }
          : one,
      ),
    }),
    /set a reading aside|is set aside by C\. Other/,
  ],
  'another reason': [
    (all) => ({
      ...all,
      samples: all.samples.map((one, at) =>
        at === 0
          ? {
              ...one,
              draft: { ...one.draft, setAside: [{ ...one.draft.setAside[0]!, reason: 'too light' }] },
            }
          : one,
      ),
    }),
    /set a reading aside|is set aside by/,
  ],
  'a claimed value': [
    (all) => ({
      ...all,
      claims: all.claims.map((one, at) =>
        at === 1 ? { ...one, draft: { ...one.draft, claimedValue: '90 %' } } : one,
      ),
    }),
    /claimedValue is not what the trail comes to/,
  ],
  'a claim that is gone': [
    (all) => ({ ...all, claims: all.claims.slice(0, 1) }),
    /entry 5 of its trail is about another case/,
  ],
  'a claim that nobody added': [
    (all) => ({ ...all, claims: [...all.claims, { ...all.claims[1]!, id: idOf(299) }] }),
    /no entry that added the claim/,
  ],
  'a reading': [
    (all) => ({
      ...all,
      samples: all.samples.map((one, at) =>
        at === 0
          ? { ...one, draft: { ...one.draft, readings: one.draft.readings.replace('14.93', '15.93') } }
          : one,
      ),
    }),
    /readings is not what the trail comes to/,
  ],
  'a cell of a file': [
    (all) => ({
      ...all,
      samples: all.samples.map((one) =>
        one.file
          ? {
              ...one,
              sheet: {
                rowCount: 3,
                columns: async () => [{ ...MASS, chunks: [Float64Array.of(14.9, 15.1, 15.03)] } as Column],
              },
            }
          : one,
      ),
    }),
    /the cells of mass are not those that were brought in/,
  ],
  'another file': [
    (all) => ({
      ...all,
      samples: all.samples.map((one) =>
        one.file ? { ...one, file: { ...one.file, fileSha256: 'c'.repeat(64) } } : one,
      ),
    }),
    /is not the one that the trail says was brought in/,
  ],
  'a case’s subject': [
    (all) => ({ ...all, case: { ...all.case, subject: 'Other sacks' } }),
    /subject is not what the trail comes to/,
  ],
  'a case’s state': [
    (all) => ({ ...all, case: { ...all.case, state: 'closed' } }),
    /state is not what the trail comes to/,
  ],
}

test('an honest case is taken, and says what nobody can tell', async () => {
  const read = await readCaseFile(await bytesOf(await honest()))
  if (!read.ok) throw new Error(read.problem.message)
  expect(read.value.notes).toEqual([])
})

test.each(Object.entries(FORGERIES))(
  '%s is refused, and named, though every hash was made anew',
  async (_, [forge, words]) => {
    expect(await refusalOf(forge(await honest()))).toMatch(words)
  },
)
