import { refusalOf } from '@/ownSite'
import { answerWith, otherTypeThan } from '@/server/programs/answer'
import { database } from '@/server/keeping/database'
import { isIdentifier } from '@/server/identifier'
import { asImport, cancelImport } from '@/server/sample/imports'
import { importSheet } from '@/server/sample/importSheet'
import { readImportQuestion } from '@/server/sample/importQuestion'
import { notFound } from '@/server/problems'

/**
 * Brings a file in as a sample of the case. The answer is lines of JSON: `{ rows, share }` while it is read, and the outcome at
 * the end. A request that is broken off leaves nothing behind.
 */
export async function POST(request: Request, { params }: Readonly<{ params: Promise<{ caseId: string }> }>) {
  const refusal = refusalOf(request)
  if (refusal) return new Response(refusal, { status: 403 })
  const other = otherTypeThan(request, 'application/octet-stream')
  if (other) return other
  const { caseId } = await params
  const question = readImportQuestion(new URL(request.url).searchParams)
  if (!question.ok) return answerWith(question)
  if (!isIdentifier(caseId)) return answerWith({ ok: false, problem: notFound('case', caseId) })
  const { body } = request
  const { importId = crypto.randomUUID(), ...stated } = question.value
  const encoder = new TextEncoder()
  const stream = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (line: unknown) => controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`))
      await asImport(importId, async (cancelled) => {
        const signal = AbortSignal.any([request.signal, cancelled])
        try {
          const input = { ...stated, caseId, body: piecesOf(body), signal }
          const onProgress = (rows: number, share: number) => say({ rows, share })
          const outcome = await importSheet(await database(), { ...input, onProgress }, new Date())
          if (!request.signal.aborted) say(outcome)
          return outcome.ok && outcome.value.is === 'brought-in' ? outcome.value.sampleId : undefined
        } catch (error) {
          if (!signal.aborted) throw error
          return undefined
        }
      })
      if (!request.signal.aborted) controller.close()
    },
  })
  return new Response(stream, {
    headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store' },
  })
}

/** Cancels an import: the answer says whether its sample was stored before. */
export async function DELETE(request: Request) {
  const refusal = refusalOf(request)
  if (refusal) return new Response(refusal, { status: 403 })
  const importId = new URL(request.url).searchParams.get('import') ?? ''
  return answerWith(await cancelImport(importId))
}

async function* piecesOf(body: ReadableStream<Uint8Array> | null): AsyncGenerator<Uint8Array> {
  const reader = body?.getReader()
  while (reader) {
    const { done, value } = await reader.read()
    if (done) return
    yield value
  }
}
