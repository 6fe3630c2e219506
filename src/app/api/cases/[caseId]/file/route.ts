import { answerWith, download } from '@/server/programs/answer'
import { exportCase } from '@/server/keeping/caseFile'

/** The case as one ZIP file. */
export async function GET(_: Request, { params }: Readonly<{ params: Promise<{ caseId: string }> }>) {
  const exported = await exportCase((await params).caseId)
  if (!exported.ok) return answerWith(exported)
  const { name, bytes } = exported.value
  return download({ name: `${name}.zip`, type: 'application/zip', body: bytes })
}
