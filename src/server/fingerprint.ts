import 'server-only'
import { canonicalJson } from '@/desk/canonicalJson'
import { sha256 } from '@/data/trailRepository'

export { sha256 as fingerprintOf }

/** The fingerprint of a value's only spelling as JSON. */
export const fingerprintOfValue = (value: unknown): string => sha256(canonicalJson(value))
