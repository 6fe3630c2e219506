import * as z from 'zod/mini'
import { exportFindings, FINDING_FORMATS } from '@/server/programs/exportFindings'
import { readInput } from '@/server/input'
import { answerWith, download } from '@/server/programs/answer'

const askedSchema = z.strictObject({ format: z._default(z.enum(FINDING_FORMATS), 'csv') })

/** The findings of a case as data: `?format=csv` or `xlsx`. */
export async function GET(request: Request, { params }: Readonly<{ params: Promise<{ caseId: string }> }>) {
  const asked = readInput(askedSchema, Object.fromEntries(new URL(request.url).searchParams))
  if (!asked.ok) return answerWith(asked)
  const made = await exportFindings((await params).caseId, asked.value.format)
  return made.ok ? download(made.value) : answerWith(made)
}
