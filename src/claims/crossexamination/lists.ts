import type { Entries } from '../terms/entries'
import type { CheckDocument, Evidence } from '../terms/request'

/** One list of readings of the evidence. */
export type List = Readonly<{
  values: readonly number[]
  setAside: readonly number[]
  of?: 'first' | 'second'
  /** The evidence with another list of what is set aside. */
  with: (setAside: readonly number[]) => Evidence
  /** The evidence with more readings in the list. */
  withMore: (more: readonly number[]) => Evidence
  /** What became of the entries that it was taken from. */
  entries: Entries | undefined
}>

/** The lists of readings that evidence has: one, two, or none. */
export function listsOf(evidence: CheckDocument['evidence']): readonly List[] {
  if (evidence.kind === 'readings' || evidence.kind === 'event-counts') {
    const { setAside: _, ...rest } = evidence
    return [
      {
        values: evidence.values,
        setAside: evidence.setAside ?? [],
        with: (setAside) => (setAside.length === 0 ? rest : { ...rest, setAside: [...setAside] }),
        withMore: (more) => ({ ...evidence, values: [...evidence.values, ...more] }),
        entries: evidence.entries?.[0],
      },
    ]
  }
  if (evidence.kind !== 'two-readings') return []
  return (['first', 'second'] as const).map((of) => ({
    values: evidence[of],
    setAside: evidence[`${of}SetAside`] ?? [],
    of,
    with: (setAside) => ({ ...evidence, [`${of}SetAside`]: [...setAside] }),
    withMore: (more) => ({ ...evidence, [of]: [...evidence[of], ...more] }),
    entries: evidence.entries?.[of === 'first' ? 0 : 1],
  }))
}

/** The evidence with every reading that is set aside put back; undefined where none is. */
export function withEverything(evidence: CheckDocument['evidence']): Evidence | undefined {
  if (listsOf(evidence).every(({ setAside }) => setAside.length === 0)) return undefined
  if (evidence.kind === 'readings' || evidence.kind === 'event-counts') return { ...evidence, setAside: [] }
  return evidence.kind === 'two-readings' ? { ...evidence, firstSetAside: [], secondSetAside: [] } : undefined
}
