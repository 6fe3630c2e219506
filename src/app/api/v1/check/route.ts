import { refusalOf } from '@/ownSite'
import { answerRequest } from '@/server/programs/api'

export async function POST(request: Request) {
  const refusal = refusalOf(request)
  return refusal ? new Response(refusal, { status: 403 }) : answerRequest(request)
}
