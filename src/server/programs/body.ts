import 'server-only'
import { failure, type Outcome, success } from '@/claims/terms/outcome'

const DROPPED = 4

/** The whole body of a request, as long as it is not larger than what is taken. */
export async function wholeBody(request: Request, max: number): Promise<Outcome<Uint8Array>> {
  const pieces: Uint8Array[] = []
  let length = 0
  if (request.body) {
    for await (const piece of request.body as unknown as AsyncIterable<Uint8Array>) {
      length += piece.length
      // Whoever sends too much reads the answer only once all of it is sent: the rest is taken, within reason, and dropped.
      if (length > DROPPED * max) break
      if (length > max) pieces.length = 0
      else pieces.push(piece)
    }
  }
  return length > max ? failure(tooLarge(max)) : success(Buffer.concat(pieces))
}

function tooLarge(max: number) {
  const message = `What was sent is larger than ${max / 1024 / 1024} MB, which is the most that is taken. Nothing was changed.`
  return { code: 'too-large', path: '', message }
}
