import { methodOf } from '@/claims/all'
import type { Method } from '@/claims/terms/names'
import { needsTolerance } from '@/claims/terms/relations'
import { USUAL_RESAMPLES, USUAL_SEED } from '@/claims/terms/request'
import { CONDITION_NAMES } from '@/words/en/conditionWords'
import { planSource } from '@/words/en/contentWords'
import { ADJUSTMENT_SOURCES, ADJUSTMENT_WORDS, BETWEEN_SOURCE } from '@/words/en/groupsWords'
import { METHOD_WORDS } from '@/words/en/methods'
import { intervalMethodWords } from '@/words/en/optionWords'
import {
  CONDITION_SOURCES,
  EFFECT_SOURCES,
  GENERATOR_SOURCE,
  INTERVAL_SOURCES,
  TOLERANCE_SOURCE,
} from '@/words/en/sources'
import { formatCount } from '@/words/figures'
import type { Row } from './cover'
import type { ClaimStudy } from './study'

type Checked = NonNullable<ClaimStudy['checked']>

/**
 * Where every figure of a report comes from, each source once: tests, intervals, effect sizes, conditions, the methods of the
 * cross-examination, and what groups, lots and claims are taken together by.
 *
 * @param shown.together - whether the claims are taken together in the report
 */
export function sourcesOf(
  studies: readonly ClaimStudy[],
  shown: Readonly<{ together: boolean }>,
): readonly Row[] {
  const checks = studies.flatMap(({ checked }) => (checked ? [checked] : []))
  const controls = studies.flatMap(({ control }) => (control ? [control.result] : []))
  const conditions = [...checks.map(({ result }) => result), ...controls].flatMap((result) =>
    result.conditions.map(({ name }) => name),
  )
  const rows = [
    ...controls.map(({ content: { controlPlan } }): Row => [
      `Control plan “${controlPlan.name}”`,
      planSource(controlPlan),
    ]),
    ...checks.flatMap((checked) => sourcesOfCheck(checked)),
    ...conditions.map((name): Row => [
      `Condition: ${CONDITION_NAMES[name].toLowerCase()}`,
      CONDITION_SOURCES[name],
    ]),
    ...checks.flatMap((checked) => sourcesOfExamination(checked)),
    ...sourcesOfMany(studies),
    ...(shown.together && checks.length > 1
      ? [['Several claims together', ADJUSTMENT_SOURCES.holm] as const]
      : []),
  ]
  return [...new Map(rows.map((row) => [row.join('\n'), row])).values()]
}

function sourcesOfCheck({ document, result }: Checked): readonly Row[] {
  const { claim } = document
  const { interval, test } = result
  const intervalSource = interval && INTERVAL_SOURCES[interval.method]
  const effect = 'effectSize' in result ? result.effectSize : undefined
  return [
    [METHOD_WORDS[test.method].name, sourceOf(test.method, document)],
    ...(intervalSource
      ? [[`Interval: ${intervalMethodWords(interval.method)}`, intervalSource] as const]
      : []),
    ...(effect && 'hedgesG' in effect ? [['Effect size', EFFECT_SOURCES.hedgesG] as const] : []),
    ...(effect && 'cohenH' in effect ? [['Effect size', EFFECT_SOURCES.cohenH] as const] : []),
    ...(needsTolerance(claim) ? [['Within a tolerance', TOLERANCE_SOURCE] as const] : []),
  ]
}

/** Of a method that draws also what it drew, so that anybody can draw it again. */
function sourceOf(method: Method, { test = {} }: Checked['document']): string {
  const { source } = methodOf(method)
  const { resamples = USUAL_RESAMPLES, seed = USUAL_SEED } = test
  return method === 'bootstrap'
    ? `${source}; ${formatCount(resamples)} resamples with the seed ${seed}, by ${GENERATOR_SOURCE}`
    : source
}

/** Of the methods that the finding was held against. */
function sourcesOfExamination({ document, answers = [] }: Checked): readonly Row[] {
  return answers.flatMap(({ asked, outcome }): readonly Row[] => {
    if (outcome === undefined) return []
    if (asked.ask === 'mid-p') return [['Cross-examination: mid-p', INTERVAL_SOURCES['mid-p']!]]
    if (asked.ask !== 'method' && asked.ask !== 'parameter') return []
    return [[`Cross-examination: ${METHOD_WORDS[asked.method].name}`, sourceOf(asked.method, document)]]
  })
}

/** Where the adjustment of groups and lots comes from, and the test whether they differ. */
function sourcesOfMany(studies: readonly ClaimStudy[]): readonly Row[] {
  const many = studies.filter(({ groups, lots }) => groups?.ok || lots?.ok)
  const hasBetween = many.some(({ groups, lots }) =>
    [groups, lots].some((one) => one?.ok && one.value.between !== undefined),
  )
  return [
    ...many.map(({ claim: { draft } }): Row => [
      `Groups taken together, ${ADJUSTMENT_WORDS[draft.adjustment]}`,
      ADJUSTMENT_SOURCES[draft.adjustment],
    ]),
    ...(hasBetween ? [['Whether groups differ', BETWEEN_SOURCE] as const] : []),
  ]
}
