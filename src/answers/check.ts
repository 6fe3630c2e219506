import { isOfShape } from '@/claims/beside'
import { type ComputedCheck, computeCheck } from '@/claims/check'
import { methodOf } from '@/claims/all'
import { partsOf } from '@/claims/testParts'
import type { CheckRequest } from '@/claims/terms/request'
import type { Census } from '@/claims/census'
import type { CensusResult, CheckAnswer } from '@/claims/checkAnswer'
import type { CheckResult } from '@/claims/result'
import { CORE_VERSION } from '@/claims/terms/version'
import { conditionSentence } from '@/words/en/conditionSentences'
import { CENSUS_LIMITS, censusSentence } from '@/words/en/censusWords'
import { besideWords, findingLimits, findingSentence } from '@/words/en/findingWords'
import { basisWords } from '@/words/en/entryWords'
import { itemWords } from '@/words/en/itemWords'
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
  if (answer.ok) return { ...id, ...inWords(answer.value.request, answer.value.computed) }
  const { problem } = answer
  return problem.name === 'census'
    ? { ...id, ...censusInWords(problem.figures) }
    : { ...id, ok: false, error: problemWords(problem) }
}

/** What a claim comes to for a lot that was measured whole. */
function censusInWords({
  request,
  census,
}: Readonly<{ request: CheckRequest; census: Census }>): CensusResult {
  const { claim, evidence } = request
  const { lotSize, figure, difference, outcome } = census
  const basis = basisWords(evidence)
  return {
    ok: true,
    coreVersion: CORE_VERSION,
    kind: 'census',
    lotSize,
    estimate: { parameter: claim.parameter, value: figure, difference },
    finding: {
      outcome,
      sentence: censusSentence(claim, census),
      limits: CENSUS_LIMITS,
      ...(basis === '' ? {} : { basis }),
    },
  }
}

/** The result of a check: what was computed, and what is to be said of it. */
function inWords({ claim, test, evidence }: CheckRequest, computed: ComputedCheck): CheckResult {
  const { conditions, outcome, warnings, coreVersion, kind, hypotheses, ...figures } = computed
  const { significanceLevel } = test
  const basis = basisWords(evidence)
  const items = itemWords(claim, figures)
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
      limits: findingLimits({
        outcome,
        significanceLevel,
        conditions,
        isExact: isExact(computed),
        isOfItems: figures.items !== undefined,
      }),
      ...(computed.beside
        ? {
            beside: besideWords(
              { ...computed.beside, condition: conditions.find(isOfShape)!.name },
              significanceLevel,
            ),
          }
        : {}),
      ...(items.length === 0 ? {} : { items }),
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
