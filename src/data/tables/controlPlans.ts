import { integer, jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core'
import type { OfficePlan } from '@/desk/controlPlan'
import { instant } from './parts'

/** The office's control plans: a row for each change of one, none of them ever changed. */
export const controlPlans = pgTable(
  'control_plans',
  {
    id: uuid('id').notNull(),
    /** Counted from 1; the last is how it stands. */
    version: integer('version').notNull(),
    words: jsonb('words').$type<OfficePlan>().notNull(),
    changedBy: text('changed_by').notNull(),
    changedAt: instant('changed_at').notNull(),
  },
  (table) => [primaryKey({ name: 'control_plans_pk', columns: [table.id, table.version] })],
)
