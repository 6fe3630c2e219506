import { adjustPValues } from '@/statistics/adjust/adjust'
import { moments } from '@/statistics/describe/moments'
import {
  type Homogeneity,
  homogeneityOfRates,
  homogeneityOfShares,
  oneWay,
} from '@/statistics/inference/homogeneity'
import { isWithin } from '@/statistics/inference/tailProbability'
import { parameterOf } from '../all'
import { checkFigures } from '../check'
import { controlContent } from '../content/content'
import type { Content } from '../content/contentRequest'
import type { FindingOutcome } from '../finding'
import type { CheckProblem } from '../prepareCheck'
import type { IntervalFigures } from '../result'
import { UNDECIDED } from '../testedTogether'
import type { Method } from '../terms/names'
import { failure, type Outcome, success } from '../terms/outcome'
import { problems } from '../terms/problems'
import type { CheckDocument } from '../terms/request'
import type { Groups } from './groupsRequest'

/** What one group comes to: tested with its figures, or why not. */
export type GroupFigures = Readonly<{
  label: string
  /** Units or readings; of a rate stretches of its exposure. */
  n: number
  events?: number
  setAside?: number
  exposure?: number
  method?: Method
  estimate?: number
  interval?: IntervalFigures
  pValue?: number
  logPValue?: number
  /** The p-value, adjusted for as many groups as were tested. */
  adjusted?: number
  outcome?: FindingOutcome
  /** What the outcome comes to by the adjusted p-value. */
  together?: FindingOutcome
  /** Of a control of net content: packs short by more than T, and by more than 2T. */
  beyondT?: number
  beyondTwiceT?: number
  why?: CheckProblem
}>

export type ComputedGroups = Readonly<{
  /** In the order in which they are met. */
  groups: readonly GroupFigures[]
  /** Whether those that were tested differ by more than chance; absent where that can't be told. */
  between?: Homogeneity
}>

type Part = Readonly<{ label: string; indexes: number[] }>
type Grouping = Outcome<ComputedGroups, CheckProblem>

/**
 * One claim held against each of several groups of readings at once, their p-values adjusted for being several. A group that
 * can't be tested is listed with why, and counts for nothing in the adjustment.
 *
 * @returns `one-of-two` (a claim or a content), `of-other-length`, `out-of-range` (an index), or what is wrong with the claim itself
 * @see S. Holm (1979); Y. Benjamini & Y. Hochberg (1995)
 */
