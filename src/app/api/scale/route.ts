import { answerWith, otherTypeThan, readBody } from '@/server/programs/answer'
import { commandScale, listenToScale } from '@/server/scale/scaleLine'

export const dynamic = 'force-dynamic'

/** What the instrument on this machine says, as it says it (text/event-stream). */
export function GET(request: Request) {
  const encoder = new TextEncoder()
  let end = () => undefined as void
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      end = listenToScale((said) => controller.enqueue(encoder.encode(`data: ${JSON.stringify(said)}\n\n`)))
      request.signal.addEventListener('abort', () => end())
    },
    cancel: () => end(),
  })
  return new Response(body, {
    headers: { 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store, no-transform' },
  })
}

/** Has it set its tare or its zero. */
export async function POST(request: Request) {
  const other = otherTypeThan(request, 'application/json')
  if (other) return other
  const body = await readBody(request)
  return answerWith(body.ok ? await commandScale(body.value) : body)
}
