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

type Told = Omit<ChainedEntry, 'number' | 'previous' | 'hash'>

/** A trail whose chain holds, whatever stands in its entries: this takes no key. */
export function relinked(entries: readonly Told[]): Pick<CaseContent, 'trail' | 'head'> {
  const trail: ChainedEntry[] = []
  for (const { ...entry } of entries) {
    const { number: _, previous: __, hash: ___, ...told } = entry as ChainedEntry
    trail.push(chained(told, { length: trail.length, hash: trail.at(-1)?.hash ?? '' }, sha256))
  }
  return { trail, head: { length: trail.length, hash: trail.at(-1)?.hash ?? '' } }
}

export const idOf = (number: number) => `0190163d-8694-739b-aea5-${String(number).padStart(12, '0')}`
const AT = '2026-11-04T09:00:00.000Z'

export const MASS: Column = {
  kind: 'number',
  name: 'mass',
  chunks: [Float64Array.of(14.9, 15.1, 15.02)],
  length: 3,
  missing: 0,
}

const NOTHING_SAID = { at: AT, claimId: null, sampleId: null, detail: '', before: '', after: '' }

/** A case with two claims, a file, a reading set aside, and a finding that was signed. */
export async function honest(): Promise<CaseContent> {
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
  const about = { caseId: one.case.id, ...NOTHING_SAID }
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

export async function bytesOf(content: CaseContent): Promise<Uint8Array> {
  const pieces: Uint8Array[] = []
  for await (const piece of writeCaseFile(content)) pieces.push(piece)
  return new Uint8Array(Buffer.concat(pieces))
}

export const refusalOf = async (content: CaseContent): Promise<string> => {
  const read = await readCaseFile(await bytesOf(content))
  return read.ok ? '' : read.problem.message
}

/** The signed finding with another text, and everything that is derived from a text made anew. */
export function resigned(
  finding: ContentFinding,
  change: (signed: Record<string, unknown>) => void,
): ContentFinding {
  const text = JSON.parse(finding.signed)
  change(text)
  const signed = canonicalJson(text)
  return { ...finding, signed, fingerprint: sha256(signed) }
}

export type Forgery = (content: CaseContent) => CaseContent
export const finding = ({ findings }: CaseContent) => findings[0]!
