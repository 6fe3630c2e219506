import 'server-only'
import { createHash } from 'node:crypto'
import { canonicalJson } from '@/core/canonicalJson'

/** SHA-256 of a text in UTF-8, in hexadecimal digits. */
export function fingerprintOf(text: string): string {
  return createHash('sha256').update(text, 'utf8').digest('hex')
}

/** The fingerprint of a value's only spelling as JSON. */
export const fingerprintOfValue = (value: unknown): string => fingerprintOf(canonicalJson(value))
