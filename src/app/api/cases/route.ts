import { refusalOf } from '@/ownSite'
import { answerWith, otherTypeThan } from '@/server/programs/answer'
import { wholeBody } from '@/server/programs/body'
import { importCase } from '@/server/keeping/caseFile'

const MAX_BYTES = 512 * 1024 * 1024

/** Brings a case in from its file, which is the body; `by` says who does it and `name` what the file is called. */
export async function POST(request: Request) {
  const refusal = refusalOf(request)
  if (refusal) return new Response(refusal, { status: 403 })
  const other = otherTypeThan(request, 'application/zip')
  if (other) return other
  const parameters = new URL(request.url).searchParams
  const said = (name: string) => parameters.get(name) ?? ''
  const body = await wholeBody(request, MAX_BYTES)
  if (!body.ok) return answerWith(body)
  return answerWith(await importCase(body.value, said('name'), { by: said('by'), now: new Date() }))
}
