import { answerWith } from '@/server/answer'
import { EXPORT_PARTS, exportSample } from '@/server/exportSample'

/** A part of a sample as a CSV file: `?part=sheet`, `codes` or `set-aside`. */
export async function GET(request: Request, { params }: Readonly<{ params: Promise<{ sampleId: string }> }>) {
  const { sampleId } = await params
  const wanted = new URL(request.url).searchParams.get('part')
  const part = EXPORT_PARTS.find((one) => one === wanted) ?? 'sheet'
  const made = await exportSample(sampleId, part)
  if (!made.ok) return answerWith(made)
  const { name, lines } = made.value
  const headers = {
    'Content-Type': 'text/csv; charset=utf-8',
    'Content-Disposition': `attachment; filename*=UTF-8''${encodeURIComponent(name)}.csv`,
    'Cache-Control': 'no-store',
  }
  return new Response(streamOf(lines), { headers })
}

function streamOf(lines: Iterable<string>): ReadableStream<Uint8Array> {
  const encoder = new TextEncoder()
  const rest = lines[Symbol.iterator]()
  return new ReadableStream({
    pull(controller) {
      const { done, value } = rest.next()
      if (done) controller.close()
      else controller.enqueue(encoder.encode(value))
    },
  })
}
