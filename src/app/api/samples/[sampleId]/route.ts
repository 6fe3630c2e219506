import { answerWith, readBody } from '@/server/programs/answer'
import { readSampleDraft } from '@/server/sample/readSample'
import { saveSample } from '@/server/sample/saveSample'

type Context = Readonly<{ params: Promise<{ sampleId: string }> }>

export async function GET(_: Request, { params }: Context) {
  const { sampleId } = await params
  return answerWith(await readSampleDraft(sampleId))
}

export async function PUT(request: Request, { params }: Context) {
  const { sampleId } = await params
  const body = await readBody(request)
  return answerWith(body.ok ? await saveSample(sampleId, body.value, new Date()) : body)
}
