import canonicalize from 'canonicalize'

/**
 * A value as JSON of one spelling only, by RFC 8785: what is equal has the same text, and so the same fingerprint, and an
 * outsider can make it again. A field that is undefined is left out.
 *
 * @throws an Error for NaN, an infinity, or half of a character, which JSON of that spelling can't hold
 */
export function canonicalJson(value: unknown): string {
  const text = canonicalize(value)
  if (text === undefined) throw new Error('There is no JSON of undefined.')
  if (HALF.test(text)) throw new Error('There is no JSON of one spelling for a lone surrogate.')
  return text
}

/** The escape of half of a character: whole ones are never escaped, and a backslash itself is doubled. */
const HALF = /(?<!\\)(?:\\\\)*\\ud[89a-f]/

/** A value in the spelling of today, where it has one, and in that which case files of version 1 were hashed in. */
export function spellingsOf(value: unknown): readonly string[] {
  const older = olderCanonicalJson(value)
  try {
    return [canonicalJson(value), older]
  } catch {
    // Half of a character, which only the older spelling wrote.
    return [older]
  }
}

/** It differs where a key is a whole number, which stood before all others, and in halves of characters, escaped. */
function olderCanonicalJson(value: unknown): string {
  return JSON.stringify(ordered(value))
}

function ordered(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(ordered)
  if (value === null || typeof value !== 'object') return value
  const entries = Object.entries(value).filter(([, one]) => one !== undefined)
  return Object.fromEntries(
    entries.sort(([a], [b]) => (a < b ? -1 : 1)).map(([key, one]) => [key, ordered(one)]),
  )
}
