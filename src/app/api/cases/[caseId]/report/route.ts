import { answerWith, answerWithFile } from '@/server/programs/answer'
import { makeReport, readReportQuestion } from '@/server/report/readReport'

/** The report of a case as a file: `?format=pdf`, `docx`, `html` or `md`, with the options of the page that shows it. */
export async function GET(request: Request, { params }: Readonly<{ params: Promise<{ caseId: string }> }>) {
  const { caseId } = await params
  const asked = readReportQuestion(new URL(request.url).searchParams)
  if (!asked.ok) return answerWith(asked)
  return answerWithFile(await makeReport(caseId, asked.value, request.signal))
}
