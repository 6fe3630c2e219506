import { openApi } from '@/server/programs/openApi'

export const GET = () => Response.json(openApi())
