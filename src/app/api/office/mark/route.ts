import { answerWith, otherTypeThan } from '@/server/programs/answer'
import { wholeBody } from '@/server/programs/body'
import { saveMark } from '@/server/office/office'

const MAX_BYTES = 2 * 1024 * 1024

/** Gives reports the mark of the office, a PNG file, which is the body; `by` says who does it. */
export async function PUT(request: Request) {
  const other = otherTypeThan(request, 'image/png')
  if (other) return other
  const body = await wholeBody(request, MAX_BYTES)
  if (!body.ok) return answerWith(body)
  const by = new URL(request.url).searchParams.get('by') ?? ''
  return answerWith(await saveMark(body.value, { by, now: new Date() }))
}
