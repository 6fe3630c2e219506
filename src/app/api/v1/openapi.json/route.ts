import { openApi } from '@/server/programs/openApi'

/** Made with the build: to describe every schema takes a tenth of a second. */
export const dynamic = 'force-static'

export const GET = () => Response.json(openApi())
