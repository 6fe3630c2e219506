import { decisionOn } from '../check'
import { readDocument } from '../readEvidence'
import type { CheckDocument, CheckRequest, Evidence } from '../terms/request'
import type { FindingOutcome } from '../finding'
import { methodOf } from '../all'
import type { Asked, LeftOut } from './asked'
import { type Examination, type Examined, type ExaminedResult, isAgainst, type Question } from './question'
import { type List, listsOf } from './lists'
import { isRange } from '../terms/hypotheses'
import { type Decide, outcomesWithoutEach } from './byMoments'

/** A change that leaves one unit out, and how many units it stands for: equal readings make equal findings. */
type Change = Readonly<{ outcome: () => FindingOutcome | undefined; stands: number; name: LeftOut }>
/** How many units were left out in turn, and those without which the finding turns. */
type Tried = Readonly<{ tried: number; turning: readonly Turned[]; untried: number }>
type Turned = Omit<Change, 'outcome'> & Readonly<{ outcome: FindingOutcome }>
type IsTurned = (outcome: FindingOutcome) => boolean

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
    const read = readDocument(document)
    const found = read.ok && triedOf(read.value, result)
    if (!found) return { ...shared, note: { remark: 'readings-needed' } }
    const { tried, turning, untried } = found
    if (tried === 0) return { ...shared, note: { remark: 'too-few-left' } }
    const count = turning.reduce((sum, { stands }) => sum + stands, 0)
    return {
      ...shared,
      outcome: turning[0]?.outcome ?? result.finding.outcome,
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

/** @returns undefined where there is nothing to leave out */
function triedOf(request: CheckRequest, { test, hypotheses, finding }: ExaminedResult): Tried | undefined {
  const { evidence, claim } = request
  const method = methodOf(test.method)
  const decide: Decide = (changed) => decisionOn(request, changed)
  const isTurned: IsTurned = (outcome) => isAgainst(outcome) !== isAgainst(finding.outcome)
  if (evidence.kind === 'count') return tryAll(withoutOneCounted(evidence, decide), isTurned)
  const [list, ...others] = listsOf(evidence)
  if (!list) return undefined
  const isShort =
    evidence.kind === 'readings' && list.values.length > MAX_FROM_READINGS && method.dependsOn === 'moments'
  if (isShort) {
    const outcomeWithout = outcomesWithoutEach(evidence, { decide, isRange: isRange(hypotheses) })
    return tryByValue(list, claim, { outcomeWithout, isTurned })
  }
  const all = [list, ...others].flatMap((one) =>
    alike(one, method.dependsOn === 'places' ? 'singly' : 'by-value').map(({ value, indexes }) => ({
      outcome: () => decide(one.with([...one.setAside, indexes[0]!].toSorted((a, b) => a - b)))?.outcome,
      stands: indexes.length,
      name: leftOut(indexes, { value, of: one.of, claim }),
      distance: value,
    })),
  )
  const readings = [list, ...others].reduce((sum, { values }) => sum + values.length, 0)
  const draws = method.work.isResampled ? request.test.resamples / DRAWS_A_READING : 0
  const max = Math.max(2, Math.floor(MAX_LOOKED_AT / (readings * (1 + draws))))
  const tried = farthest(all, max)
  const left =
    all.reduce((sum, { stands }) => sum + stands, 0) - tried.reduce((sum, { stands }) => sum + stands, 0)
  return tryAll(tried, isTurned, left)
}

function tryAll(changes: readonly Change[], isTurned: IsTurned, untried = 0): Tried | undefined {
  if (changes.length === 0) return undefined
  let tried = 0
  const turning = changes.flatMap(({ outcome: outcomeOf, stands, name }) => {
    const outcome = outcomeOf()
    if (outcome === undefined) return []
    tried += stands
    return isTurned(outcome) ? [{ outcome, stands, name }] : []
  })
  return { tried, turning, untried }
}

/** The same of many readings, of which only those are named without which the finding turns. */
function tryByValue(
  { values, setAside }: List,
  claim: CheckDocument['claim'],
  {
    outcomeWithout,
    isTurned,
  }: Readonly<{ outcomeWithout: (value: number) => FindingOutcome | undefined; isTurned: IsTurned }>,
): Tried {
  const left = new Set(setAside)
  let tried = 0
  const others: number[] = []
  for (const [index, value] of values.entries()) {
    if (left.has(index)) continue
    const outcome = outcomeWithout(value)
    if (outcome !== undefined) tried += 1
    if (outcome === undefined || !isTurned(outcome)) others.push(index)
  }
  const turning = alike({ values, setAside: [...setAside, ...others] }, 'by-value')
  return {
    tried,
    turning: turning.map(({ value, indexes }) => ({
      outcome: outcomeWithout(value)!,
      stands: indexes.length,
      name: leftOut(indexes, { value, of: undefined, claim }),
    })),
    untried: 0,
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
function withoutOneCounted(
  evidence: Extract<Evidence, { kind: 'count' }>,
  decide: Decide,
): readonly Change[] {
  const { n, successes } = evidence
  if (n < 2) return []
  const without = (fewer: 0 | 1) => () =>
    decide({ ...evidence, n: n - 1, successes: successes - fewer })?.outcome
  return [
    ...(successes > 0
      ? [{ outcome: without(1), stands: successes, name: { unit: 'counted', which: 'with' } as const }]
      : []),
    ...(successes < n
      ? [
          {
            outcome: without(0),
            stands: n - successes,
            name: { unit: 'counted', which: 'without' } as const,
          },
        ]
      : []),
  ]
}

function leftOut(
  indexes: readonly number[],
  { value, of, claim }: Readonly<{ value: number; of: List['of']; claim: CheckDocument['claim'] }>,
): LeftOut {
  const reading = { index: indexes[0]!, value, of, claim: { unit: claim.unit } }
  return { unit: 'reading', reading, count: indexes.length }
}
