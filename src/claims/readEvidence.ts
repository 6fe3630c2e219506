import { parseRequest, type RequestProblem } from './terms/parseRequest'
import { type CheckRequest, checkRequestSchema, type Evidence, evidenceSchema } from './terms/request'
import { success, type Outcome } from './terms/outcome'
import * as z from 'zod/mini'

/** Evidence that was read here: nobody else holds it, so it stays as it was read, and what was made of it can be kept. */
const known = new WeakMap<object, Map<unknown, unknown>>()
const restSchema = z.omit(checkRequestSchema, { evidence: true })

/**
 * Evidence that is read once for the many checks that ask about it: a million readings are then looked through, sorted and
 * summed for the first of them only.
 *
 * @returns the same evidence where it can't be read, for the check to say so
 */
export function readOnce(evidence: Evidence): Evidence {
  const read = parseRequest(evidenceSchema, evidence)
  if (!read.ok) return evidence
  known.set(read.value, new Map())
  return read.value
}

/** Reads a check document; evidence that was read once is not read again. */
export function readDocument(document: unknown): Outcome<CheckRequest, RequestProblem> {
  const { evidence, ...rest } = (document ?? {}) as Partial<CheckRequest>
  if (!evidence || !known.has(evidence)) return parseRequest(checkRequestSchema, document)
  const read = parseRequest(restSchema, rest)
  return read.ok ? success({ ...read.value, evidence }) : read
}

/** What is made of evidence, once where that was read once. */
export function keptOf<T>(evidence: Evidence, make: (evidence: Evidence) => T): T {
  const kept = known.get(evidence)
  if (!kept) return make(evidence)
  if (!kept.has(make)) kept.set(make, make(evidence))
  return kept.get(make) as T
}
