import { apiSample, bare } from '@/server/api'

export async function GET(_: Request, { params }: Readonly<{ params: Promise<{ sampleId: string }> }>) {
  return bare(await apiSample((await params).sampleId))
}
