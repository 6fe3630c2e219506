import { failure, type Outcome, success } from '@/claims/terms/outcome'
import {
  BENCH_IDS,
  BENCH_PARTS,
  type BenchCheck,
  type BenchPart,
  benchPartFrom,
  EMPTY_BENCH,
  isBenchEmpty,
  isSameCheck,
} from '@/desk/bench'
import type { DraftStore } from '@/ui/saving/DraftStore'

/** A check as this browser keeps it, with the revision of each of its parts. */
export type Kept = Readonly<{ check: BenchCheck; revisions: Readonly<Record<BenchPart, number>> }>

type Stored<T> = Readonly<{ draft: T; revision: number }>

const KEY = 'true-weight-bench'
const ADDRESSES: Readonly<Record<string, BenchPart>> = {
  [`/api/claims/${BENCH_IDS.claim}`]: 'claim',
  [`/api/samples/${BENCH_IDS.sample}`]: 'sample',
  [`/api/samples/${BENCH_IDS.second}`]: 'second',
}
const NO_ROOM = {
  code: 'no-room',
  path: '',
  message: 'This browser has no room for so much. Put the check into a case: it is kept there.',
}
const ELSEWHERE = { code: 'changed-elsewhere', path: '', message: 'Another window has changed the bench.' }

/** The drafts of the bench, in this browser. */
export const benchStore: DraftStore = {
  read: (address) => Promise.resolve(success(storedPart(ADDRESSES[address]!)) as Outcome<never>),
  isShownByServer: false,
  write: (address, change) => Promise.resolve(written(ADDRESSES[address]!, change as Stored<never>) as never),
}

function written<Part extends BenchPart>(
  part: Part,
  { draft, revision }: Stored<BenchCheck[Part]>,
): Outcome<Readonly<{ revision: number; savedAt: string }>> {
  if (storedPart(part).revision !== revision) return failure(ELSEWHERE)
  return put(part, { draft, revision: revision + 1 })
    ? success({ revision: revision + 1, savedAt: new Date().toISOString() })
    : failure(NO_ROOM)
}

/** What lies on the bench. */
export function readBench(): Kept {
  const [claim, sample, second] = [storedPart('claim'), storedPart('sample'), storedPart('second')]
  return {
    check: { claim: claim.draft, sample: sample.draft, second: second.draft },
    revisions: { claim: claim.revision, sample: sample.revision, second: second.revision },
  }
}

/**
 * Lays a check on the bench; what lay there is kept beside it, unless it was nothing.
 *
 * @param before - what lies there, as it stands on the page
 */
export function layOnBench(check: BenchCheck, before: BenchCheck): Kept {
  const { revisions } = readBench()
  if (isSameCheck(before, check)) return readBench()
  if (!isBenchEmpty(before)) {
    // There is room for it, because it was there.
    for (const part of BENCH_PARTS) localStorage.removeItem(`${KEY}:${part}`)
    setItem(`${KEY}:before`, before)
  }
  for (const part of BENCH_PARTS) put(part, { draft: check[part], revision: revisions[part] + 1 })
  return readBench()
}

/** What lay on the bench before; nothing where it has always been this. */
export function readBefore(): BenchCheck | undefined {
  const kept = item(`${KEY}:before`) as Partial<Record<BenchPart, unknown>> | undefined
  if (typeof kept !== 'object' || kept === null) return undefined
  const check = {
    claim: benchPartFrom('claim', kept.claim),
    sample: benchPartFrom('sample', kept.sample),
    second: benchPartFrom('second', kept.second),
  }
  return isBenchEmpty(check) ? undefined : check
}

function storedPart<Part extends BenchPart>(part: Part): Stored<BenchCheck[Part]> {
  const kept = item(`${KEY}:${part}`) as Partial<Stored<unknown>> | null | undefined
  const revision = typeof kept?.revision === 'number' ? kept.revision : 0
  return { draft: benchPartFrom(part, kept?.draft ?? EMPTY_BENCH[part]), revision }
}

const put = (part: BenchPart, stored: Stored<unknown>) => setItem(`${KEY}:${part}`, stored)

function item(key: string): unknown {
  try {
    return JSON.parse(localStorage.getItem(key) ?? 'null') as unknown
  } catch {
    return undefined
  }
}

/** Whether there was room for it. */
function setItem(key: string, value: unknown): boolean {
  try {
    localStorage.setItem(key, JSON.stringify(value))
    return true
  } catch {
    return false
  }
}
