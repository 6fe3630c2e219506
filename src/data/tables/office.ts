import { integer, jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core'
import type { OfficeEntry } from '@/desk/office'
import { instant } from './parts'

/** What the office says of itself, one entry: a row for each change of it, none of them ever changed. */
export const office = pgTable(
  'office',
  {
    id: uuid('id').notNull(),
    /** Counted from 1; the last is how it stands. */
    version: integer('version').notNull(),
    words: jsonb('words').$type<OfficeEntry>().notNull(),
    changedBy: text('changed_by').notNull(),
    changedAt: instant('changed_at').notNull(),
  },
  (table) => [primaryKey({ name: 'office_pk', columns: [table.id, table.version] })],
)
