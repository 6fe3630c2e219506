import { apiCheck, bare } from '@/server/programs/api'

export async function GET(_: Request, { params }: Readonly<{ params: Promise<{ claimId: string }> }>) {
  return bare(await apiCheck((await params).claimId))
}
