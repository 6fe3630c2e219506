import { binomial } from '@/statistics/distributions/binomial'
import { studentT } from '@/statistics/distributions/studentT'
import { moments } from '@/statistics/describe/moments'
import { numberOf } from '@/statistics/numeric/rational'
import { lastWhole } from '@/statistics/numeric/wholeSearch'
import { t } from '../mean/t'
import { conditionsFor } from '../conditions/conditions'
import { sampleOf } from '../sampleOf'
import type { Condition } from '../terms/condition'
import { failure, type Outcome, success } from '../terms/outcome'
import { type ClaimProblem, problems } from '../terms/problems'
import type { Evidence } from '../terms/request'
import type { MeasuredSample, Sample } from '../terms/sample'
import { type Content } from '../terms/contentRequest'
import type { ContentFigures } from '../terms/contentResult'
import { fromBase, inBase } from '../terms/contentUnits'
import { type ControlPlan, faultIn, R87, samplingFor, tolerableDeficiency } from '../terms/controlPlan'
import { operatingOf } from './operating'
import { NEAR, type Packs, packsOf } from './packs'

/** What a control of net content comes to, before it is put into words. */
export type ComputedContent = ContentFigures &
  Readonly<{ conditions: readonly Condition[]; outcome: 'contradicted' | 'not-contradicted' }>

/**
 * Controls the net content of prepackages by the average system: the average, the packs short by more than T, and those short
 * by more than 2T, each with its figures. A claim is contradicted where one of the three is not met.
 *
 * @returns the first thing that keeps it from being judged: those of `packsOf`, `nominal-beyond-plan`, `control-plan`, and
 *   what a check of the same readings would be refused for
 * @see OIML R 87:2004, from memory
 */
export function controlContent(
  content: Content,
  { withConditions }: Readonly<{ withConditions: boolean }> = { withConditions: true },
): Outcome<ComputedContent, ClaimProblem> {
  const plan = content.plan === 'oiml-r87' ? R87 : content.plan
  const fault = faultIn(plan)
  if (fault) return failure(problems.controlPlan(fault))
  const deficiency = deficiencyOf(plan, content)
  if (!deficiency.ok) return deficiency
  const packs = packsOf(content)
  if (!packs.ok) return packs
  const sample = sampleFor(content, packs.value.contents)
  if (!sample.ok) return sample
  const { measured } = sample.value
  const judged = measured.places ?? Array.from(packs.value.contents, (_, index) => index)
  const figures = figuresOf({ content, plan, packs: packs.value, judged, deficiency: deficiency.value })
  const isMet = [figures.average, figures.beyondT, figures.beyondTwiceT].every(({ met }) => met !== false)
  return success({
    ...figures,
    conditions: !withConditions
      ? []
      : conditionsFor({
          sample: sample.value,
          method: { ...t, allowsForLot: false },
          claimedValues: [content.nominal],
          tested: { side: 'less', significanceLevel: plan.averageLevel },
        }),
    outcome: isMet ? 'not-contradicted' : 'contradicted',
  })
}

/** Digits of a decimal number that survive its way through a double. */
const WRITTEN_DIGITS = 15

/** T in the unit of the label. */
function deficiencyOf(plan: ControlPlan, { nominal, unit }: Content): Outcome<number, ClaimProblem> {
  const base = nominal * numberOf(inBase(unit))
  const deficiency = tolerableDeficiency(plan, Number(base.toPrecision(WRITTEN_DIGITS)))
  if (deficiency === undefined)
    return failure(problems.nominalBeyondPlan(nominal, unit, plan.deficiencies.at(-1)!.upTo))
  return success(numberOf(fromBase(deficiency, unit)))
}

function sampleFor(
  { setAside, lotSize, drawn, independence }: Content,
  values: readonly number[],
): Outcome<Sample & Readonly<{ kind: 'measured'; measured: MeasuredSample }>, ClaimProblem> {
  const evidence: Evidence = { kind: 'readings', values: [...values], setAside, lotSize, drawn, independence }
  const sample = sampleOf(evidence, { parameter: 'mean' })
  if (sample.ok) return sample as Outcome<Extract<Sample, { kind: 'measured' }>, never>
  // One pack is enough here, other than for a test of the average alone.
  if (sample.problem.code === 'too-few-readings')
    return failure(problems.tooFewReadings(0, 1, 'content.values'))
  return failure({ ...sample.problem, path: sample.problem.path.replace('evidence', 'content') })
}

