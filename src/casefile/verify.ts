import { check } from '@/answers/check'
import { differencesNow } from '@/answers/differences'
import type { CheckDocument } from '@/claims/terms/request'
import type { CheckAnswer } from '@/claims/result'
import { CORE_VERSION } from '@/claims/terms/version'
import { canonicalJson } from '@/desk/canonicalJson'
import { verifyChain } from '@/desk/trail/chain'
import { readClaimAgainst } from '@/intake/claimDocument'
import { verdictWords } from '@/words/en/trailWords'
import { type CaseContent, type ContentClaim, type ContentFinding, type Manifest, sha256 } from './content'
import { type Entries, jsonOf, pathsIn, textOf, Wrong } from './entries'

/** @throws Wrong where the chain of the trail does not hold */
export function verifyTrail({ trail, head }: CaseContent): void {
  const verdict = verifyChain(trail, sha256, head)
  if (!verdict.holds) throw new Wrong('trail.ndjson', `${verdictWords(verdict)}`)
}

/** @throws Wrong where a signed text has not the fingerprint that it was signed with */
export function verifyFindings({ findings }: CaseContent): void {
  const altered = findings.find(({ signed, fingerprint }) => sha256(signed) !== fingerprint)
  if (altered)
    throw new Wrong(
      'findings',
      `the signed finding ${altered.number} of claim ${altered.claimId} was altered: ${fingerprintWords(altered)}`,
    )
}

function fingerprintWords({ signed, fingerprint }: ContentFinding): string {
  return `its fingerprint is ${sha256(signed)}, and it was signed with ${fingerprint}.`
}

/**
 * What the claims come to here is what the file says that they came to. Where another core made it, whatever comes out
 * otherwise is told, and does not stand against the file.
 */
export async function verifyChecks(
  entries: Entries,
  content: CaseContent,
  { coreVersion }: Manifest,
): Promise<readonly string[]> {
  const differences: string[] = []
  const isOwn = coreVersion === CORE_VERSION
  for (const [at, claim] of content.claims.entries()) {
    const place = pathsIn(entries, 'claims', 'json')[at]!.slice('claims/'.length)
    const document = await documentIn(content, claim)
    const [checkPath, resultPath] = [`checks/${place}`, `results/${place}`]
    const [stated, found] = [textOf(entries.get(checkPath)), textOf(entries.get(resultPath))]
    const result = document && check(document)
    if (!isOwn) differences.push(...differencesOf({ place, stated, found, document }))
    else if (stated !== lineOf(document))
      throw new Wrong(checkPath, `${checkPath} does not follow from the claim and its samples.`)
    else if (found !== lineOf(result))
      throw new Wrong(resultPath, `${resultPath} is not what ${checkPath} comes to.`)
  }
  return differences
}

/** Where a check that another core made comes out otherwise. */
function differencesOf(
  input: Readonly<{
    place: string
    stated: string
    found: string
    document: CheckDocument | undefined
  }>,
): readonly string[] {
  const { place, stated, found, document } = input
  if (stated !== lineOf(document)) return [`checks/${place}`]
  if (found === '' || !document) return found === '' && !document ? [] : [`results/${place}`]
  const before = jsonOf(found, `results/${place}`) as CheckAnswer
  return differencesNow(before, document).map((path) => `results/${place}: ${path}`)
}

async function documentIn({ samples }: CaseContent, { draft }: ContentClaim) {
  return (await readClaimAgainst(draft, async (id) => samples.find((sample) => sample.id === id)))?.document
}

const lineOf = (value: unknown): string => (value === undefined ? '' : `${canonicalJson(value)}\n`)
