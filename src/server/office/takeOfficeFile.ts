import 'server-only'
import { answerWith, otherTypeThan } from '../programs/answer'
import { wholeBody } from '../programs/body'
import { type OfficeFile, saveOfficeFile } from './office'

/** Takes a file of the office that is the body of a request; `by` of its address says who gives it. */
export async function takeOfficeFile(
  request: Request,
  { name, type, maxBytes }: Readonly<{ name: OfficeFile; type: string; maxBytes: number }>,
): Promise<Response> {
  const other = otherTypeThan(request, type)
  if (other) return other
  const body = await wholeBody(request, maxBytes)
  if (!body.ok) return answerWith(body)
  const by = new URL(request.url).searchParams.get('by') ?? ''
  return answerWith(await saveOfficeFile(name, body.value, { by, now: new Date() }))
}
