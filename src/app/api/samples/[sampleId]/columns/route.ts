import { answerWith } from '@/server/programs/answer'
import { readPackedColumns } from '@/server/sample/readSample'

/** The columns named in the address, or all of them, as bytes. */
export async function GET(request: Request, { params }: Readonly<{ params: Promise<{ sampleId: string }> }>) {
  const { sampleId } = await params
  const packed = await readPackedColumns(sampleId, new URL(request.url).searchParams.getAll('name'))
  if (!packed.ok) return answerWith(packed)
  const headers = { 'Content-Type': 'application/octet-stream', 'Cache-Control': 'no-store' }
  return new Response(new Blob([...packed.value] as BlobPart[]), { headers })
}
