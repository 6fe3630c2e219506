import { relations, sql } from 'drizzle-orm'
import {
  bigint,
  check,
  customType,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core'
import { BURDENS, RELATIONS } from '@/core/claim/claim'
import { DECIMAL_MARKS } from '@/core/typed'
import { OUTCOMES } from '@/core/claim/finding'
import type { KeptRows } from '@/core/sample/rowCondition'
import {
  COLUMN_KINDS,
  type ColumnWords,
  RANDOMNESS,
  SAMPLE_KINDS,
  type SetAside,
  SPREADS,
} from '@/core/sample/sampleDraft'

export const CASE_STATES = ['open', 'closed'] as const
export const TRAIL_ACTIONS = ['brought-in', 'set-aside', 'brought-back'] as const

const instant = (name: string) => timestamp(name, { withTimezone: true })
const bytea = customType<{ data: Uint8Array }>({ dataType: () => 'bytea' })
const typed = (name: string) => text(name).notNull().default('')

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

/** What a person typed or handed in, what can't be read as a number too, and where it comes from. */
export const samples = pgTable(
  'samples',
  {
    id: uuid('id').primaryKey(),
    caseId: uuid('case_id').notNull(),
    name: typed('name'),
    kind: text('kind', { enum: SAMPLE_KINDS }).notNull().default('typed'),
    readings: text('readings').notNull(),
    decimalMark: text('decimal_mark', { enum: DECIMAL_MARKS }).notNull(),
    /** What each column is called and what its codes mean. */
    columns: jsonb('columns').$type<ColumnWords[]>().notNull().default([]),
    setAside: jsonb('set_aside').$type<SetAside[]>().notNull().default([]),
    sampleSize: typed('sample_size'),
    mean: typed('mean'),
    spread: typed('spread'),
    spreadIs: text('spread_is', { enum: SPREADS }).notNull().default('standard-deviation'),
    count: typed('count'),
    drawnHow: typed('drawn_how'),
    drawnAtRandom: text('drawn_at_random', { enum: RANDOMNESS }).notNull().default('unknown'),
    drawnWhen: typed('drawn_when'),
    drawnWhere: typed('drawn_where'),
    drawnBy: typed('drawn_by'),
    lot: typed('lot'),
    lotSize: typed('lot_size'),
    instrument: typed('instrument'),
    resolution: typed('resolution'),
    calibratedOn: typed('calibrated_on'),
    /** The file as it was handed in; null for a sample that was typed. */
    fileName: text('file_name'),
    fileBytes: bigint('file_bytes', { mode: 'number' }),
    fileSha256: text('file_sha256'),
    rowCount: integer('row_count'),
    /** Goes up with each change, as a claim's does. */
    revision: integer('revision').notNull().default(1),
    createdAt: instant('created_at').notNull(),
    updatedAt: instant('updated_at').notNull(),
  },
  (table) => [
    foreignKey({ name: 'samples_case_id_fk', columns: [table.caseId], foreignColumns: [cases.id] }),
    check('samples_decimal_mark_known', oneOf('decimal_mark', DECIMAL_MARKS)),
    check('samples_kind_known', oneOf('kind', SAMPLE_KINDS)),
    check('samples_spread_is_known', oneOf('spread_is', SPREADS)),
    check('samples_drawn_at_random_known', oneOf('drawn_at_random', RANDOMNESS)),
    check(
      'samples_file_whole',
      sql`("kind" = 'file') = ("file_sha256" is not null and "row_count" is not null)`,
    ),
    index('samples_case_id_idx').on(table.caseId),
  ],
)

/** A column of a file's sheet: its cells are in its chunks. */
export const sheetColumns = pgTable(
  'sheet_columns',
  {
    sampleId: uuid('sample_id').notNull(),
    position: integer('position').notNull(),
    /** As the file has it, or as it was numbered. */
    name: text('name').notNull(),
    kind: text('kind', { enum: COLUMN_KINDS }).notNull(),
    length: integer('length').notNull(),
    missing: integer('missing').notNull(),
    /** The texts of a category, each at its code less 1. */
    dictionary: jsonb('dictionary').$type<readonly string[]>().notNull(),
  },
  (table) => [
    primaryKey({ name: 'sheet_columns_pk', columns: [table.sampleId, table.position] }),
    foreignKey({
      name: 'sheet_columns_sample_id_fk',
      columns: [table.sampleId],
      foreignColumns: [samples.id],
    }),
    check('sheet_columns_kind_known', oneOf('kind', COLUMN_KINDS)),
  ],
)

/** 65,536 cells of a column, as bytes: see `intake/sheet/columnBytes`. Stored outside the row and not compressed. */
export const columnChunks = pgTable(
  'column_chunks',
  {
    sampleId: uuid('sample_id').notNull(),
    columnPosition: integer('column_position').notNull(),
    position: integer('position').notNull(),
    cells: bytea('cells').notNull(),
  },
  (table) => [
    primaryKey({ name: 'column_chunks_pk', columns: [table.sampleId, table.columnPosition, table.position] }),
    foreignKey({
      name: 'column_chunks_column_fk',
      columns: [table.sampleId, table.columnPosition],
      foreignColumns: [sheetColumns.sampleId, sheetColumns.position],
    }),
  ],
)

/** Who did what and when: written with the change itself, and never changed. */
export const trailEntries = pgTable(
  'trail_entries',
  {
    id: uuid('id').primaryKey(),
    caseId: uuid('case_id').notNull(),
    sampleId: uuid('sample_id'),
    at: instant('at').notNull(),
    who: text('who').notNull(),
    action: text('action', { enum: TRAIL_ACTIONS }).notNull(),
    /** What was acted on and why, in words. */
    detail: text('detail').notNull(),
  },
  (table) => [
    foreignKey({ name: 'trail_entries_case_id_fk', columns: [table.caseId], foreignColumns: [cases.id] }),
    foreignKey({
      name: 'trail_entries_sample_id_fk',
      columns: [table.sampleId],
      foreignColumns: [samples.id],
    }),
    check('trail_entries_action_known', oneOf('action', TRAIL_ACTIONS)),
    index('trail_entries_case_id_idx').on(table.caseId),
    index('trail_entries_sample_id_idx').on(table.sampleId),
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
    decimalMark: text('decimal_mark', { enum: DECIMAL_MARKS }).notNull().default('point'),
    /** The column of the sample's sheet that holds the readings; empty for the likely one. */
    column: typed('reading_column'),
    kept: jsonb('kept').$type<KeptRows>().notNull().default([]),
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
    check('claims_decimal_mark_known', oneOf('decimal_mark', DECIMAL_MARKS)),
    index('claims_sample_id_idx').on(table.sampleId),
  ],
)

export const casesRelations = relations(cases, ({ many }) => ({
  claims: many(claims),
  samples: many(samples),
}))

export const samplesRelations = relations(samples, ({ one }) => ({
  case: one(cases, { fields: [samples.caseId], references: [cases.id] }),
}))

export const claimsRelations = relations(claims, ({ one }) => ({
  case: one(cases, { fields: [claims.caseId], references: [cases.id] }),
  sample: one(samples, { fields: [claims.sampleId], references: [samples.id] }),
}))

function oneOf(column: string, values: readonly string[]) {
  return sql.raw(`"${column}" in (${values.map((value) => `'${value}'`).join(', ')})`)
}
