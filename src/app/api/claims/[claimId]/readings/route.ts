import { answerWithFile } from '@/server/programs/answer'
import { readReadings } from '@/server/claim/readReadings'

/** The readings of a claim as the CSV file whose hash a report states: `?of=second` those of its second source. */
export async function GET(request: Request, { params }: Readonly<{ params: Promise<{ claimId: string }> }>) {
  const { claimId } = await params
  return answerWithFile(await readReadings(claimId, new URL(request.url).searchParams))
}
