import type { CheckProblem } from '@/claims/prepareCheck'
import { failure, type Outcome } from '@/claims/terms/outcome'
import { CORE_VERSION } from '@/claims/terms/version'
import { problems } from '@/claims/terms/problems'
import { problemWords } from '@/words/en/problems'
import type { z } from 'zod/mini'
import { idOf } from './idOf'
import { isAllFinite } from '@/claims/terms/isAllFinite'
import { parseRequest } from '@/claims/terms/parseRequest'
import type { CheckError } from '@/claims/checkAnswer'

/** The answer to a request of one kind, under that request's own key. */
export type Answered<K extends string, V> =
  (Readonly<{ id?: string; ok: true; coreVersion: string }> & Readonly<Record<K, V>>) | CheckError

/**
 * Answers a document of any shape: reads it by its schema, computes, and lets no figure out that is not a number.
 *
 * @param input.key - under which the figures are given
 */
export function answered<T, K extends string, V>(
  input: Readonly<{
    document: unknown
    schema: z.ZodMiniType<T>
    key: K
    figuresOf: (request: T) => Outcome<V, CheckProblem>
  }>,
): Answered<K, V> {
  const { document, schema, key } = input
  const id = idOf(document)
  const request = parseRequest(schema, document)
  const figures = request.ok ? input.figuresOf(request.value) : request
  const result =
    figures.ok && !isAllFinite(figures.value) ? failure(problems.requestOutOfRange(key)) : figures
  if (!result.ok) return { ...id, ok: false, error: problemWords(result.problem) }
  return { ...id, ok: true, coreVersion: CORE_VERSION, [key]: result.value } as Answered<K, V>
}
