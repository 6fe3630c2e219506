import { sql } from 'drizzle-orm'
import { check, foreignKey, index, integer, pgTable, text, unique, uuid } from 'drizzle-orm/pg-core'
import { TRAIL_ACTIONS } from '@/desk/trail/chain'
import { claims } from './claims'
import { instant, oneOf, typed } from './parts'
import { cases, samples } from './samples'

/** Who did what and when: written with the change itself, chained to the entry before by hash, and never changed. */
export const trailEntries = pgTable(
  'trail_entries',
  {
    id: uuid('id').primaryKey(),
    caseId: uuid('case_id').notNull(),
    sampleId: uuid('sample_id'),
    claimId: uuid('claim_id'),
    /** Counts the entries of a case, from 1; null in one that is older than the chain, until it is put into it. */
    number: integer('number'),
    at: instant('at').notNull(),
    who: text('who').notNull(),
    action: text('action', { enum: TRAIL_ACTIONS }).notNull(),
    /** What was acted on and why, in words. */
    detail: text('detail').notNull(),
    /** What it was and what it became, as JSON text of one spelling: the hash is of its bytes. Empty for none. */
    before: typed('before'),
    after: typed('after'),
    /** The hash of the entry before, and of this one with that: SHA-256 in hexadecimal. */
    previous: typed('previous'),
    hash: typed('hash'),
  },
  (table) => [
    foreignKey({ name: 'trail_entries_case_id_fk', columns: [table.caseId], foreignColumns: [cases.id] }),
    foreignKey({
      name: 'trail_entries_sample_id_fk',
      columns: [table.sampleId],
      foreignColumns: [samples.id],
    }),
    foreignKey({
      name: 'trail_entries_claim_id_fk',
      columns: [table.claimId],
      foreignColumns: [claims.id],
    }),
    check('trail_entries_action_known', oneOf('action', TRAIL_ACTIONS)),
    unique('trail_entries_case_id_number_unique').on(table.caseId, table.number),
    index('trail_entries_unchained_idx')
      .on(table.id)
      .where(sql`"number" is null`),
    index('trail_entries_sample_id_idx').on(table.sampleId),
    index('trail_entries_claim_id_idx').on(table.claimId),
  ],
)
