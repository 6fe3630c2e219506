import { moments } from '@/statistics/describe/moments'
import type { Homogeneity } from '@/statistics/describe/homogeneity'
import { parameterOf } from '../all'
import type { Content } from '../terms/contentRequest'
import type { CheckProblem } from '../prepareCheck'
import { failure, type Outcome, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import { type CheckDocument, DEFAULT_LEVEL } from '../terms/request'
import type { Groups } from './groupsRequest'
import { adjustedLines, betweenLines, checkedLine, controlledLine, type GroupFigures } from './judged'

export type ComputedGroups = Readonly<{
  /** In the order in which they are met. */
  groups: readonly GroupFigures[]
  /** Whether those that were tested differ by more than chance; absent where that can't be told. */
  between?: Homogeneity
}>

type Part = Readonly<{ label: string; indexes: number[] }>
/** The readings of a group that there are, by their places among all, and which of them are set aside. */
type Readings = Readonly<{ at: readonly number[]; values: number[]; setAside: number[] }>

/**
 * One claim held against each of several groups of readings at once, their p-values adjusted for being several. A group that
 * can't be tested is listed with why, and counts for nothing in the adjustment.
 *
 * @returns `one-of-two` (a claim or a content), `of-other-length`, `out-of-range` (an index), or what is wrong with the claim itself
 * @see S. Holm (1979); Y. Benjamini & Y. Hochberg (1995)
 */
export function compareGroups(request: Groups): Outcome<ComputedGroups, CheckProblem> {
  const problem = problemIn(request)
  if (problem) return failure(problem)
  const { claim, test, adjust, labels, cluster } = request
  const aside = new Set(request.setAside)
  const parts = partsOf(labels)
  const lines = parts.map((part) => lineOf(request, part, readingsOf(request, part, aside)))
  const refused = lines.find(({ why }) => why && OF_CLAIM.test(why.path))?.why
  if (refused) return failure({ ...refused, path: `groups.${refused.path}` })
  const groups = adjustedLines(lines, { adjust, level: test?.significanceLevel ?? DEFAULT_LEVEL })
  // Readings that belong together say less of their group than as many that do not.
  const between =
    claim && !cluster
      ? betweenLines(claim.parameter, groups, (at) =>
          moments(testedOf(readingsOf(request, parts[at]!, aside))),
        )
      : undefined
  return success({ groups, ...(between ? { between } : {}) })
}

/** What is wrong there is wrong for every group. */
const OF_CLAIM = /^(claim|test|content\.(?!gross|values|lotSize))/

function problemIn(request: Groups): CheckProblem | undefined {
  const { claim, content, values, labels, cluster, exposures, setAside = [] } = request
  if ((claim === undefined) === (content === undefined)) return problems.claimOrContent(claim !== undefined)
  const lists = { labels, cluster, exposures, tare: content?.tare }
  for (const [field, list] of Object.entries(lists))
    if (Array.isArray(list) && list.length !== values.length)
      return problems.listOfOtherLength(field, list.length, values.length)
  const at = setAside.findIndex((index) => index >= values.length)
  return at < 0
    ? undefined
    : {
        ...problems.indexOutside(setAside[at]!, values.length, at),
        path: `groups.setAside[${at}]`,
      }
}

function partsOf(labels: readonly string[]): readonly Part[] {
  const parts = new Map<string, Part>()
  for (let at = 0; at < labels.length; at += 1) {
    const label = labels[at]!
    const part = parts.get(label)
    if (part) part.indexes.push(at)
    else parts.set(label, { label, indexes: [at] })
  }
  return [...parts.values()]
}

function readingsOf({ values }: Groups, { indexes }: Part, aside: ReadonlySet<number>): Readings {
  const at = indexes.filter((index) => values[index] !== null)
  const setAside = aside.size === 0 ? [] : at.flatMap((index, place) => (aside.has(index) ? [place] : []))
  return { at, values: at.map((index) => values[index]!), setAside }
}

function testedOf({ values, setAside }: Readings): readonly number[] {
  if (setAside.length === 0) return values
  const excluded = new Set(setAside)
  return values.filter((_, place) => !excluded.has(place))
}

function lineOf(request: Groups, { label }: Part, readings: Readings): GroupFigures {
  const { values, setAside } = readings
  const n = values.length - setAside.length
  const known = { label, n, ...(setAside.length > 0 ? { setAside: setAside.length } : {}) }
  if (label === '') return { ...known, why: problems.noLabel(n) }
  if (n === 0) return { ...known, why: problems.groupEmpty() }
  const { claim, test, content } = request
  return content
    ? controlledLine(known, contentOf(request, content, { label, readings }))
    : checkedLine(known, {
        claim: claim!,
        evidence: evidenceOf(request, label, readings),
        ...(test ? { test } : {}),
      })
}

function evidenceOf(request: Groups, label: string, readings: Readings): CheckDocument['evidence'] {
  const { claim, cluster, exposures, lotSizes, drawn, independence } = request
  const { at, values, setAside } = readings
  const lotSize = lotSizes?.[label]
  const shared = { ...(drawn ? { drawn } : {}), ...(independence ? { independence } : {}) }
  const ofLot = { ...shared, ...(lotSize === undefined ? {} : { lotSize }) }
  const { sample } = parameterOf(claim!.parameter)
  if (sample === 'events') {
    if (!Array.isArray(exposures))
      return { kind: 'event-counts', values, setAside, exposureEach: exposures ?? 1, ...shared }
    const excluded = new Set(setAside)
    const own = at.filter((_, place) => !excluded.has(place)).map((index) => exposures[index]!)
    return { kind: 'events', events: sumOf(testedOf(readings)), exposure: sumOf(own), ...shared }
  }
  const isMarked = sample === 'counted' && !claim!.limit && !cluster
  if (isMarked && values.every((value) => value === 0 || value === 1)) {
    const marks = testedOf(readings)
    return { kind: 'count', n: marks.length, successes: sumOf(marks), ...ofLot }
  }
  return {
    kind: 'readings',
    values,
    setAside,
    ...(cluster ? { cluster: at.map((index) => cluster[index]!) } : {}),
    ...ofLot,
  }
}

const sumOf = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0)

/** Each group as a lot of its own, controlled by the plan. */
function contentOf(
  { drawn, independence, lotSizes }: Groups,
  { tare, ...content }: NonNullable<Groups['content']>,
  { label, readings: { at, values, setAside } }: Readonly<{ label: string; readings: Readings }>,
): Content {
  const own = Array.isArray(tare) ? at.map((index) => tare[index]!) : tare
  return {
    ...content,
    ...(own === undefined ? { values } : { gross: values, tare: own }),
    ...{ setAside, drawn, independence, lotSize: lotSizes?.[label] },
  }
}
