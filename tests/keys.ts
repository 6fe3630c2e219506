import { createHash, generateKeyPairSync, type KeyObject, sign } from 'node:crypto'
import { canonicalJson } from '@/desk/canonicalJson'
import { chained, type Link } from '@/desk/trail/chain'
import type { KeyEntry } from '@/desk/trail/keyRegister'
import type { FindingStatement, KeyStatement } from '@/desk/signature'

/** Keys and signatures made by Node's own cryptography, as another library than the application's would make them. */

export type OwnKey = Readonly<{
  name: string
  key: string
  publicKey: Readonly<{ kty: string; crv: string; x: string }>
  privateKey: KeyObject
}>

const sha256 = (text: string) => createHash('sha256').update(text).digest()
const base64url = (text: string) => Buffer.from(text).toString('base64url')

export function newKey(name: string): OwnKey {
  const pair = generateKeyPairSync('ed25519')
  const { kty, crv, x } = pair.publicKey.export({ format: 'jwk' }) as Readonly<
    Record<'kty' | 'crv' | 'x', string>
  >
  const publicKey = { kty, crv, x }
  // RFC 7638: the members that are required, in the order of their names.
  const key = sha256(`{"crv":"${crv}","kty":"${kty}","x":"${x}"}`).toString('base64url')
  return { name, key, publicKey, privateKey: pair.privateKey }
}

/** A compact JWS (RFC 7515) of any header and payload. */
export function jwsOf(own: OwnKey, payload: string, header: object = headerOf(own)): string {
  const text = `${base64url(JSON.stringify(header))}.${base64url(payload)}`
  return `${text}.${sign(null, Buffer.from(text), own.privateKey).toString('base64url')}`
}

export const headerOf = ({ key, publicKey }: OwnKey) => ({ alg: 'EdDSA', kid: key, jwk: publicKey })

export const signedBy = (own: OwnKey, statement: FindingStatement | KeyStatement): string =>
  jwsOf(own, canonicalJson(statement))

/** What a key says of itself. */
export const proofOf = (own: OwnKey, at: string, name = own.name): string =>
  signedBy(own, { kind: 'true-weight-key', name, key: own.key, at })

const hash = (text: string) => sha256(text).toString('hex')

/** A register with an entry behind its last. */
export function registered(
  entries: readonly KeyEntry[],
  entry: Omit<KeyEntry, keyof Link | 'who'>,
): readonly KeyEntry[] {
  return [
    ...entries,
    chained(
      { ...entry, who: entry.name },
      { length: entries.length, hash: entries.at(-1)?.hash ?? '' },
      hash,
    ),
  ]
}
