import { compactVerify, calculateJwkThumbprint, EmbeddedJWK, decodeProtectedHeader, type JWK } from 'jose'
import * as z from 'zod/mini'
import {
  type FindingStatement,
  findingStatementSchema,
  type KeyStanding,
  type KeyStatement,
  keyStatementSchema,
  MAX_JWS,
  type Signature,
} from '@/desk/signature'
import { verifyChain } from '@/desk/trail/chain'
import { type KeyEntry, keysIn, type RegisteredKey } from '@/desk/trail/keyRegister'
import { parseJson } from '@/desk/parseJson'
import { type ContentFinding, sha256 } from './content'

/** Nothing but what a key of this kind writes: no other algorithm, and no header that would change what is meant. */
const headerSchema = z.strictObject({
  alg: z.literal('EdDSA'),
  kid: z.string(),
  jwk: z.strictObject({ kty: z.literal('OKP'), crv: z.literal('Ed25519'), x: z.string() }),
})

/** A statement, and the key that signed it. */
export type Signed<Statement> = Readonly<{ key: string; statement: Statement }>

/**
 * The statement in a compact JWS (RFC 7515, Ed25519 by RFC 8037), verified by the key that it names in its header.
 *
 * @returns undefined where it is not what that key signed, or no statement of the kind
 */
async function readStatement<Statement>(
  jws: string,
  schema: z.ZodMiniType<Statement>,
): Promise<Signed<Statement> | undefined> {
  try {
    if (jws.length > MAX_JWS) return undefined
    const header = headerSchema.parse(decodeProtectedHeader(jws))
    const { payload } = await compactVerify(jws, EmbeddedJWK, { algorithms: ['EdDSA'] })
    const key = await calculateJwkThumbprint(header.jwk as JWK)
    if (key !== header.kid) return undefined
    const read = schema.safeParse(parseJson(new TextDecoder('utf-8', { fatal: true }).decode(payload)))
    return read.success ? { key, statement: read.data } : undefined
  } catch {
    return undefined
  }
}

export const readFindingStatement = (jws: string): Promise<Signed<FindingStatement> | undefined> =>
  readStatement(jws, findingStatementSchema)

export const readKeyStatement = (jws: string): Promise<Signed<KeyStatement> | undefined> =>
  readStatement(jws, keyStatementSchema)

/** The keys of a register whose chain holds and whose every key says itself that it is its holder's. */
export async function keysOf(
  entries: readonly KeyEntry[],
): Promise<Readonly<{ ok: true; keys: readonly RegisteredKey[] } | { ok: false; number: number }>> {
  const chain = verifyChain(entries, sha256)
  if (!chain.holds) return { ok: false, number: chain.number }
  const known = new Set<string>()
  for (const { number, action, name, key, proof } of entries) {
    const said = action === 'entered' ? await readKeyStatement(proof) : undefined
    const isProven = said?.key === key && said.statement.key === key && said.statement.name === name
    if (action === 'entered' ? !isProven || known.has(key) : !known.has(key)) return { ok: false, number }
    known.add(key)
  }
  return { ok: true, keys: keysIn(entries) }
}

/** @param keys - of the register that the signature is held against */
export async function signatureOf(
  {
    jws,
    signedBy,
    createdAt,
  }: Pick<ContentFinding, 'jws' | 'signedBy'> & Readonly<{ createdAt: string | Date }>,
  keys: readonly RegisteredKey[],
): Promise<Signature> {
  const signed = jws === '' ? undefined : await readFindingStatement(jws)
  if (!signed) {
    const at = new Date(createdAt).toISOString()
    return { by: 'name', hadKey: keys.some((one) => one.name === signedBy && isWithin(one, at)) }
  }
  const { key, statement } = signed
  return { by: 'key', key, at: statement.at, standing: standingOf(key, { signedBy, at: statement.at }, keys) }
}

function standingOf(
  key: string,
  { signedBy, at }: Readonly<{ signedBy: string; at: string }>,
  keys: readonly RegisteredKey[],
): KeyStanding {
  const known = keys.find((one) => one.key === key)
  if (!known) return 'not-on-register'
  if (known.name !== signedBy) return 'other-name'
  return isWithin(known, at) ? 'registered' : 'withdrawn'
}

const isWithin = ({ from, until }: RegisteredKey, at: string): boolean =>
  at >= from && (until === undefined || at <= until)
