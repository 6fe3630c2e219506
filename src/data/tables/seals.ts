import { foreignKey, integer, pgTable, primaryKey, uuid } from 'drizzle-orm/pg-core'
import { bytea } from './parts'
import { cases } from './samples'

/** Time stamps (RFC 3161, in DER) over the trail of a case: each says itself over which entry it is, when and by whom. */
export const seals = pgTable(
  'seals',
  {
    caseId: uuid('case_id').notNull(),
    /** Counts the seals of a case, from 1. */
    number: integer('number').notNull(),
    token: bytea('token').notNull(),
  },
  (table) => [
    primaryKey({ name: 'seals_pk', columns: [table.caseId, table.number] }),
    foreignKey({ name: 'seals_case_id_fk', columns: [table.caseId], foreignColumns: [cases.id] }),
  ],
)
