import { strToU8, unzipSync, zipSync } from 'fflate'
import { createHash } from 'node:crypto'
import { type CaseContent, type ContentFinding, sha256 } from '@/casefile/content'
import { readCaseFile } from '@/casefile/read'
import { writeCaseFile } from '@/casefile/write'
import { check } from '@/answers/check'
import { canonicalJson } from '@/desk/canonicalJson'
import { chained, type ChainedEntry } from '@/desk/trail/chain'
import { hashesOf } from '@/casefile/columnHash'
import { fileWords } from '@/casefile/followsSamples'
import { EMPTY_SAMPLE } from '@/desk/sampleDraft'
import { changeBetween } from '@/desk/trail/change'
import { readClaimAgainst } from '@/intake/claimDocument'
import type { Column } from '@/intake/sheet/columns'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { DELIVERIES, exampleCase, SACKS } from '@tests/exampleCase'
import { randomFrom, times } from './writing'

const MUTATIONS = times(500, 120)
const random = randomFrom(20261130)

type Trail = CaseContent['trail']
type Told = Omit<ChainedEntry, 'number' | 'previous' | 'hash'>

/** A trail whose chain holds, whatever stands in its entries: this takes no key. */
function relinked(entries: readonly Told[]): Pick<CaseContent, 'trail' | 'head'> {
  const trail: ChainedEntry[] = []
  for (const { ...entry } of entries) {
    const { number: _, previous: __, hash: ___, ...told } = entry as ChainedEntry
    trail.push(chained(told, { length: trail.length, hash: trail.at(-1)?.hash ?? '' }, sha256))
  }
  return { trail, head: { length: trail.length, hash: trail.at(-1)?.hash ?? '' } }
}

const idOf = (number: number) => `0190163d-8694-739b-aea5-${String(number).padStart(12, '0')}`
const AT = '2026-11-04T09:00:00.000Z'

const MASS: Column = {
  kind: 'number',
  name: 'mass',
  chunks: [Float64Array.of(14.9, 15.1, 15.02)],
  length: 3,
  missing: 0,
}

/** A case with two claims, a file, a reading set aside, and a finding that was signed. */
async function honest(): Promise<CaseContent> {
  const { setAside, ...sacks } = SACKS.sample
  const one = exampleCase([{ ...SACKS, sample: sacks }, DELIVERIES])
  const [claim] = one.claims
  const sample = { ...one.samples[0]!, draft: { ...one.samples[0]!.draft, setAside: setAside! } }
  const fileDraft = {
    ...EMPTY_SAMPLE,
    name: 'log',
    kind: 'file' as const,
    columns: [{ name: 'mass', label: '', unit: '', kind: 'number' as const, codes: '' }],
  }
  const file = { fileName: 'log.csv', fileBytes: 24, fileSha256: 'a'.repeat(64), rowCount: 3 }
  const log = {
    ...{ id: idOf(150), revision: 1, createdAt: AT, updatedAt: AT, draft: fileDraft, file },
    sheet: { rowCount: 3, columns: async () => [MASS] },
  }
  const samples = [sample, one.samples[1]!, log]
  const document = (await readClaimAgainst(claim!.draft, async (id) =>
    samples.find((known) => known.id === id),
  ))!.document!
  const result = check(document)
  if (!result.ok) throw new Error(result.error.message)
  const signed = canonicalJson({
    kind: 'true-weight-signed-finding',
    claim: { id: claim!.id, caseId: one.case.id, draft: claim!.draft },
    samples: [{ id: sample.id, draft: sample.draft, file: null }],
    document,
    result,
    signedBy: 'A. Officer',
    signedOn: '2026-11-04',
  })
  const finding: ContentFinding = {
    ...{ id: idOf(400), claimId: claim!.id, number: 1, signedBy: 'A. Officer', signedOn: '2026-11-04' },
    ...{ outcome: result.finding.outcome, coreVersion: result.coreVersion, createdAt: AT, signed },
    inputFingerprint: sha256(canonicalJson({ document, remarks: claim!.draft.remarks })),
    fingerprint: sha256(signed),
    jws: '',
  }
  const about = {
    caseId: one.case.id,
    at: AT,
    claimId: null,
    sampleId: null,
    detail: '',
    before: '',
    after: '',
  }
  const brought = changeBetween(EMPTY_SAMPLE, { ...fileDraft, cells: await hashesOf([MASS]) })!
  return {
    ...one,
    samples,
    findings: [finding],
    ...relinked([
      ...one.trail,
      {
        ...about,
        ...brought,
        id: idOf(500),
        who: 'A. Officer',
        action: 'brought-in',
        sampleId: log.id,
        detail: fileWords(file),
      },
      {
        ...about,
        id: idOf(501),
        who: 'B. Weigher',
        action: 'set-aside',
        sampleId: sample.id,
        detail: 'Row 12: the sack was torn',
      },
      {
        ...about,
        id: idOf(502),
        who: 'A. Officer',
        action: 'signed',
        claimId: claim!.id,
        detail: `Finding 1: ${OUTCOME_WORDS[finding.outcome]}, fingerprint ${finding.fingerprint}`,
      },
    ]),
  }
}

