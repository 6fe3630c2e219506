import { readInstruments } from '@/server/instruments/instruments'

export const dynamic = 'force-dynamic'

/** The instruments of the office that are in use, for a sample to be measured with. */
export async function GET(): Promise<Response> {
  const instruments = await readInstruments()
  return Response.json(instruments.filter(({ isRetired }) => !isRetired))
}
