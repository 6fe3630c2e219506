import { answerWith, download } from '@/server/programs/answer'
import { readKeptFile } from '@/server/sample/keptFile'

/** The file that a sample was brought in from, byte for byte. */
export async function GET(_: Request, { params }: Readonly<{ params: Promise<{ sampleId: string }> }>) {
  const kept = await readKeptFile((await params).sampleId)
  if (!kept.ok) return answerWith(kept)
  const { name, bytes } = kept.value
  return download({ name, type: 'application/octet-stream', body: bytes })
}
