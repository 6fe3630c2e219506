import { apiSample, bare } from '@/server/programs/api'

export async function GET(_: Request, { params }: Readonly<{ params: Promise<{ sampleId: string }> }>) {
  return bare(await apiSample((await params).sampleId))
}
