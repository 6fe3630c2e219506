import { answerWith, readBody } from '@/server/programs/answer'
import { saveCase } from '@/server/case/changeCase'

export async function PUT(request: Request, { params }: Readonly<{ params: Promise<{ caseId: string }> }>) {
  const { caseId } = await params
  const body = await readBody(request)
  return answerWith(body.ok ? await saveCase(caseId, body.value, new Date()) : body)
}
