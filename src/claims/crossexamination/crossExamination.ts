import type { CheckDocument } from '../request'
import type { FindingOutcome } from '../finding'
import { defaultBurden } from '../claim'
import { methodChoices } from '../methodNeeds'
import type { Method } from '@/statistics/inference/procedure'
import { crossWords } from '@/words/en/crossWords'
import { type Examination, type Examined, type Question, variation } from './question'
import { readingQuestions } from './readings'
import { sampleSizeQuestion, turningQuestion } from './limits'

/** Levels that a finding is tried at: those in common use. */
const LEVELS = [0.1, 0.05, 0.01, 0.001]

/**
 * Every question that is asked of a finding: would it stand if the readings, the claim, the level or the method were
 * others, and where does it turn?
 *
 * A finding stands where the changed check speaks of the claim in the same way: for it (not contradicted, supported) or
 * against it (contradicted, not supported).
 */
export function crossExamination(examined: Examination): readonly Question[] {
  return [
    ...readingQuestions(examined),
    ...burdenQuestions(examined),
    ...levelQuestions(examined),
    ...methodQuestions(examined),
    turningQuestion(examined),
    sampleSizeQuestion(examined),
  ]
}

/** Those that turn the finding first, then the rest in the order asked, then what only tells a figure. */
export function inOrder(answers: readonly Examined[]): readonly Examined[] {
  const rank = ({ stands, figure }: Examined) => (stands === false ? 0 : stands ? 1 : figure ? 2 : 3)
  return answers.toSorted((a, b) => rank(a) - rank(b))
}

const outcomeOf = ({ result }: Examination): FindingOutcome => result.finding.outcome

function burdenQuestions(examined: Examination): readonly Question[] {
  const { document } = examined
  const burden = document.claim.burden ?? defaultBurden(document.claim.relation)
  const other = burden === 'challenge' ? 'substantiate' : 'challenge'
  return [
    variation({
      key: 'burden',
      words: crossWords.burden(other),
      document: { ...document, claim: { ...document.claim, burden: other } },
      outcome: outcomeOf(examined),
    }),
  ]
}

function levelQuestions(examined: Examination): readonly Question[] {
  const { document, result } = examined
  return LEVELS.filter((level) => level !== result.test.significanceLevel).map((level) => {
    // The confidence level stated goes with the level stated; the interval follows the level asked about.
    const { confidenceLevel: _, ...options } = document.test ?? {}
    return variation({
      key: `level ${level}`,
      words: crossWords.level(level),
      document: { ...document, test: { ...options, significanceLevel: level } },
      outcome: outcomeOf(examined),
    })
  })
}

function methodQuestions(examined: Examination): readonly Question[] {
  const { document, result } = examined
  const { method: used } = result.test
  const outcome = outcomeOf(examined)
  const { knownStandardDeviation, ...options } = document.test ?? {}
  const known = knownStandardDeviation === undefined ? {} : { knownStandardDeviation }
  const ask = (key: string, words: string, changed: CheckDocument) =>
    variation({ key, words, document: changed, outcome })
  const others = methodChoices(document, result.hypotheses.alternativeSide)
    .filter(({ method, needs }) => method !== used && needs === undefined)
    .map(({ method }) => {
      const test = { ...options, ...(method === 'z' ? known : {}), ...ownOptions(method), method }
      const words = used === 'z' && method === 't' ? crossWords.spreadFromSample() : crossWords.method(method)
      return ask(`method ${method}`, words, { ...document, test })
    })
  const isShare = document.claim.parameter === 'proportion'
  return [
    ...others,
    ...(isShare && used === 'score-z'
      ? [corrected(document, document.test?.continuityCorrection === true, ask)]
      : []),
    ...(isShare && used === 'exact-binomial'
      ? [
          ask('mid-p', crossWords.midP(!document.test?.midP), {
            ...document,
            test: { ...document.test, midP: !document.test?.midP },
          }),
        ]
      : []),
    ...medianQuestion(examined),
  ]
}

/** The choices of one method are left out where another one is asked about. */
function ownOptions(method: Method) {
  return {
    continuityCorrection: false,
    twoSidedRule: 'auto' as const,
    midP: false,
    ...(method === 'hypergeometric' ? { interval: 'auto' as const } : {}),
  }
}

function corrected(
  document: CheckDocument,
  isCorrected: boolean,
  ask: (key: string, words: string, changed: CheckDocument) => Question,
): Question {
  const test = { ...document.test, continuityCorrection: !isCorrected }
  return ask('continuity', crossWords.continuity(!isCorrected), { ...document, test })
}

/** A mean that a few readings pull along is held beside the median, which they do not. */
function medianQuestion(examined: Examination): readonly Question[] {
  const { document, result } = examined
  if (document.claim.parameter !== 'mean' || document.evidence.kind !== 'readings') return []
  const { significanceLevel, confidenceLevel } = document.test ?? {}
  const test = {
    ...(significanceLevel === undefined ? {} : { significanceLevel }),
    ...(confidenceLevel === undefined ? {} : { confidenceLevel }),
  }
  return [
    variation({
      key: 'median',
      words: crossWords.median(),
      document: { ...document, claim: { ...document.claim, parameter: 'median' }, test },
      outcome: result.finding.outcome,
    }),
  ]
}
