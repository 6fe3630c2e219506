import type { Computing } from '@/answers/computing'
import { differencesNow } from '@/answers/differences'
import { asksForControl } from '@/answers/claim'
import type { ClaimDocument } from '@/claims/checkAnswer'
import type { CheckAnswer } from '@/claims/checkAnswer'
import { CORE_VERSION } from '@/claims/terms/version'
import { canonicalJson } from '@/desk/canonicalJson'
import { askedOf } from '@/intake/readDraft'
import { readClaimAgainst } from '@/intake/claimDocument'
import type { CaseContent, ContentClaim, Manifest } from './content'
import { type Entries, jsonOf, pathsIn, textOf, Wrong } from './entries'

/**
 * What the claims come to here is what the file says that they came to. Where another core made it, whatever comes out
 * otherwise is told, and does not stand against the file.
 */
export async function verifyChecks(
  entries: Entries,
  content: CaseContent,
  { coreVersion }: Manifest,
  computing: Computing,
): Promise<readonly string[]> {
  const differences: string[] = []
  const isOwn = coreVersion === CORE_VERSION
  for (const [at, claim] of content.claims.entries()) {
    const place = pathsIn(entries, 'claims', 'json')[at]!.slice('claims/'.length)
    const document = await documentIn(content, claim)
    const [checkPath, resultPath] = [`checks/${place}`, `results/${place}`]
    const [stated, found] = [textOf(entries.get(checkPath)), textOf(entries.get(resultPath))]
    const result = document && (await computing.check(document))
    if (!isOwn) differences.push(...(await differencesOf({ place, stated, found, document, computing })))
    else if (stated !== lineOf(document))
      throw new Wrong(checkPath, `${checkPath} does not follow from the claim and its samples.`)
    else if (found !== lineOf(result))
      throw new Wrong(resultPath, `${resultPath} is not what ${checkPath} comes to.`)
  }
  return differences
}

/** Where a check that another core made comes out otherwise. */
async function differencesOf(
  input: Readonly<{
    place: string
    stated: string
    found: string
    document: ClaimDocument | undefined
    computing: Computing
  }>,
): Promise<readonly string[]> {
  const { place, stated, found, computing } = input
  const document = [input.document, withoutMeasurement(input.document)].find((one) => stated === lineOf(one))
  if (stated !== lineOf(document)) return [`checks/${place}`]
  if (found === '' || !document) return found === '' && !document ? [] : [`results/${place}`]
  const before = jsonOf(found, `results/${place}`) as CheckAnswer
  return (await differencesNow(before, document, computing)).map((path) => `results/${place}: ${path}`)
}

/** A check as a core before 0.10 read it, which held nothing against what is stated of the instrument. */
function withoutMeasurement(document: ClaimDocument | undefined): ClaimDocument | undefined {
  if (!document || asksForControl(document) || !('measurement' in document.evidence)) return document
  const { measurement: _, ...evidence } = document.evidence
  return { ...document, evidence }
}

async function documentIn({ samples }: CaseContent, { draft }: ContentClaim) {
  const reading = await readClaimAgainst(draft, async (id) => samples.find((sample) => sample.id === id))
  return reading && askedOf(reading)
}

const lineOf = (value: unknown): string => (value === undefined ? '' : `${canonicalJson(value)}\n`)
