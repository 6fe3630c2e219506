import { isOfShape } from '@/claims/beside'
import { type ComputedCheck, computeCheck } from '@/claims/check'
import type { CheckProblem } from '@/claims/prepareCheck'
import { methodOf } from '@/claims/all'
import { partsOf } from '@/claims/testParts'
import type { CheckRequest } from '@/claims/terms/request'
import type { CheckAnswer, CheckResult } from '@/claims/result'
import { conditionSentence } from '@/words/en/conditionSentences'
import { besideWords, findingLimits, findingSentence } from '@/words/en/findingWords'
import { basisWords } from '@/words/en/entryWords'
import { problemWords } from '@/words/en/problems'
import { warningWords } from '@/words/en/warnings'
import { workingSteps } from '@/words/en/working/working'
import { idOf } from './idOf'

/**
 * Answers one check document: whether the sample supports or contradicts the claim, with every figure behind it, in words.
 *
 * @param document - a check document, of any shape
 * @returns the result, or an error that names the first thing wrong; never a NaN or an infinity
 */
export function check(document: unknown): CheckAnswer {
  const id = idOf(document)
  const answer = computeCheck(document)
  return answer.ok
    ? { ...id, ...inWords(answer.value.request, answer.value.computed) }
    : { ...id, ok: false, error: problemWords(answer.problem as CheckProblem) }
}

/** The result of a check: what was computed, and what is to be said of it. */
function inWords({ claim, test, evidence }: CheckRequest, computed: ComputedCheck): CheckResult {
  const { conditions, outcome, warnings, coreVersion, kind, hypotheses, ...figures } = computed
  const { significanceLevel } = test
  const basis = basisWords(evidence)
  return {
    ok: true,
    coreVersion,
    kind,
    hypotheses,
    ...figures,
    conditions: conditions.map((condition) => ({
      ...condition,
      sentence: conditionSentence(condition, computed.test.method),
    })),
    finding: {
      outcome,
      sentence: findingSentence({ outcome, claim, significanceLevel, ...figures }),
      limits: findingLimits({ outcome, significanceLevel, conditions, isExact: isExact(computed) }),
      ...(computed.beside
        ? {
            beside: besideWords(
              { ...computed.beside, condition: conditions.find(isOfShape)!.name },
              significanceLevel,
            ),
          }
        : {}),
      ...(basis === '' ? {} : { basis }),
    },
    working: workingSteps(computed),
    warnings: warnings.map(warningWords),
  } as unknown as CheckResult
}

function isExact({ test }: ComputedCheck): boolean {
  const { isExact: keepsLevel } = methodOf(test.method)
  return keepsLevel !== undefined && partsOf(test).every(({ figures }) => keepsLevel(figures))
}
