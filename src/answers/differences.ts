import { parameterOf } from '@/claims/all'
import { type ClaimAnswer, type ClaimDocument, isTested } from '@/claims/checkAnswer'
import { type CheckResult } from '@/claims/result'
import type { CheckDocument } from '@/claims/terms/request'
import { CORE_VERSION } from '@/claims/terms/version'
import type { ShareInterval } from '@/statistics/inference/shareInterval'
import { asksForControl } from './claim'
import { AT_ONCE, type Computing } from './computing'
import { differing } from './differing'

/**
 * What two results of the same check may differ in without saying anything else: which core made them, how the working is
 * worded, and what an earlier core did not give.
 */
const LEFT_OUT: readonly RegExp[] = [
  /^(?:coreVersion|working|kind)$/,
  /^test\.(?:parts\.\d+\.)?figures$/,
  /^conditions\.\d+\.code$/,
]

/** What an earlier core did not say, and may not be lacking where it was said. */
const NEW_BASIS = /^finding\.basis$/

/** What another core says in words, and judges by rules of its own: a finding is signed in those of its day. */
const WORDS: readonly RegExp[] = [
  /^(?:conditions|warnings|beside)$/,
  /^finding\.(?:sentence|limits|basis|beside)$/,
  /^test\.(?:parts\.\d+\.)?distribution\.ranks$/,
]

/**
 * The paths at which a result differs from what its check comes to now; none where every figure is the same, and every sentence
 * of one that the same core made. What another core made is computed by the test that it chose.
 */
export async function differencesNow(
  before: ClaimAnswer,
  document: ClaimDocument,
  { check }: Computing = AT_ONCE,
): Promise<readonly string[]> {
  if (!isTested(before) || before.coreVersion === CORE_VERSION || asksForControl(document))
    return differencesIn(before, await check(document))
  return differencesIn(before, await check(asChosen(document, before)))
}

/** A check with the test and the interval that a core chose where none was stated. */
function asChosen(document: CheckDocument, { test, interval }: CheckResult): CheckDocument {
  const { method = 'auto', interval: stated = 'auto', twoSidedRule = 'auto' } = document.test ?? {}
  const intervals: readonly string[] = parameterOf(document.claim.parameter).intervals
  const isChosen = stated === 'auto' && interval && intervals.includes(interval.method)
  const rule = test.method === 'exact-binomial' && 'figures' in test ? test.figures.twoSidedRule : undefined
  return {
    ...document,
    test: {
      ...document.test,
      ...(method === 'auto' ? { method: test.method } : {}),
      ...(isChosen ? { interval: interval.method as ShareInterval } : {}),
      ...(twoSidedRule === 'auto' && rule ? { twoSidedRule: rule } : {}),
    },
  }
}

/** The paths at which two results differ; those of two cores only in what is a figure. */
export function differencesIn(before: ClaimAnswer, after: ClaimAnswer): readonly string[] {
  const isSameCore = before.ok && after.ok && before.coreVersion === after.coreVersion
  const isBasisNew = before.ok && before.finding.basis === undefined
  return differing(before, after, [
    ...LEFT_OUT,
    ...(isBasisNew ? [NEW_BASIS] : []),
    ...(isSameCore ? [] : WORDS),
  ])
}
