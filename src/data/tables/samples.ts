import { sql } from 'drizzle-orm'
import {
  bigint,
  boolean,
  check,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  uuid,
} from 'drizzle-orm/pg-core'
import {
  COLUMN_KINDS,
  type ColumnWords,
  GROUPINGS,
  INDEPENDENCE,
  RANDOMNESS,
  SAMPLE_KINDS,
  type SetAside,
  SPREADS,
} from '@/desk/sampleDraft'
import type { MadeColumn } from '@/desk/madeColumn'
import { CASE_STATES } from '@/desk/caseWords'
import { DECIMAL_MARKS } from '@/desk/typed'
import { bytea, instant, oneOf, typed } from './parts'

/** Owns everything below it. */
export const cases = pgTable(
  'cases',
  {
    id: uuid('id').primaryKey(),
    reference: text('reference').notNull(),
    subject: text('subject').notNull(),
    party: text('party').notNull(),
    /** Who works on it or has to do with it. */
    people: typed('people'),
    notes: typed('notes'),
    /** Days, as typed. */
    openedOn: typed('opened_on'),
    dueOn: typed('due_on'),
    closedOn: typed('closed_on'),
    office: typed('office'),
    occasion: typed('occasion'),
    authorisedBy: typed('authorised_by'),
    accreditation: typed('accreditation'),
    state: text('state', { enum: CASE_STATES }).notNull().default('open'),
    /** How many entries its trail has, and the hash of the last: a trail cut short is told by them. */
    trailLength: integer('trail_length').notNull().default(0),
    trailHash: typed('trail_hash'),
    createdAt: instant('created_at').notNull(),
    updatedAt: instant('updated_at').notNull(),
  },
  (table) => [
    check('cases_state_known', oneOf('state', CASE_STATES)),
    index('cases_updated_at_idx').on(table.updatedAt),
    index('cases_state_idx').on(table.state),
    index('cases_created_at_idx').on(table.createdAt),
    index('cases_reference_idx').on(sql`lower("reference")`),
    index('cases_subject_idx').on(sql`lower("subject")`),
    index('cases_party_idx').on(sql`lower("party")`),
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
    made: jsonb('made').$type<MadeColumn[]>().notNull().default([]),
    sampleSize: typed('sample_size'),
    mean: typed('mean'),
    spread: typed('spread'),
    spreadIs: text('spread_is', { enum: SPREADS }).notNull().default('standard-deviation'),
    count: typed('count'),
    events: typed('events'),
    exposure: typed('exposure'),
    drawnHow: typed('drawn_how'),
    drawnAtRandom: text('drawn_at_random', { enum: RANDOMNESS }).notNull().default('unknown'),
    takenIndependently: text('taken_independently', { enum: INDEPENDENCE }).notNull().default('unknown'),
    groupedBy: text('grouped_by', { enum: GROUPINGS }).notNull().default('none'),
    groupColumn: typed('group_column'),
    clustersInLot: typed('clusters_in_lot'),
    strataSizes: typed('strata_sizes'),
    drawnWhen: typed('drawn_when'),
    drawnWhere: typed('drawn_where'),
    drawnBy: typed('drawn_by'),
    receivedOn: typed('received_on'),
    itemsCondition: typed('items_condition'),
    measuredOn: typed('measured_on'),
    measuredWhere: typed('measured_where'),
    environment: typed('environment'),
    procedure: typed('procedure'),
    deviations: typed('deviations'),
    fromOthers: typed('from_others'),
    lot: typed('lot'),
    lotSize: typed('lot_size'),
    instrument: typed('instrument'),
    resolution: typed('resolution'),
    calibratedOn: typed('calibrated_on'),
    calibrationDue: typed('calibration_due'),
    uncertainty: typed('uncertainty'),
    coverageFactor: typed('coverage_factor'),
    uncertaintyDegrees: typed('uncertainty_degrees'),
    readingUncertainty: typed('reading_uncertainty'),
    traceability: typed('traceability'),
    isDiscarded: boolean('is_discarded').notNull().default(false),
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
    check('samples_grouped_by_known', oneOf('grouped_by', GROUPINGS)),
    check('samples_taken_independently_known', oneOf('taken_independently', INDEPENDENCE)),
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

/** The file that a sample was brought in from, packed, in pieces; none where it was not kept. */
export const fileChunks = pgTable(
  'file_chunks',
  {
    sampleId: uuid('sample_id').notNull(),
    position: integer('position').notNull(),
    bytes: bytea('bytes').notNull(),
  },
  (table) => [
    primaryKey({ name: 'file_chunks_pk', columns: [table.sampleId, table.position] }),
    foreignKey({ name: 'file_chunks_sample_id_fk', columns: [table.sampleId], foreignColumns: [samples.id] }),
  ],
)
