import type { LotsDocument } from '@/claims/groups/lotsRequest'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import type { ClaimDraft } from '@/desk/claimDraft'
import { readClaimAgainst, type SampleSource } from './claimDocument'
import { dateText } from './reading/date'
import { readDay } from './reading/day'

/** A lot that a claim can't be held against, and why. */
export type LotLeftOut = Readonly<{ label: string; why: string }>

/**
 * A claim held against its own sample and those of other lots, each by itself, as a request; and the lots that have nothing to
 * test yet.
 *
 * @param wants.pool - whether the readings of all are tested as one sample too
 */
export async function readLots(
  draft: ClaimDraft,
  sourceOf: (id: string) => Promise<SampleSource | undefined>,
  wants: Readonly<{ pool: boolean }>,
): Promise<Outcome<Readonly<{ document: LotsDocument; leftOut: readonly LotLeftOut[] }>>> {
  const lots: LotsDocument['lots']['lots'] = []
  const leftOut: LotLeftOut[] = []
  let said: Pick<LotsDocument['lots'], 'claim' | 'test'> = {}
  for (const [at, sampleId] of [draft.sampleId, ...draft.lots].entries()) {
    const source = await sourceOf(sampleId)
    if (!source || source.draft.isDiscarded) continue
    const label = nameOf(source, at, lots)
    const reading = await readClaimAgainst({ ...draft, sampleId }, sourceOf)
    const { document, control } = reading ?? {}
    const day = readDay(source.draft.drawnWhen)
    const dated = { label, ...(day?.ok ? { day: dateText(day.first) } : {}) }
    if (document) {
      const { claim, test, evidence } = document
      said = { claim, ...(test ? { test } : {}) }
      lots.push({ ...dated, evidence })
    } else if (control) lots.push({ ...dated, content: control.content })
    else {
      const [why] = [...(reading?.missing ?? []), ...(reading?.problems ?? [])]
      leftOut.push({ label, why: why?.message ?? 'There is nothing to test yet.' })
    }
  }
  if (lots.length === 0)
    return failure({
      code: 'not-complete',
      path: 'lots',
      message: leftOut[0]?.why ?? 'No lot has anything to test yet.',
    })
  const { adjustment: adjust } = draft
  return success({ document: { lots: { ...said, lots, adjust, pool: wants.pool } }, leftOut })
}

/** What the lot is called: each by a name of its own. */
function nameOf(
  { draft: { lot, name } }: SampleSource,
  at: number,
  known: LotsDocument['lots']['lots'],
): string {
  const own = lot.trim() || name.trim() || `Lot ${at + 1}`
  return known.some(({ label }) => label === own) ? `${own} (${at + 1})` : own
}
