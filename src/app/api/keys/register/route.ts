import { download } from '@/server/programs/answer'
import { readRegister } from '@/server/keys/keys'

export const dynamic = 'force-dynamic'

/** The office's register of keys as a file, to hold signatures against: `true-weight verify --keys`. */
export async function GET() {
  const { entries } = await readRegister()
  const text = `${JSON.stringify({ kind: 'true-weight-register', entries }, null, 2)}\n`
  return download({ name: 'keys.json', type: 'application/json', body: [new TextEncoder().encode(text)] })
}
