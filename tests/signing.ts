import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { type OwnKey, proofOf } from '@tests/keys'
import { valueOf } from '@tests/outcome'
import { openCase } from '@/server/case/changeCase'
import { documentOf } from '@/server/check/documentOf'
import { readClaim } from '@/server/claim/readClaim'
import { saveClaim } from '@/server/claim/saveClaim'
import { fingerprintOfValue } from '@/server/fingerprint'
import { exportCase } from '@/server/keeping/caseFile'
import { database } from '@/server/keeping/database'
import { readSampleDraft } from '@/server/sample/readSample'
import { saveSample } from '@/server/sample/saveSample'
import { enterKey } from '@/server/keys/keys'

export const now = new Date('2026-11-03T10:42:00Z')
export const later = new Date('2026-11-03T10:43:00Z')

export const enter = (own: OwnKey, at = now, name?: string) =>
  enterKey({ proof: proofOf(own, at.toISOString(), name) }, now)

/** A claim that can be signed, and what whoever signs has before them. */
export async function signable(signedBy = 'A. Officer') {
  const { caseId, claimId } = await openCase({ by: 'A. Officer', now })
  const { draft } = (await readClaim(caseId, claimId))!.claim
  const sample = valueOf(await readSampleDraft(draft.sampleId))
  const readings = { ...sample.draft, readings: '14.1 14.2 14.0 14.1' }
  valueOf(await saveSample(draft.sampleId, { draft: readings, revision: 1, by: 'A. Officer' }, now))
  const whole = { ...draft, claimedValue: '15' }
  valueOf(await saveClaim(claimId, { draft: whole, revision: 1, by: 'A. Officer' }, now))
  const document = await documentOf(await database(), whole)
  const inputFingerprint = fingerprintOfValue({ document, remarks: whole.remarks })
  return { caseId, claimId, draft: whole, signature: { signedBy, signedOn: '2026-11-03', inputFingerprint } }
}

/** The case as a file, and where a register goes that it is held against. */
export async function filesOf(caseId: string) {
  const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-keys-'))
  const pieces = []
  for await (const piece of valueOf(await exportCase(caseId)).bytes) pieces.push(piece)
  const files = { case: path.join(folder, 'case.zip'), register: path.join(folder, 'keys.json') }
  writeFileSync(files.case, Buffer.concat(pieces))
  return files
}
