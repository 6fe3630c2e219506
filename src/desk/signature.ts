import * as z from 'zod/mini'
import { storedText } from './typed'

const sha256Text = z.string().check(z.regex(/^[0-9a-f]{64}$/))
const instant = z.iso.datetime()
/** RFC 7638: SHA-256 of the public key, in base64url. */
export const keyName = z.string().check(z.regex(/^[\w-]{43}$/))

/** What a key signs of a finding: its fingerprint, where the trail of its case stood, and when. */
export const findingStatementSchema = z.strictObject({
  kind: z.literal('true-weight-signature'),
  /** SHA-256 of the text that is signed, in UTF-8. */
  finding: sha256Text,
  trail: z.strictObject({
    length: z.int().check(z.nonnegative()),
    hash: z.union([sha256Text, z.literal('')]),
  }),
  at: instant,
})
export type FindingStatement = Readonly<z.infer<typeof findingStatementSchema>>

/** Who works where a finding is signed by another name; undefined where it is the same, or nobody is named. */
export function enteredByOf({
  signedBy,
  by,
}: Readonly<{ signedBy: string; by: string }>): string | undefined {
  const name = by.trim()
  return name === '' || name === signedBy.trim() ? undefined : name
}

/** What a key signs of itself, so that nobody enters a key that they do not hold. */
export const keyStatementSchema = z.strictObject({
  kind: z.literal('true-weight-key'),
  name: storedText(500),
  key: keyName,
  at: instant,
})
export type KeyStatement = Readonly<z.infer<typeof keyStatementSchema>>

/** The longest signature that is looked at: a key and a statement are much shorter. */
export const MAX_JWS = 8000

/** How a finding is signed; by name, whether the register had a key of that name by then, so that it may not be theirs. */
export type Signature =
  | Readonly<{ by: 'name'; hadKey: boolean }>
  | Readonly<{ by: 'key'; key: string; at: string; standing: KeyStanding }>

/** What a register says of the key of a signature, for the name that signed and the day that it was signed. */
export type KeyStanding = 'registered' | 'other-name' | 'withdrawn' | 'not-on-register'