export function compareGroups(request: Groups): Grouping {
  const { claim, content, values, labels, cluster, exposures } = request
  if ((claim === undefined) === (content === undefined))
    return failure(problems.claimOrContent(claim !== undefined))
  const lists = { labels, cluster, exposures, tare: content?.tare }
  for (const [field, list] of Object.entries(lists))
    if (Array.isArray(list) && list.length !== values.length)
      return failure(problems.listOfOtherLength(field, list.length, values.length))
  const outside = request.setAside?.findIndex((index) => index >= values.length) ?? -1
  if (outside >= 0)
    return failure({
      ...problems.indexOutside(request.setAside![outside]!, values.length, outside),
      path: `groups.setAside[${outside}]`,
    })
  const parts = partsOf(labels)
  const aside = new Set(request.setAside)
  const figures = parts.map((part) => (content ? controlled : tested)(request, part, aside))
  const refused = figures.find(
    ({ why }) => why && /^(claim|test|content\.(?!gross|values))/.test(why.path),
  )?.why
  if (refused) return failure({ ...refused, path: `groups.${refused.path}` })
  const groups = adjustedOf(figures, request)
  const between = content ? undefined : betweenOf(request, { parts, groups, aside })
  return success({ groups, ...(between ? { between } : {}) })
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

/** The readings of a group that there are, and which of these are set aside. */
function readingsOf({ values }: Groups, { indexes }: Part, aside: ReadonlySet<number>) {
  const at = indexes.filter((index) => values[index] !== null)
  const setAside = aside.size === 0 ? [] : at.flatMap((index, place) => (aside.has(index) ? [place] : []))
  return { at, values: at.map((index) => values[index]!), setAside }
}

function tested(request: Groups, part: Part, aside: ReadonlySet<number>): GroupFigures {
  const { label } = part
  const readings = readingsOf(request, part, aside)
  const evidence = evidenceOf(request, label, readings)
  const n = readings.values.length - readings.setAside.length
  const known = { label, n, ...(readings.setAside.length > 0 ? { setAside: readings.setAside.length } : {}) }
  if (label === '') return { ...known, why: problems.noLabel(n) }
  if (n === 0) return { ...known, why: problems.groupEmpty() }
  const found = checkFigures({ claim: request.claim, evidence, test: request.test })
  if (!found.ok) return { ...known, why: found.problem }
  const { test, estimate, interval, outcome, sample } = found.value
  const { pValue, logPValue, method } = test
  return {
    ...known,
    n: sample.n,
    ...('exposure' in sample ? { events: sample.events, exposure: sample.exposure } : {}),
    ...{ method, estimate: estimate.value },
    ...(interval ? { interval } : {}),
    ...(pValue === undefined ? {} : { pValue }),
    ...(logPValue === undefined ? {} : { logPValue }),
    outcome,
  }
}

type Readings = ReturnType<typeof readingsOf>

function evidenceOf(
  request: Groups,
  label: string,
  { at, values, setAside }: Readings,
): CheckDocument['evidence'] {
  const { claim, cluster, exposures, lotSizes, drawn, independence } = request
  const lotSize = lotSizes?.[label]
  const shared = { ...(drawn ? { drawn } : {}), ...(independence ? { independence } : {}) }
  const ofLot = { ...shared, ...(lotSize === undefined ? {} : { lotSize }) }
  const excluded = new Set(setAside)
  const kept = (_: unknown, place: number) => !excluded.has(place)
  const { sample } = parameterOf(claim!.parameter)
  if (sample === 'events') {
    if (exposures !== undefined && !Array.isArray(exposures))
      return { kind: 'event-counts', values, setAside, exposureEach: exposures, ...shared }
    const exposure = at.filter(kept).reduce((sum, index) => sum + (exposures?.[index] ?? 1), 0)
    return { kind: 'events', events: sumOf(values.filter(kept)), exposure, ...shared }
  }
  const isMarked = sample === 'counted' && !claim!.limit
  if (isMarked && !cluster && values.every((value) => value === 0 || value === 1)) {
    const marks = values.filter(kept)
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

/** Each group a lot of its own, controlled by the plan. */
function controlled(request: Groups, part: Part, aside: ReadonlySet<number>): GroupFigures {
  const { label } = part
  const { at, values, setAside } = readingsOf(request, part, aside)
  const { tare, ...content } = request.content!
  const { drawn, independence, lotSizes } = request
  const n = values.length - setAside.length
  const known = { label, n, ...(setAside.length > 0 ? { setAside: setAside.length } : {}) }
  if (label === '') return { ...known, why: problems.noLabel(n) }
  if (n === 0) return { ...known, why: problems.groupEmpty() }
  const taken: Content = {
    ...content,
    ...(tare === undefined
      ? { values }
      : { gross: values, tare: Array.isArray(tare) ? at.map((index) => tare[index]!) : tare }),
    ...{ setAside, drawn, independence, lotSize: lotSizes?.[label] },
  }
  const found = controlContent(taken, { withConditions: false })
  if (!found.ok) return { ...known, why: found.problem }
  const { average, beyondT, beyondTwiceT, nominal, outcome } = found.value
  return {
    ...known,
    estimate: nominal + average.meanError,
    ...{ beyondT: beyondT.rows.length, beyondTwiceT: beyondTwiceT.rows.length, outcome },
  }
}

function adjustedOf(figures: readonly GroupFigures[], { adjust, test }: Groups): readonly GroupFigures[] {
  const level = test?.significanceLevel ?? 0.05
  const places = figures.flatMap(({ method }, at) => (method === undefined ? [] : [at]))
  // A p-value below the range of a double counts as 0.
  const adjusted = adjustPValues(
    places.map((at) => figures[at]!.pValue ?? 0),
    adjust,
  )
  const byPlace = new Map(places.map((at, which) => [at, adjusted[which]!]))
  return figures.map((group, at) => {
    const pValue = byPlace.get(at)
    if (pValue === undefined || !group.outcome) return group
    const together = isWithin(pValue, level) ? group.outcome : UNDECIDED[group.outcome]
    return { ...group, adjusted: pValue, together }
  })
}

/** Whether the groups that were tested differ: their means, their shares or their rates. */
function betweenOf(
  request: Groups,
  known: Readonly<{ parts: readonly Part[]; groups: readonly GroupFigures[]; aside: ReadonlySet<number> }>,
): Homogeneity | undefined {
  const { parts, groups, aside } = known
  const { claim, cluster } = request
  const { sample } = parameterOf(claim!.parameter)
  const places = groups.flatMap(({ method }, at) => (method === undefined ? [] : [at]))
  // Readings that belong together say less of their group than as many that do not.
  if (places.length < 2 || cluster) return undefined
  if (sample === 'events')
    return homogeneityOfRates(
      places.map((at) => ({ events: groups[at]!.events!, exposure: groups[at]!.exposure! })),
    )
  if (sample === 'counted')
    return homogeneityOfShares(
      places.map((at) => ({ n: groups[at]!.n, x: Math.round(groups[at]!.estimate! * groups[at]!.n) })),
    )
  if (claim!.parameter !== 'mean') return undefined
  return oneWay(
    places.map((at) => {
      const { values, setAside } = readingsOf(request, parts[at]!, aside)
      const excluded = new Set(setAside)
      return moments(values.filter((_, place) => !excluded.has(place)))
    }),
  )
}
