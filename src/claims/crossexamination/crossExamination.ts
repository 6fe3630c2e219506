import type { CheckDocument } from '../terms/request'
import type { FindingOutcome } from '../finding'
import { methodOf, parameterOf } from '../all'
import { checkMethod } from '../check'
import type { Method } from '../terms/names'
import { defaultBurden } from '../terms/relations'
import type { Asked } from './asked'
import { methodChoices } from '../methodChoices'
import { type Examination, type Examined, isScored, type Question, variation } from './question'
import { readOnce } from '../readEvidence'
import { readingQuestions } from './readings'
import { sampleSizeQuestion, smallestGapQuestion, turningQuestion } from './limits'

/** Levels that a finding is tried at: those in common use. */
const LEVELS = [0.1, 0.05, 0.01, 0.001]

/**
 * Every question that is asked of a finding: would it stand if the readings, the claim, the level or the method were
 * others, and where does it turn?
 *
 * A finding stands where the changed check speaks of the claim in the same way: for it (not contradicted, supported) or
 * against it (contradicted, not supported).
 */
export function crossExamination(examination: Examination): readonly Question[] {
  const { document } = examination
  const examined = { ...examination, document: { ...document, evidence: readOnce(document.evidence) } }
  return [
    ...readingQuestions(examined),
    ...burdenQuestions(examined),
    ...levelQuestions(examined),
    ...methodQuestions(examined),
    turningQuestion(examined),
    ...(isPlannedAlike(examined) && !isShown(examined) ? [smallestGapQuestion(examined)] : []),
    ...(isPlannedAlike(examined) ? [sampleSizeQuestion(examined)] : []),
  ]
}

/** Those that turn the finding first, then the rest that is scored, what is not, and last what only tells a figure. */
export function inOrder(answers: readonly Examined[]): readonly Examined[] {
  const rank = (answer: Examined) => {
    const { stands, figure } = answer
    if (stands === undefined) return figure ? 3 : 4
    if (!isScored(answer)) return 2
    return stands ? 1 : 0
  }
  return answers.toSorted((a, b) => rank(a) - rank(b))
}

/**
 * Whether a plan of the same test is one of it: samples are planned as taken one by one, as many of either source, and measured
 * without doubt; of a median as of normal readings, which these need not be.
 */
const isPlannedAlike = ({ document, result: { sample } }: Examination) =>
  document.claim.parameter !== 'median' &&
  !['clusters', 'strata', 'finiteLotFactor', 'standardErrorOfReadings', 'second'].some(
    (allowed) => allowed in sample,
  )

/** Whether the finding says what the sample shows, and not that it does not. */
const isShown = ({ result }: Examination) =>
  result.finding.outcome === 'contradicted' || result.finding.outcome === 'supported'

const outcomeOf = ({ result }: Examination): FindingOutcome => result.finding.outcome

function burdenQuestions(examined: Examination): readonly Question[] {
  const { document } = examined
  const burden = document.claim.burden ?? defaultBurden(document.claim.relation)
  const other = burden === 'challenge' ? 'substantiate' : 'challenge'
  return [
    variation({
      key: 'burden',
      asked: { ask: 'burden', burden: other },
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
      asked: { ask: 'level', level },
      document: { ...document, test: { ...options, significanceLevel: level } },
      outcome: outcomeOf(examined),
    })
  })
}

function methodQuestions(examined: Examination): readonly Question[] {
  const { document, result } = examined
  const { method: used } = result.test
  const outcome = outcomeOf(examined)
  const ask = (key: string, asked: Asked, test: CheckDocument['test']) =>
    variation({ key, asked, document: { ...document, test }, outcome })
  const others = methodChoices(document, result.hypotheses.alternativeSide)
    .filter(({ method, needs }) => method !== used && needs === undefined)
    .map(({ method }) =>
      ask(`method ${method}`, { ask: 'method', method, used }, optionsFor(method, document)),
    )
  const turned = methodOf(used).turnedRound.map((option) => {
    const isOn = !document.test?.[option]
    const asked: Asked =
      option === 'midP' ? { ask: 'mid-p', isUsed: isOn } : { ask: 'continuity', isCorrected: isOn }
    return ask(asked.ask, asked, { ...document.test, [option]: isOn })
  })
  return [...others, ...turned, ...besideQuestion(examined)]
}

/** The choices of one method are left out where another one is asked about, and its own interval is taken. */
function optionsFor(method: Method, { test }: CheckDocument): CheckDocument['test'] {
  const { knownStandardDeviation, ...options } = test ?? {}
  const { options: followed, interval } = methodOf(method)
  const isKnown = knownStandardDeviation !== undefined && followed.includes('knownStandardDeviation')
  return {
    ...options,
    ...(isKnown ? { knownStandardDeviation } : {}),
    continuityCorrection: false,
    twoSidedRule: 'auto',
    midP: false,
    ...(interval === 'own-or-chosen' ? { interval: 'auto' } : {}),
    method,
  }
}

/** A mean that a few readings pull along is held beside the median, which they do not. */
function besideQuestion(examined: Examination): readonly Question[] {
  const { document, result } = examined
  const parameter = parameterOf(document.claim.parameter).beside
  if (!parameter || document.evidence.kind !== 'readings') return []
  const { significanceLevel, confidenceLevel } = document.test ?? {}
  const test = {
    ...(significanceLevel === undefined ? {} : { significanceLevel }),
    ...(confidenceLevel === undefined ? {} : { confidenceLevel }),
  }
  const other = { ...document, claim: { ...document.claim, parameter }, test }
  const method = checkMethod(other) ?? parameterOf(parameter).usualMethod({})
  return [
    variation({
      key: parameter,
      asked: { ask: 'parameter', parameter, method },
      document: other,
      outcome: result.finding.outcome,
    }),
  ]
}