async function bytesOf(content: CaseContent): Promise<Uint8Array> {
  const pieces: Uint8Array[] = []
  for await (const piece of writeCaseFile(content)) pieces.push(piece)
  return new Uint8Array(Buffer.concat(pieces))
}
const refusalOf = async (content: CaseContent): Promise<string> => {
  const read = await readCaseFile(await bytesOf(content))
  return read.ok ? '' : read.problem.message
}

/** The signed finding with another text, and everything that is derived from a text made anew. */
function resigned(
  finding: ContentFinding,
  change: (signed: Record<string, unknown>) => void,
): ContentFinding {
  const text = JSON.parse(finding.signed)
  change(text)
  const signed = canonicalJson(text)
  return { ...finding, signed, fingerprint: sha256(signed) }
}

const withDetail = (trail: Trail, of: (detail: string) => string) =>
  relinked(trail.map((entry) => (entry.action === 'signed' ? { ...entry, detail: of(entry.detail) } : entry)))

type Forgery = (content: CaseContent) => CaseContent
const finding = ({ findings }: CaseContent) => findings[0]!
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

test('another row of a typed list that is set aside is told of', async () => {
  const all = await honest()
  const samples = all.samples.map((one, at) =>
    at === 0 ? { ...one, draft: { ...one.draft, setAside: [{ ...one.draft.setAside[0]!, row: 0 }] } } : one,
  )
  const unsigned = relinked(all.trail.filter(({ action }) => action !== 'signed'))
  const read = await readCaseFile(await bytesOf({ ...all, ...unsigned, samples, findings: [] }))
  if (!read.ok) throw new Error(read.problem.message)
  expect(read.value.notes).toEqual([
    expect.stringContaining(
      'row 1 is set aside (“the sack was torn”); the trail tells of it under another row',
    ),
  ])
})

const entry = (all: CaseContent, action: Told['action'], after: unknown) =>
  relinked(all.trail.map((one) => (one.action === action ? { ...one, after: JSON.stringify(after) } : one)))

test.each<readonly [string, Forgery]>([
  ...[{}, [], 1, { document: {}, result: {} }, { kind: 'true-weight-signed-finding' }].map(
    (text) =>
      [
        `a signed text that is ${JSON.stringify(text)}`,
        (all: CaseContent) => {
          const signed = JSON.stringify(text)
          return { ...all, findings: [{ ...finding(all), signed, fingerprint: sha256(signed) }] }
        },
      ] as const,
  ),
  [
    'a result of another core with no test in it',
    (all) => ({
      ...all,
      findings: [
        {
          ...resigned(
            finding(all),
            (signed) =>
              (signed.result = { ok: true, coreVersion: '0.1.0', finding: { outcome: 'supported' } }),
          ),
          coreVersion: '0.1.0',
        },
      ],
    }),
  ],
  ['what is set aside as a number', (all) => ({ ...all, ...entry(all, 'sample-added', { setAside: 5 }) })],
  [
    'moves that are none',
    (all) => ({ ...all, ...entry(all, 'brought-in', { movedRows: [5, null, 'x'], cells: [] }) }),
  ],
  [
    'a stretch that is none',
    (all) => ({ ...all, ...entry(all, 'claim-added', { wording: { from: 'x', text: 5 } }) }),
  ],
  ['half of a character', (all) => ({ ...all, ...entry(all, 'claim-added', { wording: '\ud800' }) })],
])('%s is refused in words', async (_, forge) => {
  expect(await refusalOf(forge(await honest()))).toMatch(/This is no case file that can be taken: /)
})

test('times that run backwards are told of', async () => {
  const all = await honest()
  const years = ['1999', '2031']
  const trail = relinked(
    all.trail.map((entry, at) =>
      entry.action === 'signed' ? entry : { ...entry, at: entry.at.replace('2026', years[at % 2]!) },
    ),
  )
  const read = await readCaseFile(await bytesOf({ ...all, ...trail }))
  if (!read.ok) throw new Error(read.problem.message)
  expect(read.value.notes.join(' ')).toMatch(/Entry 3 of the trail is dated before the one before it/)
})

