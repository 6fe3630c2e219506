import { apiFindings, bare } from '@/server/programs/api'

export const GET = async (request: Request) => bare(await apiFindings(new URL(request.url).searchParams))
