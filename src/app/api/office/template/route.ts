import { answerWith, otherTypeThan } from '@/server/programs/answer'
import { wholeBody } from '@/server/programs/body'
import { saveTemplate } from '@/server/office/office'

/** More than a file has whose text and pictures were taken out. */
const MAX_BYTES = 8 * 1024 * 1024

/** Gives the DOCX files of reports the styles of a DOCX or DOTX file, which is the body; `by` says who does it. */
export async function PUT(request: Request) {
  const other = otherTypeThan(request, 'application/octet-stream')
  if (other) return other
  const body = await wholeBody(request, MAX_BYTES)
  if (!body.ok) return answerWith(body)
  const by = new URL(request.url).searchParams.get('by') ?? ''
  return answerWith(await saveTemplate(body.value, { by, now: new Date() }))
}
