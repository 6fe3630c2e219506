import type { ChainedEntry, TrailAction } from '@/desk/trail/chain'

/** What is stored while somebody types, and so many times in one go. */
const TYPED: readonly TrailAction[] = ['changed', 'claim-changed', 'sample-changed']
const LONGEST_PAUSE_MS = 60_000

type Place = Pick<ChainedEntry, 'number' | 'at' | 'who' | 'action' | 'claimId' | 'sampleId'>

/** Entries that the same person wrote in one go about the same thing, one after the other; each run in the order given. */
export function runsOf<Entry extends Place>(entries: readonly Entry[]): readonly (readonly Entry[])[] {
  const runs: Entry[][] = []
  for (const entry of entries) {
    const run = runs.at(-1)
    if (run && isOneGo(run.at(-1)!, entry)) run.push(entry)
    else runs.push([entry])
  }
  return runs
}

function isOneGo(one: Place, other: Place): boolean {
  const pause = Math.abs(Date.parse(one.at) - Date.parse(other.at))
  return (
    TYPED.includes(one.action) &&
    Math.abs(one.number - other.number) === 1 &&
    pause <= LONGEST_PAUSE_MS &&
    (['who', 'action', 'claimId', 'sampleId'] as const).every((key) => one[key] === other[key])
  )
}
