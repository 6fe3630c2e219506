import { keepCheck } from '@/server/bench/keepCheck'
import { answerWith, otherTypeThan, readBody } from '@/server/programs/answer'

/** Puts a check of the bench into a case. */
export async function POST(request: Request) {
  const other = otherTypeThan(request, 'application/json')
  if (other) return other
  const body = await readBody(request)
  return answerWith(body.ok ? await keepCheck(body.value, new Date()) : body)
}
