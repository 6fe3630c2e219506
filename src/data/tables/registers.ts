import { integer, jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core'
import type { OfficePlan } from '@/desk/controlPlan'
import type { Instrument } from '@/desk/instrument'
import type { OfficeEntry } from '@/desk/office'
import { instant } from './parts'

/** A register of the office: a row for each change of an entry, none of them ever changed. */
const register = <Words>(name: string) =>
  pgTable(
    name,
    {
      id: uuid('id').notNull(),
      /** Counted from 1; the last is how it stands. */
      version: integer('version').notNull(),
      words: jsonb('words').$type<Words>().notNull(),
      changedBy: text('changed_by').notNull(),
      changedAt: instant('changed_at').notNull(),
    },
    (table) => [primaryKey({ name: `${name}_pk`, columns: [table.id, table.version] })],
  )

export const instruments = register<Instrument>('instruments')
export const controlPlans = register<OfficePlan>('control_plans')
/** What the office says of itself: one entry. */
export const office = register<OfficeEntry>('office')
