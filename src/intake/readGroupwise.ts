import type { GroupsDocument } from '@/claims/groups/groupsRequest'
import { type ClaimDraft, countsRows, isControlled } from '@/desk/claimDraft'
import type { SampleDraft } from '@/desk/sampleDraft'
import { failure, type Outcome, type Problem, success } from '@/claims/terms/outcome'
import { parameterOf } from '@/claims/all'
import { readEvidence } from './readEvidence'
import { readSides, type SampleSource, takenOf } from './claimDocument'
import { sidesOf } from './sides'
import type { Taken } from './takenFrom'

type Groups = GroupsDocument['groups']

/**
 * A claim held against each entry of its column of groups, as a request.
 *
 * @returns what is missing or can't be read, in words
 */
export async function readGroupwise(
  draft: ClaimDraft,
  sourceOf: (id: string) => Promise<SampleSource | undefined>,
): Promise<Outcome<GroupsDocument>> {
  const [own, other] = sidesOf(draft)
  if (parameterOf(draft.parameter).sample === 'two' && !isControlled(draft)) return failure(OF_TWO)
  const source = await sourceOf(own.sampleId)
  if (!source) return failure(NO_SAMPLE)
  const { draft: sample } = source
  if (sample.groupedBy === 'strata') return failure(OF_LAYERS)
  // The groups are read as clusters are; those that the sample states are read beside them.
  const taken = await takenOf(own, withGroups(source, draft.groupsBy))
  const clusters =
    sample.groupedBy === 'clusters' && sample.groupColumn !== draft.groupsBy
      ? await takenOf(own, source)
      : undefined
  const plain = { ...sample, groupedBy: 'none' } as const
  const first = readEvidence({ sample: plain, taken, draft: own })
  const second = other && (await secondEvidence(other, sourceOf))
  const reading = readSides(draft, { first, second })
  const why = [...reading.missing, ...reading.problems][0]
  if (why) return failure({ code: 'not-complete', path: why.field, message: why.message })
  if (!taken?.ok || !taken.value.groups) return failure(NO_ROWS)
  const shared = {
    labels: [...taken.value.groups],
    ...(clusters?.ok && clusters.value.groups ? { cluster: [...clusters.value.groups] } : {}),
    adjust: draft.adjustment,
  }
  const request = reading.control
    ? ofControl(reading.control.content)
    : reading.document && ofClaim(draft, reading.document, taken.value, sample)
  return request ? success({ groups: { ...request, ...shared } }) : failure(NO_ROWS)
}

const withGroups = (source: SampleSource, groupColumn: string): SampleSource => ({
  ...source,
  draft: { ...source.draft, groupedBy: 'clusters', groupColumn },
})

async function secondEvidence(
  draft: ClaimDraft,
  sourceOf: (id: string) => Promise<SampleSource | undefined>,
) {
  const source = await sourceOf(draft.sampleId)
  return source && readEvidence({ sample: source.draft, taken: await takenOf(draft, source), draft })
}

type Own = Omit<Groups, 'labels' | 'adjust' | 'cluster'>

function ofControl(content: NonNullable<Awaited<ReturnType<typeof readSides>>['control']>['content']): Own {
  const {
    values,
    gross,
    setAside,
    drawn,
    independence,
    lotSize: _,
    entries: _entries,
    operating: _operating,
    ...own
  } = content
  return {
    content: own,
    values: gross ?? values ?? [],
    ...(setAside ? { setAside } : {}),
    ...(drawn ? { drawn } : {}),
    ...(independence ? { independence } : {}),
  }
}

function ofClaim(
  draft: ClaimDraft,
  { claim, test, evidence }: NonNullable<Awaited<ReturnType<typeof readSides>>['document']>,
  taken: Taken,
  sample: SampleDraft,
): Own | undefined {
  const { drawn, independence } = evidence
  const shared = {
    claim,
    ...(test ? { test } : {}),
    ...(drawn ? { drawn } : {}),
    ...(independence ? { independence } : {}),
  }
  if (countsRows(draft)) {
    const listed = taken.count?.listed
    if (!listed) return undefined
    const left = new Set(sample.setAside.map(({ row }) => row))
    const setAside = listed.rows.flatMap((row, at) => (left.has(row) ? [at] : []))
    return { ...shared, values: [...listed.marks], setAside }
  }
  if (evidence.kind === 'readings' && !evidence.censored)
    return { ...shared, values: evidence.values, setAside: evidence.setAside ?? [] }
  if (evidence.kind === 'event-counts') {
    const { values, setAside = [], exposureEach } = evidence
    return { ...shared, values, setAside, exposures: exposureEach }
  }
  return undefined
}

const problem = (message: string): Problem => ({ code: 'not-group-by-group', path: 'groupsBy', message })

const OF_TWO = problem(
  'A claim about two sources can’t be held against each group: keep the rows of one group for each source instead.',
)
const NO_SAMPLE = problem('The sample is not there. Load the page again.')
const OF_LAYERS = problem(
  'The sample is drawn by layers of its lot, which are weighed together, so it is not parted into groups as well. Enter each layer as a sample of its own, and hold the claim against these as lots.',
)
const NO_ROWS = problem(
  'There are no rows to tell groups by: a claim is held against each entry of a column, and summary figures, a count, or entries that are limits have none.',
)
