import type { Entries } from '@/claims/terms/entries'
import type { SampleDraft } from '@/desk/sampleDraft'
import type { EvidenceReading } from './readEvidence'
import { readGroups } from './readGroups'
import type { TakenCount } from './sheet/takeCount'
import type { Taken } from './takenFrom'

type Made = Partial<EvidenceReading>

export const listed = (entries: Entries | undefined) => (entries ? { entries: [entries] } : {})

/** For a share: how many of the rows have the property. */
export function fromRows({ n, successes, withSetAside }: TakenCount, entries: Entries | undefined): Made {
  if (n === 0) return { missing: [{ field: 'readings', message: 'There is no row to count yet.' }] }
  const { setAside: _, ...others } = entries ?? {}
  const whole = Object.keys(others).length > 0 ? others : undefined
  return {
    evidence: { kind: 'count', n, successes, ...listed(entries) },
    ...(withSetAside.n > n ? { withSetAside: { kind: 'count', ...withSetAside, ...listed(whole) } } : {}),
  }
}

/** For a share counted from rows that are of clusters or layers: each row, 1 where it has the property. */
export function fromMarks(
  sample: SampleDraft,
  { count, rows, groups: labels }: Taken,
  { left, entries }: Readonly<{ left: ReadonlySet<number>; entries: Entries | undefined }>,
): Made {
  const { marks } = count!.listed!
  if (marks.length === 0)
    return { missing: [{ field: 'readings', message: 'There is no row to count yet.' }] }
  const setAside = rows.flatMap((row, at) => (left.has(row) ? [at] : []))
  const { groups, ...read } = readGroups(sample, { labels, rows, isSetAside: (at) => left.has(rows[at]!) })
  if (!groups) return read
  return {
    rows,
    evidence: {
      kind: 'readings',
      values: [...marks],
      ...(setAside.length > 0 ? { setAside } : {}),
      ...groups,
      ...listed(entries),
    },
  }
}
