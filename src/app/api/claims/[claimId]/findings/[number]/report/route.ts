import { answerWith, answerWithFile } from '@/server/programs/answer'
import { makeSignedReport, readReportQuestion } from '@/server/report/readReport'

type Context = Readonly<{ params: Promise<{ claimId: string; number: string }> }>

/** The report of one signed finding as a file: `?format=pdf`, `docx`, `html` or `md`, with the options of a case's report. */
export async function GET(request: Request, { params }: Context) {
  const asked = readReportQuestion(new URL(request.url).searchParams)
  if (!asked.ok) return answerWith(asked)
  return answerWithFile(await makeSignedReport(await params, asked.value, request.signal))
}
