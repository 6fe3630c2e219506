import { exportDocket } from '@/server/programs/exportFindings'
import { answerWith, download } from '@/server/programs/answer'

/** The findings of all cases that answer the docket's query, as data: `format=csv` or `xlsx`. */
export async function GET(request: Request) {
  const made = await exportDocket(new URL(request.url).searchParams)
  return made.ok ? download(made.value) : answerWith(made)
}
