import 'server-only'
import type { z } from 'zod/mini'
import type { Answer } from '@/answers/answer'
import { caseWordsOf } from '@/desk/caseWords'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { claimTitle } from '@/words/en/claimTitle'
import { type CaseWithClaims, findCase, findCases } from '@/data/caseRepository'
import { findClaim, listClaims } from '@/data/claimRepository'
import { findSample, listSamples } from '@/data/sampleRepository'
import { answerWith } from './answer'
import { wholeBody } from './body'
import { computing } from '../compute/computing'
import { inThread, unlessGivenUp } from '../compute/pool'
import { database } from '../keeping/database'
import { documentOf } from '../check/documentOf'
import { findingRowsOf } from './findingRows'
import { isIdentifier } from '../identifier'
import { readInput } from '../input'
import {
  casesQuerySchema,
  type caseSchema,
  type casesSchema,
  type findingsSchema,
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
  const { signal } = request
  if (type === LINES) return answerLines(text, signal)
  const [answered] = await answersTo([text], signal)
  if (!answered!.ok && NO_ANSWER.has(answered!.error.code)) return answerWith(failure(answered!.error))
  return Response.json(answered, {
    status: answered!.ok ? 200 : 422,
    headers: { 'Cache-Control': 'no-store' },
  })
}

function otherType(seen: string) {
  const message = `The request is of the type “${seen.slice(0, 100)}”. Send application/json, or ${LINES} with a request a line.`
  return { code: 'unknown-type', path: 'content-type', message }
}

/** Problems of a request that was not answered, rather than answered with an error. */
const NO_ANSWER: ReadonlySet<string> = new Set(['not-json', 'given-up'])

/** What was given up has an answer that says so, as everything else has. */
async function answersTo(texts: readonly string[], signal: AbortSignal): Promise<readonly Answer[]> {
  const answers = await unlessGivenUp(async () => success(await inThread('answers', texts, { signal })))
  return answers.ok ? answers.value : texts.map(() => ({ ok: false, error: answers.problem }))
}

function answerLines(text: string, signal: AbortSignal): Response {
  const lines = text.split('\n').filter((line) => line.trim() !== '')
  const encoder = new TextEncoder()
  let at = 0
  const stream = new ReadableStream<Uint8Array>({
    async pull(controller) {
      if (at >= lines.length) return controller.close()
      const answers = await answersTo(lines.slice(at, at + LINES_AT_ONCE), signal)
      at += LINES_AT_ONCE
      controller.enqueue(encoder.encode(answers.map((one) => `${JSON.stringify(one)}\n`).join('')))
    },
  })
  return new Response(stream, { headers: { 'Content-Type': LINES, 'Cache-Control': 'no-store' } })
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

/** The claims of the cases that answer a query, as data. */
export async function apiFindings(
  parameters: URLSearchParams,
): Promise<Outcome<z.infer<typeof findingsSchema>>> {
  const query = readInput(casesQuerySchema, Object.fromEntries(parameters))
  if (!query.ok) return query
  const { text, outcome, ...rest } = query.value
  const db = await database()
  const question = { ...rest, ...(text ? { text } : {}), ...(outcome ? { outcome } : {}) }
  const { cases, total } = await findCases(db, question)
  return unlessGivenUp(async () => {
    const findings = []
    for (const own of cases) findings.push(...(await findingRowsOf(db, own)))
    return success({ findings, cases: total })
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
  return unlessGivenUp(async () => {
    const result = await computing().check(document)
    return success({ document, result: result as z.infer<typeof claimCheckSchema>['result'] })
  })
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
