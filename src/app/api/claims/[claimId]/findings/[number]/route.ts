import { readSigned } from '@/server/finding/readFinding'

type Context = Readonly<{ params: Promise<{ claimId: string; number: string }> }>

/** A signed finding as the file that was signed: its SHA-256 is the fingerprint. */
export async function GET(_: Request, { params }: Context) {
  const { claimId, number } = await params
  const row = await readSigned(claimId, number)
  if (!row) return Response.json({ error: 'There is no such finding.' }, { status: 404 })
  return new Response(row.signed, {
    headers: {
      'Content-Type': 'application/json; charset=utf-8',
      'Content-Disposition': `attachment; filename="finding-${row.number}.json"`,
      'Cache-Control': 'no-store',
    },
  })
}
