import 'server-only'
import { differencesNow } from '@/answers/differences'
import type { ClaimDocument, ClaimResult } from '@/claims/checkAnswer'
import { signatureOf } from '@/casefile/signature'
import type { Signature } from '@/desk/signature'
import type { ClaimDraft } from '@/desk/claimDraft'
import type { SampleDraft } from '@/desk/sampleDraft'
import { CORE_VERSION } from '@/claims/terms/version'
import { findFinding, type FindingLine, type FindingRow, listFindings } from '@/data/findingRepository'
import { computing } from '../compute/computing'
import { database } from '../keeping/database'
import { registeredKeys } from '../keys/keys'
import { fingerprintOf } from '../fingerprint'
import { isIdentifier } from '../identifier'

export type { FindingLine }

/** What was signed. */
export type SignedFinding = Readonly<{
  claim: Readonly<{ id: string; caseId: string; draft: ClaimDraft }>
  samples: readonly Readonly<{ id: string; draft: SampleDraft }>[]
  document: ClaimDocument
  result: ClaimResult
  signedBy: string
  enteredBy?: string
  signedOn: string
}>

/** A signed finding, and whether it is still what was signed and comes to the same figures when it is computed again. */
export type VerifiedFinding = Readonly<{
  row: FindingRow
  signed: SignedFinding
  /** Whether the stored text has the fingerprint that was taken when it was signed. */
  isWhole: boolean
  coreVersion: string
  /** How it is signed, held against the office's register. */
  signature: Signature
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
    signature: await signatureOf(row, await registeredKeys(await database())),
    isWhole: fingerprintOf(row.signed) === row.fingerprint,
    coreVersion: CORE_VERSION,
    differences: await differencesNow(signed.result, signed.document, computing()),
  }
}
