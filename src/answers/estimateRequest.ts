import { type Estimated, estimateOf, estimateRequestSchema } from '@/claims/estimate'
import type { Condition } from '@/claims/terms/condition'
import { failure, success } from '@/claims/terms/outcome'
import { conditionSentence } from '@/words/en/conditionSentences'
import { type Answered, answered } from './answered'

/** An estimate with each of its conditions in a sentence. */
export type EstimateFigures = Omit<Estimated, 'conditions'> &
  Readonly<{ conditions: readonly (Condition & Readonly<{ sentence: string }>)[] }>

export type EstimateAnswer = Answered<'estimate', EstimateFigures>

/** Answers one request for an estimate with its interval, where nothing is claimed. */
export function estimate(document: unknown): EstimateAnswer {
  return answered({
    document,
    schema: estimateRequestSchema,
    key: 'estimate',
    figuresOf(request) {
      const made = estimateOf(request.estimate)
      // What is wrong is told by its place in this document.
      if (!made.ok) return failure({ ...made.problem, path: placeOf(made.problem.path) })
      const { conditions, ...figures } = made.value
      return success({
        ...figures,
        conditions: conditions.map((condition) => ({
          ...condition,
          sentence: conditionSentence(condition, figures.method),
        })),
      })
    },
  })
}

const placeOf = (path: string) => `estimate.${path.replace(/^claim\./, '')}`
