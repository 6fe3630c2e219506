import 'server-only'
import { canonicalJson } from '@/desk/canonicalJson'
import { check } from '@/answers/check'
import type { CheckDocument } from '@/claims/request'
import type { CheckAnswer, CheckResult } from '@/claims/result'
import type { ClaimDraft } from '@/desk/claimDraft'
import type { SampleDraft } from '@/desk/sampleDraft'
import { CORE_VERSION } from '@/claims/version'
import { findFinding, type FindingLine, type FindingRow, listFindings } from '@/data/findingRepository'
import { database } from './database'
import { fingerprintOf } from './fingerprint'
import { isIdentifier } from './identifier'

export type { FindingLine }

/** What was signed. */
export type SignedFinding = Readonly<{
  claim: Readonly<{ id: string; caseId: string; draft: ClaimDraft }>
  samples: readonly Readonly<{ id: string; draft: SampleDraft }>[]
  document: CheckDocument
  result: CheckResult
  signedBy: string
  signedOn: string
}>

/** A signed finding, and whether it is still what was signed and comes to the same figures when it is computed again. */
export type VerifiedFinding = Readonly<{
  row: FindingRow
  signed: SignedFinding
  /** Whether the stored text has the fingerprint that was taken when it was signed. */
  isWhole: boolean
  coreVersion: string
  /** Where the figures computed now differ from those signed, by their path; none where all are the same. */
  differences: readonly string[]
}>

export async function readFindingsOf(claimId: string): Promise<readonly FindingLine[]> {
  return isIdentifier(claimId) ? listFindings(await database(), claimId) : []
}

/** A signed finding as it was stored, byte for byte. */
export async function readSigned(claimId: string, number: string): Promise<FindingRow | undefined> {
  const wanted = Number(number)
  if (!isIdentifier(claimId) || !Number.isInteger(wanted) || wanted < 1 || wanted > 2 ** 31 - 1)
    return undefined
  return findFinding(await database(), claimId, wanted)
}

/** Reads a signed finding and computes it again. */
export async function verifyFinding(claimId: string, number: string): Promise<VerifiedFinding | undefined> {
  const row = await readSigned(claimId, number)
  if (!row) return undefined
  const signed = JSON.parse(row.signed) as SignedFinding
  return {
    row,
    signed,
    isWhole: fingerprintOf(row.signed) === row.fingerprint,
    coreVersion: CORE_VERSION,
    differences: differencesIn(signed.result, check(signed.document)),
  }
}

/** Told apart, and how the working is worded: no differences of what was found. */
const LEFT_OUT: readonly string[] = ['coreVersion', 'working']

/** Paths at which two results differ. */
function differencesIn(before: CheckResult, after: CheckAnswer): readonly string[] {
  const found: string[] = []
  const compare = (one: unknown, other: unknown, path: string) => {
    if (canonicalJson([one]) === canonicalJson([other]) || LEFT_OUT.includes(path)) return
    const isBoth = [one, other].every((value) => value !== null && typeof value === 'object')
    if (!isBoth) return void found.push(path)
    for (const key of new Set([...Object.keys(one as object), ...Object.keys(other as object)])) {
      const at = (value: unknown) => (value as Readonly<Record<string, unknown>>)[key]
      compare(at(one), at(other), path === '' ? key : `${path}.${key}`)
    }
  }
  compare(before, after, '')
  return found
}
