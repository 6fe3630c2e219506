import 'server-only'
import { parseJson } from '@/desk/parseJson'
import { beginningOf, wellFormed } from '@/desk/typed'
import type { Pieces } from '@/desk/pieces'
import { failure, type Outcome } from '@/claims/terms/outcome'

const STATUS: Readonly<Record<string, number>> = {
  'not-found': 404,
  'changed-elsewhere': 409,
  'too-large': 413,
  'unknown-type': 415,
  'given-up': 503,
  'disk-full': 507,
}
/** Holds the largest draft that is kept, with room for its characters beyond ASCII. */
const LARGEST_BODY = 32 * 1024 * 1024

/** An outcome as an HTTP answer: 200, or the status that fits its problem. */
export function answerWith(outcome: Outcome<unknown>): Response {
  const status = outcome.ok ? 200 : (STATUS[outcome.problem.code] ?? 400)
  return Response.json(outcome, { status, headers: { 'Cache-Control': 'no-store' } })
}

/** Reads a request's JSON, or says why it cannot be read. */
export async function readBody(request: Request): Promise<Outcome<unknown>> {
  const length = Number(request.headers.get('content-length') ?? Infinity)
  if (length > LARGEST_BODY) {
    const seen = Number.isFinite(length) ? `${length} bytes long` : 'of no stated length'
    const message = `The request is ${seen}; at most ${LARGEST_BODY} bytes are taken, and their number has to be stated.`
    return failure({ code: 'too-large', path: '', message })
  }
  try {
    return { ok: true, value: parseJson(await request.text()) }
  } catch (error) {
    const reason = error instanceof SyntaxError ? ` (${beginningOf(error.message, 200)})` : ''
    const message = `The request can't be read as JSON${reason}. Send a JSON object.`
    return failure({ code: 'not-json', path: '', message })
  }
}

/** A file that was made whole, or why there is none. */
export function answerWithFile(
  made: Outcome<Readonly<{ name: string; type: string; bytes: Uint8Array }>>,
): Response {
  if (!made.ok) return answerWith(made)
  const { name, type, bytes } = made.value
  return download({ name, type, body: [bytes] })
}

/** A file to be kept, sent as it is made. */
export function download(
  file: Readonly<{
    name: string
    type: string
    body: Pieces
  }>,
): Response {
  const name = wellFormed(file.name)
  return new Response(streamOf(file.body), {
    headers: {
      'Content-Type': file.type,
      'Content-Disposition': `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
      'Cache-Control': 'no-store',
    },
  })
}

function streamOf(body: Pieces): ReadableStream<Uint8Array> {
  const rest = Symbol.asyncIterator in body ? body[Symbol.asyncIterator]() : body[Symbol.iterator]()
  return new ReadableStream({
    async pull(controller) {
      const { done, value } = await rest.next()
      if (done) controller.close()
      else controller.enqueue(value)
    },
  })
}

/**
 * What comes of another type than a route takes is refused: a page of another site can send forms and plain texts without asking.
 *
 * @returns the answer that refuses it; undefined where it is taken
 */
export function otherTypeThan(request: Request, wanted: string): Response | undefined {
  const seen = (request.headers.get('content-type') ?? '').split(';')[0]!.trim().toLowerCase()
  if (seen === wanted) return undefined
  const message = `What was sent is of the type “${beginningOf(seen, 100)}”. Send it as ${wanted}.`
  return answerWith(failure({ code: 'unknown-type', path: 'content-type', message }))
}
