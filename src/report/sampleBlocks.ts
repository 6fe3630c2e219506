import { parameterOf } from '@/claims/all'
import type { ContentClaim, ContentSample } from '@/casefile/content'
import { isControlled, takesTwo } from '@/desk/claimDraft'
import { weighedIn } from '@/intake/sides'
import { SOURCE_WORDS } from '@/words/en/conditionWords'
import { PROVENANCE_FIELDS } from '@/words/en/provenanceWords'
import { formatCount, formatReading, withUnit } from '@/words/figures'
import { madeWords } from '@/words/en/madeWords'
import { keptWords } from '@/words/en/rowConditionWords'
import { columnFor } from '@/intake/takenFrom'
import type { Unstated } from '@/desk/reportOptions'
import { asStated, type Row } from './cover'
import type { Block } from './document/document'
import type { Writer } from './language'
import type { ClaimStudy } from './study'

const RANDOM_WORDS = {
  unknown: 'not answered',
  random: 'yes',
  'not-random': 'no',
  independent: 'one by one',
  'not-independent': 'in groups',
} as const
const KIND_WORDS = {
  typed: 'readings, typed',
  file: 'readings, from a file',
  summary: 'summary figures only',
  count: 'a count only',
  events: 'events over an exposure',
} as const
const MAX_LISTED = 200

/** The samples that a claim is held against: where they come from, and what of them was taken. */
export function sampleBlocks(study: ClaimStudy, write: Writer, unstated: Unstated): readonly Block[] {
  const { samples, claim } = study
  const isOfTwo = takesTwo(claim.draft)
  const origins = samples.map((sample, at): Block => {
    const source =
      isOfTwo && samples.length > 1
        ? `, ${isControlled(claim.draft) ? (at === 0 ? 'packs' : 'empty packs') : SOURCE_WORDS[at === 0 ? 'first' : 'second']}`
        : ''
    return { is: 'facts', label: `Sample${source}`, rows: originOf(sample, write, unstated) }
  })
  return [...origins, ...takenBlocks(study, write)]
}

function originOf({ draft, file }: ContentSample, write: Writer, unstated: Unstated): readonly Row[] {
  return [
    ['Sample', draft.name || file?.fileName || 'without a name'],
    ['Kind of evidence', KIND_WORDS[draft.kind]],
    ...(file
      ? ([
          [
            'File',
            `${file.fileName}, ${write(formatCount(file.fileBytes))} bytes, ${write(formatCount(file.rowCount))} rows`,
          ],
          ['SHA-256 of the file', file.fileSha256],
        ] as const)
      : []),
    ...asStated(
      PROVENANCE_FIELDS.map(([field, name]) => [name, draft[field]]),
      unstated,
    ),
    ...draft.made.map((made) => ['Column made', write(madeWords(made))] as const),
    ...groupRows(draft),
    ['Chosen at random', RANDOM_WORDS[draft.drawnAtRandom]],
    ['Units taken', RANDOM_WORDS[draft.takenIndependently]],
  ]
}

/** Which readings belong together, as it is stated. */
function groupRows({
  groupedBy,
  groupColumn,
  clustersInLot,
  strataSizes,
}: ContentSample['draft']): readonly (readonly [string, string])[] {
  if (groupedBy === 'none') return []
  const sizes = strataSizes.split('\n').filter((line) => line.trim() !== '')
  return groupedBy === 'clusters'
    ? [['Clusters', `named in ${groupColumn}${clustersInLot ? `, of ${clustersInLot} in the lot` : ''}`]]
    : [['Layers of the lot', `named in ${groupColumn}; ${sizes.join(', ')}`]]
}

/** Which column and which rows the claim is about. */
function takenBlocks({ claim, samples, reading }: ClaimStudy, write: Writer): readonly Block[] {
  const { draft } = claim
  const [first] = samples
  const kind = parameterOf(draft.parameter).sample
  const rows: (readonly [string, string])[] = []
  if (first && first.draft.columns.length > 1 && kind !== 'counted')
    rows.push(['Column of the readings', columnFor(draft, first.draft)])
  if (draft.kept.length > 0) rows.push(['Rows kept', keptWords(draft.kept)])
  if (kind === 'counted' && draft.counted.length > 0) rows.push(['Rows that count', keptWords(draft.counted)])
  if (kind === 'two') {
    if (draft.secondColumn) rows.push(['Column of the second source', draft.secondColumn])
    if (draft.secondKept.length > 0)
      rows.push(['Rows kept of the second source', keptWords(draft.secondKept)])
  }
  if (isControlled(draft)) rows.push(...tareRows(draft))
  if (reading.evidence.conversion) rows.push(['Unit', `converted to ${weighedIn(draft) ?? draft.unit}`])
  return rows.length === 0
    ? []
    : [
        {
          is: 'facts',
          label: 'What was taken of it',
          rows: rows.map(([name, value]) => [name, write(value)] as const),
        },
      ]
}

/** How the content of a pack is known. */
function tareRows(draft: ContentClaim['draft']): readonly (readonly [string, string])[] {
  const { tareBy, tare, secondColumn, density, unit } = draft
  const taken = {
    none: 'as it was measured',
    stated: `gross less a stated tare of ${tare} ${weighedIn(draft) ?? unit}`,
    column: `gross less the tare in ${secondColumn}`,
    packs: `gross less the mean of empty packs${secondColumn === '' ? '' : `, in ${secondColumn}`}`,
  }[tareBy]
  return [['Content', taken], ...(weighedIn(draft) ? [['Density', `${density} g/mL`] as const] : [])]
}

/** What is set aside of the samples of a claim, with who and why. */
export function setAsideBlocks(study: ClaimStudy, write: Writer): readonly Block[] {
  return study.samples.flatMap((sample) => setAsideOf(study, sample, write))
}

function setAsideOf(
  { reading, claim }: ClaimStudy,
  { id, draft }: ContentSample,
  write: Writer,
): readonly Block[] {
  if (draft.setAside.length === 0) return []
  const evidence = id === claim.draft.sampleId ? reading.evidence : reading.second
  const valueAt = new Map(evidence?.rows.map((row, at) => [row, evidence.values[at]]))
  const unit = claim.draft.unit || undefined
  const shown = (row: number) => {
    const value = valueAt.get(row)
    return value === undefined ? '' : withUnit(formatReading(value), unit)
  }
  const listed = draft.setAside.slice(0, MAX_LISTED)
  const more = draft.setAside.length - listed.length
  return [
    {
      is: 'table',
      label: 'Set aside',
      heads: ['Set aside: row', 'Reading', 'Reason', 'By'],
      rows: listed.map(({ row, reason, by }) => [
        write(String(row + 1)),
        write(shown(row)),
        reason,
        by || 'nobody named',
      ]),
      numbers: [true, true, false, false],
    },
    ...(more > 0
      ? [
          {
            is: 'paragraph',
            text: write(`And ${formatCount(more)} more, which the case file lists.`),
          } as const,
        ]
      : []),
  ]
}
