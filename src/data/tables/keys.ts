import { check, integer, pgTable, text } from 'drizzle-orm/pg-core'
import { KEY_ACTIONS } from '@/desk/trail/keyRegister'
import { instant, oneOf, typed } from './parts'

/** The office's register of keys: an entry for each that was entered or withdrawn, chained by hash and never changed. */
export const keyEntries = pgTable(
  'key_entries',
  {
    number: integer('number').primaryKey(),
    at: instant('at').notNull(),
    who: text('who').notNull(),
    action: text('action', { enum: KEY_ACTIONS }).notNull(),
    /** Whose key it is. */
    name: text('name').notNull(),
    /** The thumbprint of the public key (RFC 7638). */
    key: text('key').notNull(),
    /** What the key says of itself, signed by it: a compact JWS with the public key in its header. */
    proof: typed('proof'),
    previous: typed('previous'),
    hash: text('hash').notNull(),
  },
  () => [check('key_entries_action_known', oneOf('action', KEY_ACTIONS))],
)
