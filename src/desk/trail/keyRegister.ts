import * as z from 'zod/mini'
import { keyName, MAX_JWS } from '../signature'
import { storedText } from '../typed'

export const KEY_ACTIONS = ['entered', 'withdrawn'] as const

/** An entry of the office's register of keys: whose key was entered or withdrawn, when and by whom, chained by hash. */
export const keyEntrySchema = z.strictObject({
  number: z.int().check(z.positive()),
  at: z.iso.datetime(),
  who: storedText(500),
  action: z.enum(KEY_ACTIONS),
  name: storedText(500),
  key: keyName,
  /** The statement of the key about itself, signed by it: a compact JWS. Empty where it is withdrawn. */
  proof: z.string().check(z.maxLength(MAX_JWS)),
  previous: z.string(),
  hash: z.string(),
})
export type KeyEntry = Readonly<z.infer<typeof keyEntrySchema>>

/** The register as a file. */
export const registerSchema = z.strictObject({
  kind: z.literal('true-weight-register'),
  entries: z.array(keyEntrySchema),
})

/** A key on the register, from when until when it stands for its holder. */
export type RegisteredKey = Readonly<{ key: string; name: string; from: string; until?: string }>

/** The keys that the entries come to, the first first. */
export function keysIn(entries: readonly KeyEntry[]): readonly RegisteredKey[] {
  const keys = new Map<string, RegisteredKey>()
  for (const { action, key, name, at } of entries) {
    const known = keys.get(key)
    if (action === 'entered') keys.set(key, { key, name, from: at })
    else if (known) keys.set(key, { ...known, until: at })
  }
  return [...keys.values()]
}
