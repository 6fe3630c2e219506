import { apiCase, bare } from '@/server/programs/api'

export async function GET(_: Request, { params }: Readonly<{ params: Promise<{ caseId: string }> }>) {
  return bare(await apiCase((await params).caseId))
}
