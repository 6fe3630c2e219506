import 'server-only'
import { randomBytes } from 'node:crypto'
import { Integer, OctetString } from 'asn1js'
import { AlgorithmIdentifier, MessageImprint, PKIStatus, TimeStampReq, TimeStampResp } from 'pkijs'
import { infoIn, MAX_TOKEN, SHA_256 } from '@/casefile/stamp'
import { simulatedReply } from './simulatedReply'

const LONGEST_WAIT_MS = 10_000

/** Thrown where an authority gives no time stamp, with why in words. */
export class NoStamp extends Error {}

/**
 * A time stamp over a hash (RFC 3161), from the authority whose address TRUE_WEIGHT_TIME_STAMP_URL is; without it, from the
 * simulated one that ships with the application.
 *
 * @param hash - SHA-256, in hexadecimal digits
 * @returns the token in DER, as the authority gave it: it is still to be verified
 * @throws NoStamp
 */
export async function stampFrom(authority: string | undefined, hash: string): Promise<Uint8Array> {
  const nonce = new Integer({ valueHex: Uint8Array.of(1, ...randomBytes(8)) })
  const query = new TimeStampReq({
    version: 1,
    messageImprint: new MessageImprint({
      hashAlgorithm: new AlgorithmIdentifier({ algorithmId: SHA_256 }),
      hashedMessage: new OctetString({ valueHex: Buffer.from(hash, 'hex') }),
    }),
    nonce,
    certReq: true,
  })
  const asked = new Uint8Array(query.toSchema().toBER())
  const reply =
    authority === undefined ? await simulatedReply(asked, new Date()) : await ask(authority, asked)
  return tokenIn(reply, nonce)
}

async function ask(authority: string, query: Uint8Array): Promise<Uint8Array> {
  try {
    const response = await fetch(authority, {
      method: 'POST',
      headers: { 'content-type': 'application/timestamp-query' },
      body: Uint8Array.from(query),
      signal: AbortSignal.timeout(LONGEST_WAIT_MS),
    })
    if (!response.ok) throw new NoStamp(`it answered with status ${response.status}`)
    return await bytesOf(response)
  } catch (error) {
    if (error instanceof NoStamp) throw error
    const isLate = error instanceof DOMException && error.name === 'TimeoutError'
    throw new NoStamp(isLate ? 'it gave no answer within 10 seconds' : 'it can’t be reached')
  }
}

async function bytesOf({ body }: Response): Promise<Uint8Array> {
  const pieces: Uint8Array[] = []
  let length = 0
  for await (const piece of body ?? []) {
    pieces.push(piece)
    length += piece.length
    if (length > MAX_TOKEN) throw new NoStamp('its answer is too long for a time stamp')
  }
  return Buffer.concat(pieces)
}

function tokenIn(reply: Uint8Array, nonce: Integer): Uint8Array {
  const { status, timeStampToken } = readReply(reply)
  const isGranted = status.status === PKIStatus.granted || status.status === PKIStatus.grantedWithMods
  if (!isGranted || !timeStampToken) throw new NoStamp(`it refused (status ${Number(status.status)})`)
  const token = new Uint8Array(timeStampToken.toSchema().toBER())
  if (!isAnswerTo(token, nonce)) throw new NoStamp('its time stamp answers another query')
  return token
}

function readReply(reply: Uint8Array): TimeStampResp {
  try {
    return TimeStampResp.fromBER(Uint8Array.from(reply))
  } catch {
    throw new NoStamp('its answer is no time stamp')
  }
}

/** An answer that was recorded before has another number in it. */
function isAnswerTo(token: Uint8Array, nonce: Integer): boolean {
  try {
    return infoIn(token).nonce?.isEqual(nonce) === true
  } catch {
    return false
  }
}