/** Every text and number in a JSON value, to be changed. */
function leaves(
  value: unknown,
  path: readonly (string | number)[] = [],
): readonly (readonly (string | number)[])[] {
  if (Array.isArray(value)) return value.flatMap((one, at) => leaves(one, [...path, at]))
  if (value !== null && typeof value === 'object')
    return Object.entries(value).flatMap(([key, one]) => leaves(one, [...path, key]))
  return [path]
}
function altered(value: unknown): unknown {
  if (typeof value === 'number') return value + 1
  if (typeof value === 'boolean') return !value
  if (value === null) return 'x'
  const text = String(value)
  const at = Math.floor(random() * (text.length + 1))
  return `${text.slice(0, at)}${random() < 0.5 ? '' : 'x'}${text.slice(at + 1)}`
}

/** What of a record the trail does not tell: how often and when it was stored. */
const UNTOLD = /revision|createdAt|updatedAt/
const plainOf = async (content: CaseContent) =>
  canonicalJson({
    case: content.case,
    claims: content.claims,
    findings: content.findings,
    samples: await Promise.all(
      content.samples.map(async ({ sheet, ...own }) => ({
        ...own,
        hashes: sheet ? await hashesOf(await sheet.columns()) : null,
      })),
    ),
  })
    .replace(/"(revision|createdAt|updatedAt)":("[^"]*"|\d+)/g, '')
    // Told of, and not refused: see above.
    .replace(/("by":"B\. Weigher","reason":"the sack was torn","row":)\d+/, '$1')

test(`of ${MUTATIONS} altered case files, their hashes made anew, none is taken that says something else`, async () => {
  const original = await honest()
  const entries = unzipSync(await bytesOf(original))
  const told = await plainOf(original)
  let taken = 0
  for (let at = 0; at < MUTATIONS; at += 1) {
    const files = { ...entries }
    const paths = Object.keys(files).filter((path) =>
      /^(claims|samples|findings|case|checks|results|trail)/.test(path),
    )
    const path = paths[Math.floor(random() * paths.length)]!
    const text = Buffer.from(files[path]!).toString('utf8')
    if (random() < 0.15) delete files[path]
    else if (path.endsWith('.csv'))
      files[path] = strToU8(text.replace(/\d(?=\D*$)/, (digit) => String((Number(digit) + 1) % 10)))
    else {
      const lines = path.endsWith('.ndjson') ? text.trim().split('\n') : [text]
      const place = Math.floor(random() * lines.length)
      const value = JSON.parse(lines[place]!)
      const leaf = leaves(value).filter((one) => !UNTOLD.test(one.join('.')))
      const chosen = leaf[Math.floor(random() * leaf.length)]!
      let holder = value
      for (const key of chosen.slice(0, -1)) holder = holder[key]
      holder[chosen.at(-1)!] = altered(holder[chosen.at(-1)!])
      lines[place] = canonicalJson(value)
      files[path] = strToU8(`${lines.join('\n')}\n`)
    }
    const read = await readCaseFile(zipSync(await rehashed(files)))
    if (!read.ok) continue
    taken += 1
    expect({ path, told: await plainOf(read.value.content) }).toEqual({ path, told })
  }
  expect(taken).toBeLessThan(MUTATIONS)
}, 300_000)

/** The files with a trail whose chain holds and a manifest whose hashes do. */
async function rehashed(files: Record<string, Uint8Array>): Promise<Record<string, Uint8Array>> {
  const out = { ...files }
  const manifest = JSON.parse(Buffer.from(out['manifest.json']!).toString('utf8'))
  const trail = out['trail.ndjson']
  if (trail) {
    const linked = relinked(
      Buffer.from(trail)
        .toString('utf8')
        .trim()
        .split('\n')
        .map((line) => JSON.parse(line)),
    )
    out['trail.ndjson'] = strToU8(linked.trail.map((entry) => `${canonicalJson(entry)}\n`).join(''))
    manifest.trail = linked.head
  }
  delete out['manifest.json']
  manifest.files = Object.entries(out).map(([path, bytes]) => ({
    path,
    bytes: bytes.length,
    sha256: createHash('sha256').update(bytes).digest('hex'),
  }))
  return { ...out, 'manifest.json': strToU8(JSON.stringify(manifest)) }
}
