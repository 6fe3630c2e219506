import { AT_ONCE } from '@/answers/computing'
import { type CaseContent, type ContentFinding, sha256 } from '@/casefile/content'
import { canonicalJson } from '@/desk/canonicalJson'
import { chained } from '@/desk/trail/chain'
import { OUTCOME_WORDS } from '@/words/en/findingWords'
import { inputOf, studyClaims } from '@/report/study'

const idOf = (number: number) => `0190163d-8694-739b-aea5-${String(number).padStart(12, '0')}`

/** The first claim of a case signed as it stands, but for what is changed of the finding. */
export async function signedFinding(
  content: CaseContent,
  number: number,
  change: Partial<ContentFinding> = {},
): Promise<ContentFinding> {
  const [study] = await studyClaims(content, { isExamined: false, computing: AT_ONCE })
  const { claim, samples, checked } = study!
  const { document, result } = checked!
  const { id: claimId, draft } = claim
  const by = { signedBy: 'A. Officer', signedOn: '2026-11-03' }
  const signed = canonicalJson({
    kind: 'true-weight-signed-finding',
    claim: { id: claimId, caseId: content.case.id, draft },
    samples: samples.map(({ id, draft, file }) => ({ id, draft, file })),
    ...{ document, result, ...by },
  })
  return {
    ...{ id: idOf(400 + number), claimId, number, ...by },
    ...{ outcome: result.finding.outcome, coreVersion: result.coreVersion },
    ...{ inputFingerprint: inputOf(document, draft), fingerprint: sha256(signed) },
    ...{ createdAt: '2026-11-03T10:43:00.000Z', signed, jws: '' },
    ...change,
  }
}

/** A case with findings that were signed of it, each with its entry on the trail. */
export function withSigned(content: CaseContent, findings: readonly ContentFinding[]): CaseContent {
  const trail = [...content.trail]
  for (const { claimId, signedBy: who, createdAt: at, number, outcome, fingerprint } of findings) {
    const detail = `Finding ${number}: ${OUTCOME_WORDS[outcome]}, fingerprint ${fingerprint}`
    const entry = { id: idOf(500 + number), caseId: content.case.id, at, who, action: 'signed' as const }
    const last = { length: trail.length, hash: trail.at(-1)!.hash }
    trail.push(chained({ ...entry, claimId, sampleId: null, detail, before: '', after: '' }, last, sha256))
  }
  return { ...content, findings, trail, head: { length: trail.length, hash: trail.at(-1)!.hash } }
}
