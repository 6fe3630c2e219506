import { apiCases, bare } from '@/server/programs/api'

export const GET = async (request: Request) => bare(await apiCases(new URL(request.url).searchParams))
