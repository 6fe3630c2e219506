import { exportSpecification } from '@/server/claim/exportSpecification'
import { answerWith, download } from '@/server/programs/answer'

/** The claims of a case as a specification, a table in CSV that can be brought in again. */
export async function GET(_: Request, { params }: Readonly<{ params: Promise<{ caseId: string }> }>) {
  const made = await exportSpecification((await params).caseId)
  return made.ok ? download(made.value) : answerWith(made)
}
