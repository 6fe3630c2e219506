import { check } from './check'
import { reckon, type ReckonAnswer } from './reckon'
import type { CheckAnswer } from './result'

export type Answer = CheckAnswer | ReckonAnswer

/** Answers one document of any kind: a reckoning where it has that key, else a check. */
export function answer(document: unknown): Answer {
  const isReckoning = typeof document === 'object' && document !== null && 'reckon' in document
  return isReckoning ? reckon(document) : check(document)
}
