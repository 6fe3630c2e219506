import { answerWith, readBody } from '@/server/programs/answer'
import { readDraftOf } from '@/server/claim/readClaim'
import { saveClaim } from '@/server/claim/saveClaim'

type Context = Readonly<{ params: Promise<{ claimId: string }> }>

export async function GET(_: Request, { params }: Context) {
  const { claimId } = await params
  return answerWith(await readDraftOf(claimId))
}

export async function PUT(request: Request, { params }: Context) {
  const { claimId } = await params
  const body = await readBody(request)
  return answerWith(body.ok ? await saveClaim(claimId, body.value, new Date()) : body)
}
