import { checkDecision } from '../check'
import { type CheckDocument, type Evidence, USUAL_RESAMPLES } from '../terms/request'
import type { FindingOutcome } from '../finding'
import { moments } from '@/statistics/describe/moments'
import { methodOf } from '../all'
import type { Asked, LeftOut } from './asked'
import { type Examination, type Examined, isAgainst, type Question } from './question'
import { type List, listsOf } from './lists'
import type { MethodDefinition } from '../terms/definition'

/** A change that leaves one unit out, and how many units it stands for: equal readings make equal findings. */
type Change = Readonly<{ evidence: Evidence; stands: number; name: LeftOut }>

/** Readings looked at in all, over every change: keeps the longest examination at some seconds. */
const MAX_LOOKED_AT = 5_000_000
/** So many draws of a resample take as long as looking at a reading otherwise. */
const DRAWS_A_READING = 50
/** Up to so many readings each change is tested from the readings themselves. */
const MAX_FROM_READINGS = 300

/** Would the finding stand if each single reading were left out in turn? */
export function leaveOneOut({ document, result }: Examination): Question {
  const asked: Asked = {
    ask: 'each-left-out',
    unit: document.evidence.kind === 'count' ? 'unit' : 'reading',
  }
  const shared = { key: 'leave one out', asked }
  const ask = (): Examined => {
    const { changes, untried } = changesOf(document, methodOf(result.test.method))
    if (changes.length === 0) return { ...shared, note: { remark: 'readings-needed' } }
    const wasAgainst = isAgainst(result.finding.outcome)
    const turning: Change[] = []
    let tried = 0
    let turned: FindingOutcome | undefined
    for (const change of changes) {
      const outcome = checkDecision({ ...document, evidence: change.evidence })
      if (outcome === undefined) continue
      tried += change.stands
      if (isAgainst(outcome) === wasAgainst) continue
      turning.push(change)
      turned = outcome
    }
    if (tried === 0) return { ...shared, note: { remark: 'too-few-left' } }
    const count = turning.reduce((sum, { stands }) => sum + stands, 0)
    return {
      ...shared,
      outcome: turned ?? result.finding.outcome,
      stands: count === 0,
      note: {
        remark: 'left-out',
        tried,
        turning: count,
        names: turning.map(({ name }) => name),
        untried,
      },
    }
  }
  return { key: shared.key, ask }
}

function changesOf(
  document: CheckDocument,
  method: Pick<MethodDefinition, 'dependsOn' | 'work'>,
): Readonly<{ changes: readonly Change[]; untried: number }> {
  const { evidence, claim } = document
  if (evidence.kind === 'count') return { changes: withoutOneCounted(evidence), untried: 0 }
  const [list, ...others] = listsOf(evidence)
  if (!list) return { changes: [], untried: 0 }
  const isShort =
    others.length === 0 && list.values.length > MAX_FROM_READINGS && method.dependsOn === 'moments'
  if (isShort) return { changes: withoutOneByMoments(document), untried: 0 }
  const all = [list, ...others].flatMap((one) =>
    alike(one, method.dependsOn === 'places' ? 'singly' : 'by-value').map(({ value, indexes }) => ({
      evidence: () => one.with([...one.setAside, indexes[0]!].toSorted((a, b) => a - b)),
      stands: indexes.length,
      name: leftOut(indexes, { value, of: one.of, claim }),
      distance: value,
    })),
  )
  const readings = [list, ...others].reduce((sum, { values }) => sum + values.length, 0)
  const draws = method.work.isResampled ? (document.test?.resamples ?? USUAL_RESAMPLES) / DRAWS_A_READING : 0
  const max = Math.max(2, Math.floor(MAX_LOOKED_AT / (readings * (1 + draws))))
  const tried = farthest(all, max)
  const left =
    all.reduce((sum, { stands }) => sum + stands, 0) - tried.reduce((sum, { stands }) => sum + stands, 0)
  return {
    // A change is made ready only when it is looked at: a copy of each would not fit.
    changes: tried.map(({ evidence: make, stands, name }) => ({
      get evidence() {
        return make()
      },
      stands,
      name,
    })),
    untried: left,
  }
}

/** Of changes too many to try, those of the least and of the greatest readings, which move a finding most. */
function farthest<T extends Readonly<{ distance: number }>>(
  changes: readonly T[],
  max: number,
): readonly T[] {
  if (changes.length <= max) return changes
  const rising = changes.toSorted((a, b) => a.distance - b.distance)
  const half = Math.floor(max / 2)
  return [...rising.slice(0, half), ...rising.slice(rising.length - half)]
}

type Alike = Readonly<{ value: number; indexes: number[] }>

/**
 * Readings that are tested, those together without any of which the test is the same: equal ones, since no test asks for their
 * order, but for resamples, which are drawn by place.
 */
function alike(
  { values, setAside }: Pick<List, 'values' | 'setAside'>,
  grouping: 'singly' | 'by-value',
): readonly Alike[] {
  const left = new Set(setAside)
  const known = new Map<number, Alike>()
  for (const [index, value] of values.entries()) {
    if (left.has(index)) continue
    const key = grouping === 'singly' ? index : value
    const others = known.get(key)
    if (others) others.indexes.push(index)
    else known.set(key, { value, indexes: [index] })
  }
  return [...known.values()]
}

/** Without one of those that have the property, and without one of the others. */
function withoutOneCounted(evidence: Extract<Evidence, { kind: 'count' }>): readonly Change[] {
  const { n, successes } = evidence
  if (n < 2) return []
  const without = (fewer: 0 | 1) => ({ ...evidence, n: n - 1, successes: successes - fewer })
  return [
    ...(successes > 0
      ? [{ evidence: without(1), stands: successes, name: { unit: 'counted', which: 'with' } as const }]
      : []),
    ...(successes < n
      ? [
          {
            evidence: without(0),
            stands: n - successes,
            name: { unit: 'counted', which: 'without' } as const,
          },
        ]
      : []),
  ]
}

/** For tests that need only mean and spread: both without each value, from both with it. */
function withoutOneByMoments({ evidence, claim }: CheckDocument): readonly Change[] {
  if (evidence.kind !== 'readings') return []
  const { values, setAside = [] } = evidence
  const equals = alike({ values, setAside }, 'by-value')
  const left = new Set(evidence.setAside)
  const { sampleSize: n, mean, variance } = moments(evidence.values.filter((_, index) => !left.has(index)))
  const squares = (variance ?? 0) * (n - 1)
  const { lotSize, measurement } = evidence
  return equals.map(({ value, indexes }) => ({
    evidence: {
      kind: 'summary',
      n: n - 1,
      mean: mean + (mean - value) / (n - 1),
      variance: Math.max(0, squares - ((value - mean) ** 2 * n) / (n - 1)) / (n - 2),
      ...(lotSize === undefined ? {} : { lotSize }),
      ...(measurement === undefined ? {} : { measurement }),
    },
    stands: indexes.length,
    name: leftOut(indexes, { value, of: undefined, claim }),
  }))
}

function leftOut(
  indexes: readonly number[],
  { value, of, claim }: Readonly<{ value: number; of: List['of']; claim: CheckDocument['claim'] }>,
): LeftOut {
  const reading = { index: indexes[0]!, value, of, claim: { unit: claim.unit } }
  return { unit: 'reading', reading, count: indexes.length }
}
