import { type ClaimDraft, isControlled } from '@/desk/claimDraft'
import type { Outcome } from '@/claims/terms/outcome'
import type { SampleDraft } from '@/desk/sampleDraft'
import { readControl } from './readControl'
import { type DraftReading, readDraft } from './readDraft'
import { type EvidenceReading, readEvidence } from './readEvidence'
import type { Column } from './sheet/columns'
import { readTypedSheet } from './sheet/typedSheet'
import { sidesOf } from './sides'
import { columnsWanted, type Taken, takenFrom } from './takenFrom'
import { joinSources } from './twoSources'

/** A sample, and the sheet of its file where it has one. */
export type SampleSource = Readonly<{
  draft: SampleDraft
  sheet?: Readonly<{
    rowCount: number
    /** The columns of these names, in the sheet's order; all of them without names. */
    columns: (names?: readonly string[]) => Promise<readonly Column[]>
  }>
}>

/** A claim read against its samples, as the workbench shows it. */
export type ClaimReading = DraftReading & Readonly<{ evidence: EvidenceReading; second?: EvidenceReading }>

/**
 * Reads a claim and the samples that it is held against.
 *
 * @param sourceOf - finds a sample by its identifier
 * @returns undefined where a sample is not there
 */
export async function readClaimAgainst(
  draft: ClaimDraft,
  sourceOf: (id: string) => Promise<SampleSource | undefined>,
): Promise<ClaimReading | undefined> {
  const evidenceOf = async (side: ClaimDraft) => {
    const source = await sourceOf(side.sampleId)
    return source && readEvidence({ sample: source.draft, taken: await takenOf(side, source), draft: side })
  }
  const [own, other] = sidesOf(draft)
  const first = await evidenceOf(own)
  const second = other && (await evidenceOf(other))
  if (!first || (other && !second)) return undefined
  return { ...readSides(draft, { first, second }), ...(second ? { second } : {}) }
}

/** A claim with what each of its sources comes to. */
export function readSides(
  draft: ClaimDraft,
  { first, second }: Readonly<{ first: EvidenceReading; second: EvidenceReading | undefined }>,
): DraftReading & Readonly<{ evidence: EvidenceReading }> {
  if (isControlled(draft)) return { ...readControl(draft, { first, second }), evidence: first }
  const evidence = second ? joinSources(draft, { first, second }) : first
  return { ...readDraft(draft, evidence), evidence }
}

/** What a claim takes from the sheet of its sample: of a file, only the columns that it needs are read. */
export async function takenOf(
  draft: ClaimDraft,
  { draft: sample, sheet }: SampleSource,
): Promise<Outcome<Taken> | undefined> {
  if (sample.kind === 'typed') return takenFrom(readTypedSheet(sample), draft, sample)
  if (!sheet) return undefined
  const { rowCount } = sheet
  return takenFrom({ columns: await sheet.columns(columnsWanted(draft, sample)), rowCount }, draft, sample)
}
