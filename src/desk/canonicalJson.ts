/**
 * A value as JSON of one spelling only: keys in order, nothing that is undefined, no spaces. What is equal has the same text,
 * and so the same fingerprint.
 */
export function canonicalJson(value: unknown): string {
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
