import 'server-only'
import { parseJson } from '@/desk/parseJson'
import type { z } from 'zod'
import { answer, type Answer } from '@/answers/answer'
import { check } from '@/answers/check'
import { caseWordsOf } from '@/desk/caseWords'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { claimTitle } from '@/words/en/claimTitle'
import { type CaseWithClaims, findCase, findCases } from '@/data/caseRepository'
import { findClaim, listClaims } from '@/data/claimRepository'
import { findSample, listSamples } from '@/data/sampleRepository'
import { answerWith } from './answer'
import { wholeBody } from './body'
import { database } from '../keeping/database'
import { documentOf } from '../check/documentOf'
import { isIdentifier } from '../identifier'
import { readInput } from '../input'
import {
  casesQuerySchema,
  type caseSchema,
  type casesSchema,
  type claimCheckSchema,
  type sampleSchema,
} from './openApi'
import { notFound } from '../problems'

const LARGEST_REQUEST = 32 * 1024 * 1024
const LINES = 'application/x-ndjson'
/** Many lines are answered a few at a time, so that others are answered meanwhile. */
const LINES_AT_ONCE = 20

/** Answers a request of the command line's format, or lines of them. */
export async function answerRequest(request: Request): Promise<Response> {
  const type = (request.headers.get('content-type') ?? '').split(';')[0]!.trim()
  if (type !== 'application/json' && type !== LINES) return answerWith(failure(otherType(type)))
  const body = await wholeBody(request, LARGEST_REQUEST)
  if (!body.ok) return answerWith(body)
  const text = new TextDecoder().decode(body.value)
  if (type === LINES) return answerLines(text)
  const document = jsonOf(text)
  if (!document.ok) return answerWith(document)
  const answered = answer(document.value)
  return Response.json(answered, {
    status: answered.ok ? 200 : 422,
    headers: { 'Cache-Control': 'no-store' },
  })
}

function otherType(seen: string) {
  const message = `The request is of the type “${seen.slice(0, 100)}”. Send application/json, or ${LINES} with a request a line.`
  return { code: 'unknown-type', path: 'content-type', message }
}

function jsonOf(text: string): Outcome<unknown> {
  try {
    return success(parseJson(text))
  } catch (error) {
    const reason = error instanceof Error ? error.message : ''
    const message = `The request is not JSON (${reason.slice(0, 200)}). Send one whole document.`
    return failure({ code: 'not-json', path: '', message })
  }
}

function answerLines(text: string): Response {
  const lines = text.split('\n').filter((line) => line.trim() !== '')
  const encoder = new TextEncoder()
  let at = 0
  const stream = new ReadableStream<Uint8Array>({
    pull(controller) {
      const some = lines.slice(at, at + LINES_AT_ONCE).map((line) => `${JSON.stringify(answerTo(line))}\n`)
      at += LINES_AT_ONCE
      if (some.length > 0) controller.enqueue(encoder.encode(some.join('')))
      else controller.close()
    },
  })
  return new Response(stream, { headers: { 'Content-Type': LINES, 'Cache-Control': 'no-store' } })
}

function answerTo(line: string): Answer {
  const document = jsonOf(line)
  return document.ok ? answer(document.value) : { ok: false, error: document.problem }
}

/** The cases that answer a query. */
export async function apiCases(parameters: URLSearchParams): Promise<Outcome<z.infer<typeof casesSchema>>> {
  const query = readInput(casesQuerySchema, Object.fromEntries(parameters))
  if (!query.ok) return query
  const { text, outcome, ...rest } = query.value
  const question = { ...rest, ...(text ? { text } : {}), ...(outcome ? { outcome } : {}) }
  const { cases, total } = await findCases(await database(), question)
  const lines = cases.map((known) => ({ ...lineOf(known), claims: known.claims.map(claimLine) }))
  return success({ cases: lines, total })
}

/** A case with its claims as typed. */
export async function apiCase(caseId: string): Promise<Outcome<z.infer<typeof caseSchema>>> {
  const db = await database()
  const known = isIdentifier(caseId) ? await findCase(db, caseId) : undefined
  if (!known) return failure(notFound('case', caseId))
  const claims = (await listClaims(db, caseId)).filter(({ draft }) => !draft.isDiscarded)
  const samples = (await listSamples(db, caseId)).filter(({ isDiscarded }) => !isDiscarded)
  return success({
    ...lineOf(known),
    claims: claims.map(({ id, draft, revision }, at) => ({
      ...claimLine(known.claims[at]!),
      id,
      draft,
      revision,
    })),
    samples: samples.map(({ id, name, kind }) => ({ id, name, kind })),
  })
}

function lineOf(known: CaseWithClaims) {
  const { id, state, createdAt, updatedAt } = known
  const times = { createdAt: createdAt.toISOString(), updatedAt: updatedAt.toISOString() }
  return { id, ...caseWordsOf(known), state, ...times }
}

function claimLine(claim: CaseWithClaims['claims'][number]) {
  return { id: claim.id, title: claimTitle(claim), outcome: claim.outcome }
}

/** The check document of a claim as it is stored, and what it comes to. */
export async function apiCheck(claimId: string): Promise<Outcome<z.infer<typeof claimCheckSchema>>> {
  const db = await database()
  const claim = isIdentifier(claimId) ? await findClaim(db, claimId) : undefined
  if (!claim) return failure(notFound('claim', claimId))
  const document = await documentOf(db, claim.draft)
  if (!document) {
    const message = 'There is nothing to check yet: the claim or its evidence is not complete.'
    return failure({ code: 'not-complete', path: 'claim', message })
  }
  return success({ document, result: check(document) as z.infer<typeof claimCheckSchema>['result'] })
}

export async function apiSample(sampleId: string): Promise<Outcome<z.infer<typeof sampleSchema>>> {
  const sample = isIdentifier(sampleId) ? await findSample(await database(), sampleId) : undefined
  if (!sample) return failure(notFound('sample', sampleId))
  const { id, caseId, revision, draft, file } = sample
  return success({ id, caseId, revision, draft, file })
}

/** What was asked for by itself, or the problem with the status that fits it. */
export function bare(outcome: Outcome<unknown>): Response {
  return outcome.ok
    ? Response.json(outcome.value, { headers: { 'Cache-Control': 'no-store' } })
    : answerWith(outcome)
}