type Judged = Readonly<{
  content: Content
  plan: ControlPlan
  packs: Packs
  judged: readonly number[]
  deficiency: number
}>

function figuresOf(input: Judged): ContentFigures {
  const { content, plan, packs, judged, deficiency } = input
  const { nominal, lotSize } = content
  const row = lotSize === undefined ? undefined : samplingFor(plan, lotSize)
  const n = judged.length
  const average = averageOf(input)
  const shorts = judged.filter((index) => packs.isShortBy(index, deficiency))
  const beyond = shorts.filter((index) => packs.isShortBy(index, 2 * deficiency))
  const isThePlans = row?.n === n
  const allowed = isThePlans ? row.allowed : allowedOf(plan, n)
  const beyondT = {
    rows: shorts,
    allowed,
    ...(isThePlans ? {} : { pValue: countPValue(plan, n, shorts.length) }),
    met: shorts.length <= allowed,
  }
  const beyondTwiceT = { rows: beyond, met: beyond.length === 0 }
  const shortages = Float64Array.from(judged, (index) => nominal - packs.contents[index]!)
    .sort()
    .reverse()
  const raise = Math.max(
    0,
    average.met === false ? -average.sum! : 0,
    (shortages[allowed] ?? -Infinity) - deficiency,
    shortages[0]! - 2 * deficiency,
  )
  const { standardDeviation, factor } = average
  return {
    n,
    nominal,
    unit: content.unit,
    controlPlan: plan,
    plan: { ...(row ? { n: row.n } : {}), allowed, isThePlans },
    tolerableDeficiency: deficiency,
    ...(packs.meanTare === undefined ? {} : { meanTare: { value: packs.meanTare, unit: packs.weighedIn } }),
    average,
    beyondT,
    beyondTwiceT,
    toPass: {
      raise,
      ...(factor === undefined ? {} : { meanError: -factor * standardDeviation! }),
    },
    ...(content.operating && standardDeviation
      ? {
          operating: operatingOf({
            ...content.operating,
            ...{ n, allowed, deficiency, standardDeviation, averageLevel: plan.averageLevel },
          }),
        }
      : {}),
  }
}

/** ē + f·s ≥ 0 with f = t/√n: a t test of the average, one-sided; one pack has no scatter to judge it by. */
function averageOf({ content, packs, judged, plan }: Judged): ContentFigures['average'] {
  const near = averageFrom(
    judged.map((index) => packs.contents[index]! - content.nominal),
    plan,
  )
  // Where it hangs on digits that doubles have not, the errors are worked out exactly first.
  const isClose = Math.abs(near.sum ?? near.meanError) <= NEAR * content.nominal
  return isClose ? averageFrom(judged.map(packs.errorAt), plan) : near
}

function averageFrom(errors: readonly number[], plan: ControlPlan): ContentFigures['average'] {
  const { mean, standardDeviation } = moments(errors)
  const n = errors.length
  if (standardDeviation === undefined) return { meanError: mean }
  const factor = studentT(n - 1).quantile(plan.averageLevel, 'upper') / Math.sqrt(n)
  const sum = mean + factor * standardDeviation
  return { meanError: mean, standardDeviation, factor, sum, met: sum >= 0 }
}

/** P(X ≥ x), X binomial: how often so many or more are short where the share that may be short is. */
const countPValue = ({ otherwise: { share } }: ControlPlan, trials: number, count: number) =>
  binomial({ trials, probability: share }).tails(count - 1).upper

/** The most that may be short where the number of packs is not the plan's. */
function allowedOf(plan: ControlPlan, n: number): number {
  return lastWhole((count) => countPValue(plan, n, count) > plan.otherwise.level, 0, n)
}
