import { relations, sql } from 'drizzle-orm'
import {
  check,
  foreignKey,
  index,
  integer,
  pgTable,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core'
import { BURDENS, RELATIONS } from '@/core/claim/claim'
import { DECIMAL_MARKS } from '@/core/claim/draft'
import { OUTCOMES } from '@/core/claim/finding'

export const CASE_STATES = ['open', 'closed'] as const

const instant = (name: string) => timestamp(name, { withTimezone: true })

/** Owns everything below it. */
export const cases = pgTable(
  'cases',
  {
    id: uuid('id').primaryKey(),
    reference: text('reference').notNull(),
    subject: text('subject').notNull(),
    party: text('party').notNull(),
    state: text('state', { enum: CASE_STATES }).notNull().default('open'),
    createdAt: instant('created_at').notNull(),
    updatedAt: instant('updated_at').notNull(),
  },
  (table) => [
    check('cases_state_known', oneOf('state', CASE_STATES)),
    index('cases_updated_at_idx').on(table.updatedAt),
  ],
)

/** Readings as a person typed them: what can't be read as a number is kept too. */
export const samples = pgTable(
  'samples',
  {
    id: uuid('id').primaryKey(),
    caseId: uuid('case_id').notNull(),
    readings: text('readings').notNull(),
    decimalMark: text('decimal_mark', { enum: DECIMAL_MARKS }).notNull(),
    createdAt: instant('created_at').notNull(),
    updatedAt: instant('updated_at').notNull(),
  },
  (table) => [
    foreignKey({ name: 'samples_case_id_fk', columns: [table.caseId], foreignColumns: [cases.id] }),
    check('samples_decimal_mark_known', oneOf('decimal_mark', DECIMAL_MARKS)),
    index('samples_case_id_idx').on(table.caseId),
  ],
)

/** A claim's words and test options, numbers as typed: a half-typed one is kept too, so no range is checked here. */
export const claims = pgTable(
  'claims',
  {
    id: uuid('id').primaryKey(),
    caseId: uuid('case_id').notNull(),
    sampleId: uuid('sample_id').notNull(),
    position: integer('position').notNull(),
    source: text('source').notNull(),
    wording: text('wording').notNull(),
    quantity: text('quantity').notNull(),
    relation: text('relation', { enum: RELATIONS }).notNull(),
    claimedValue: text('claimed_value').notNull(),
    toleranceBelow: text('tolerance_below').notNull(),
    toleranceAbove: text('tolerance_above').notNull(),
    unit: text('unit').notNull(),
    burden: text('burden', { enum: BURDENS }),
    significanceLevel: text('significance_level').notNull(),
    confidenceLevel: text('confidence_level').notNull(),
    knownStandardDeviation: text('known_standard_deviation').notNull(),
    decimals: text('decimals').notNull(),
    /** What the check came to when the claim was last stored; null while nothing can be computed. */
    outcome: text('outcome', { enum: OUTCOMES }),
    /** Goes up with each change, so that a window that has not seen the last one is told. */
    revision: integer('revision').notNull(),
    createdAt: instant('created_at').notNull(),
    updatedAt: instant('updated_at').notNull(),
  },
  (table) => [
    foreignKey({ name: 'claims_case_id_fk', columns: [table.caseId], foreignColumns: [cases.id] }),
    foreignKey({ name: 'claims_sample_id_fk', columns: [table.sampleId], foreignColumns: [samples.id] }),
    unique('claims_case_id_position_unique').on(table.caseId, table.position),
    check('claims_relation_known', oneOf('relation', RELATIONS)),
    check('claims_burden_known', oneOf('burden', BURDENS)),
    check('claims_outcome_known', oneOf('outcome', OUTCOMES)),
  ],
)

export const casesRelations = relations(cases, ({ many }) => ({ claims: many(claims) }))

export const claimsRelations = relations(claims, ({ one }) => ({
  case: one(cases, { fields: [claims.caseId], references: [cases.id] }),
  sample: one(samples, { fields: [claims.sampleId], references: [samples.id] }),
}))

function oneOf(column: string, values: readonly string[]) {
  return sql.raw(`"${column}" in (${values.map((value) => `'${value}'`).join(', ')})`)
}
