import { refusalOf } from '@/ownSite'
import { answerWith } from '@/server/programs/answer'
import { wholeBody } from '@/server/programs/body'
import { importCase } from '@/server/keeping/caseFile'

const MAX_BYTES = 512 * 1024 * 1024
const LONGEST_NAME = 500

/** Brings a case in from its file, which is the body; `by` says who does it and `name` what the file is called. */
export async function POST(request: Request) {
  const refusal = refusalOf(request)
  if (refusal) return new Response(refusal, { status: 403 })
  const parameters = new URL(request.url).searchParams
  const said = (name: string) => (parameters.get(name) ?? '').replaceAll('\0', '').slice(0, LONGEST_NAME)
  const body = await wholeBody(request, MAX_BYTES)
  if (!body.ok) return answerWith(body)
  return answerWith(await importCase(body.value, said('name'), { by: said('by'), now: new Date() }))
}
