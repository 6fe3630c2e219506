import { openApi } from '@/server/openApi'

export const GET = () => Response.json(openApi())
