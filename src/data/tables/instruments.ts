import { integer, jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core'
import type { Instrument } from '@/desk/instrument'
import { instant } from './parts'

/** The office's register of instruments: a row for each change of one, none of them ever changed. */
export const instruments = pgTable(
  'instruments',
  {
    id: uuid('id').notNull(),
    /** Counted from 1; the last is how it stands. */
    version: integer('version').notNull(),
    words: jsonb('words').$type<Instrument>().notNull(),
    changedBy: text('changed_by').notNull(),
    changedAt: instant('changed_at').notNull(),
  },
  (table) => [primaryKey({ name: 'instruments_pk', columns: [table.id, table.version] })],
)
