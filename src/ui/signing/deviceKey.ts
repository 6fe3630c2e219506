'use client'

import {
  calculateJwkThumbprint,
  CompactEncrypt,
  compactDecrypt,
  CompactSign,
  exportJWK,
  generateKeyPair,
  importJWK,
  type JWK,
} from 'jose'
import * as z from 'zod/mini'
import type { DeviceKey } from './keyStore'
import { canonicalJson } from '@/desk/canonicalJson'
import type { FindingStatement, KeyStatement } from '@/desk/signature'

const ALGORITHM = 'EdDSA'
/** Rounds of PBKDF2 that a guess at a passphrase costs (OWASP, 2023, for SHA-256). */
const ROUNDS = 600_000
const WRAPPING = 'PBES2-HS256+A128KW'
export const SHORTEST_PASSPHRASE = 12

/** A new key whose secret half never leaves this browser. */
export async function makeDeviceKey(name: string): Promise<DeviceKey> {
  const { publicKey, privateKey } = await generateKeyPair(ALGORITHM, { crv: 'Ed25519' })
  return named(name, await exportJWK(publicKey), privateKey)
}

/** A new key, and the file that holds it under a passphrase, for those who sign on several devices. */
export async function makeKeyFile(
  name: string,
  passphrase: string,
): Promise<Readonly<{ own: DeviceKey; file: string }>> {
  const pair = await generateKeyPair(ALGORITHM, { crv: 'Ed25519', extractable: true })
  const secret = await exportJWK(pair.privateKey)
  const file = await new CompactEncrypt(
    new TextEncoder().encode(JSON.stringify({ kind: KIND, name, jwk: secret })),
  )
    .setProtectedHeader({ alg: WRAPPING, enc: 'A256GCM' })
    .setKeyManagementParameters({ p2c: ROUNDS })
    .encrypt(new TextEncoder().encode(passphrase))
  return { own: await held(name, secret), file }
}

const KIND = 'true-weight-key-file'
const fileSchema = z.strictObject({
  kind: z.literal(KIND),
  name: z.string(),
  jwk: z.strictObject({ kty: z.literal('OKP'), crv: z.literal('Ed25519'), x: z.string(), d: z.string() }),
})

/** @returns undefined where the passphrase is another, or the file is no key's */
export async function readKeyFile(file: string, passphrase: string): Promise<DeviceKey | undefined> {
  try {
    const { plaintext } = await compactDecrypt(file.trim(), new TextEncoder().encode(passphrase), {
      keyManagementAlgorithms: [WRAPPING],
      contentEncryptionAlgorithms: ['A256GCM'],
      maxPBES2Count: ROUNDS,
    })
    const { name, jwk } = fileSchema.parse(JSON.parse(new TextDecoder().decode(plaintext)))
    return await held(name, jwk)
  } catch {
    return undefined
  }
}

/** A secret half that was in a file is held here so that it can't be read any more. */
async function held(name: string, secret: JWK): Promise<DeviceKey> {
  const { kty, crv, x } = secret
  const privateKey = (await importJWK(secret, ALGORITHM, { extractable: false })) as CryptoKey
  return named(name, { kty: kty!, crv: crv!, x: x! }, privateKey)
}

async function named(name: string, publicKey: JWK, privateKey: CryptoKey): Promise<DeviceKey> {
  const { kty, crv, x } = publicKey
  const own = { kty: kty!, crv: crv!, x: x! }
  return { name, key: await calculateJwkThumbprint(own), publicKey: own, privateKey }
}

/** A statement, in its only spelling as JSON, signed by a key: a compact JWS (RFC 7515) with the public key in its header. */
export function signStatement(own: DeviceKey, statement: FindingStatement | KeyStatement): Promise<string> {
  return new CompactSign(new TextEncoder().encode(canonicalJson(statement)))
    .setProtectedHeader({ alg: ALGORITHM, kid: own.key, jwk: own.publicKey })
    .sign(own.privateKey)
}
