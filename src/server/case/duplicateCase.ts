import 'server-only'
import { type Outcome, success } from '@/claims/terms/outcome'
import { EMPTY_SAMPLE, type SampleDraft } from '@/desk/sampleDraft'
import { listClaims } from '@/data/claimRepository'
import { findSample, listSamples } from '@/data/sampleRepository'
import { addClaim } from '../claim/addClaim'
import { addSample } from '../sample/addSample'
import { addCaseToday } from './addCase'
import type { Doer } from '../doer'
import { inCase } from './changeCase'

/**
 * Opens a new case after the pattern of another one: its subject, party, people and claims, with samples that have the same
 * columns and instrument and nothing measured yet.
 */
export async function duplicateCase(
  caseId: string,
  doer: Doer,
): Promise<Outcome<Readonly<{ caseId: string }>>> {
  return inCase(caseId, async (transaction, pattern) => {
    const { subject, party, people } = pattern
    const newId = await addCaseToday(
      transaction,
      { subject, party, people },
      doer,
      `After the pattern of ${pattern.reference || caseId}`,
    )
    const samples = new Map<string, string>()
    for (const { id, isDiscarded } of await listSamples(transaction, caseId)) {
      if (isDiscarded) continue
      const draft = emptied((await findSample(transaction, id))!.draft)
      samples.set(id, await addSample(transaction, { caseId: newId, draft }, doer))
    }
    for (const { draft: known } of await listClaims(transaction, caseId)) {
      if (known.isDiscarded) continue
      const sampleId = samples.get(known.sampleId)!
      const secondSampleId = known.secondSampleId && samples.get(known.secondSampleId)!
      // A sample that was discarded is in no new case.
      const lots = known.lots.flatMap((id) => samples.get(id) ?? [])
      const draft = { ...known, sampleId, secondSampleId, lots, remarks: '' }
      await addClaim(transaction, { caseId: newId, draft }, doer)
    }
    return success({ caseId: newId })
  })
}

/** What of a sample says how one like it is taken, without what was measured, and without when, where and by whom. */
function emptied({
  name,
  kind,
  columns,
  decimalMark,
  drawnHow,
  instrument,
  resolution,
  procedure,
}: SampleDraft): SampleDraft {
  const shape = { name, columns, decimalMark, drawnHow, instrument, resolution, procedure }
  return { ...EMPTY_SAMPLE, ...shape, kind: kind === 'file' ? 'typed' : kind }
}
