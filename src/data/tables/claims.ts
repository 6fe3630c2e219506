import { sql } from 'drizzle-orm'
import {
  boolean,
  check,
  doublePrecision,
  foreignKey,
  index,
  integer,
  jsonb,
  pgTable,
  text,
  unique,
  uuid,
} from 'drizzle-orm/pg-core'
import { OUTCOMES } from '@/claims/finding'
import type { ClaimDraft } from '@/desk/claimDraft'
import type { KeptRows } from '@/desk/rowCondition'
import { DECIMAL_MARKS } from '@/desk/typed'
import { instant, oneOf, typed } from './parts'
import { cases, samples } from './samples'

/** A name that Zod checks wherever it comes in: a new one needs no migration. */
const named = <Field extends keyof ClaimDraft>(column: string) => text(column).$type<ClaimDraft[Field]>()

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
    parameter: named<'parameter'>('parameter').notNull().default('mean'),
    quantity: text('quantity').notNull(),
    relation: named<'relation'>('relation').notNull(),
    claimedValue: text('claimed_value').notNull(),
    toleranceBelow: text('tolerance_below').notNull(),
    toleranceAbove: text('tolerance_above').notNull(),
    unit: text('unit').notNull(),
    exposureUnit: typed('exposure_unit'),
    limitSide: named<'limitSide'>('limit_side').notNull().default('none'),
    limitValue: typed('limit_value'),
    guardFactor: typed('guard_factor'),
    burden: named<'burden'>('burden'),
    significanceLevel: text('significance_level').notNull(),
    secondLevel: typed('second_level'),
    confidenceLevel: text('confidence_level').notNull(),
    knownStandardDeviation: text('known_standard_deviation').notNull(),
    method: named<'method'>('method').notNull().default('auto'),
    interval: named<'interval'>('interval_method').notNull().default('auto'),
    intervalSides: named<'intervalSides'>('interval_sides').notNull().default('auto'),
    continuityCorrection: boolean('continuity_correction').notNull().default(false),
    twoSidedRule: named<'twoSidedRule'>('two_sided_rule').notNull().default('auto'),
    midP: boolean('mid_p').notNull().default(false),
    finiteLot: boolean('finite_lot').notNull().default(false),
    allowForMeasurement: boolean('allow_for_measurement').notNull().default(false),
    decimals: text('decimals').notNull(),
    binWidth: doublePrecision('bin_width'),
    decimalMark: text('decimal_mark', { enum: DECIMAL_MARKS }).notNull().default('point'),
    /** The column of the sample's sheet that holds the readings; empty for the only one, or none chosen yet. */
    column: typed('reading_column'),
    kept: jsonb('kept').$type<KeptRows>().notNull().default([]),
    /** Of a share: which of the rows kept have the property that is claimed. */
    counted: jsonb('counted').$type<KeptRows>().notNull().default([]),
    /** Of two spreads: the second source; null for the same sample by another column or other rows, or none chosen yet. */
    secondSampleId: uuid('second_sample_id'),
    secondColumn: typed('second_reading_column'),
    secondKept: jsonb('second_kept').$type<KeptRows>().notNull().default([]),
    control: named<'control'>('control').notNull().default('none'),
    tareBy: named<'tareBy'>('tare_by').notNull().default('none'),
    tare: typed('tare'),
    density: typed('density'),
    controlPlan: jsonb('control_plan').$type<ClaimDraft['controlPlan']>(),
    groupsBy: typed('groups_by'),
    lots: jsonb('lots').$type<string[]>().notNull().default([]),
    adjustment: named<'adjustment'>('adjustment').notNull().default('holm'),
    remarks: typed('remarks'),
    isDiscarded: boolean('is_discarded').notNull().default(false),
    /** What the check came to when the claim was last stored; null while nothing can be computed. */
    outcome: text('outcome', { enum: OUTCOMES }),
    /** Whether that is still being computed. */
    isComputing: boolean('is_computing').notNull().default(false),
    /** Goes up with each change, so that a window that has not seen the last one is told. */
    revision: integer('revision').notNull(),
    createdAt: instant('created_at').notNull(),
    updatedAt: instant('updated_at').notNull(),
  },
  (table) => [
    foreignKey({ name: 'claims_case_id_fk', columns: [table.caseId], foreignColumns: [cases.id] }),
    foreignKey({ name: 'claims_sample_id_fk', columns: [table.sampleId], foreignColumns: [samples.id] }),
    foreignKey({
      name: 'claims_second_sample_id_fk',
      columns: [table.secondSampleId],
      foreignColumns: [samples.id],
    }),
    unique('claims_case_id_position_unique').on(table.caseId, table.position),
    check('claims_outcome_known', oneOf('outcome', OUTCOMES)),
    check('claims_decimal_mark_known', oneOf('decimal_mark', DECIMAL_MARKS)),
    index('claims_outcome_idx').on(table.outcome),
    index('claims_computing_idx')
      .on(table.isComputing)
      .where(sql`${table.isComputing}`),
    index('claims_sample_id_idx').on(table.sampleId),
    index('claims_second_sample_id_idx').on(table.secondSampleId),
  ],
)

/** A finding as it was signed: never updated. A later one is another row, with the next number. */
export const findings = pgTable(
  'findings',
  {
    id: uuid('id').primaryKey(),
    claimId: uuid('claim_id').notNull(),
    /** Counts the signed findings of a claim, from 1. */
    number: integer('number').notNull(),
    signedBy: text('signed_by').notNull(),
    /** The day, as YYYY-MM-DD. */
    signedOn: text('signed_on').notNull(),
    outcome: text('outcome', { enum: OUTCOMES }).notNull(),
    coreVersion: text('core_version').notNull(),
    /** SHA-256 of the check document and the remarks as canonical JSON: tells whether the claim or its evidence has changed since. */
    inputFingerprint: text('input_fingerprint').notNull(),
    /** Everything that was signed, as JSON text: the fingerprint is of its bytes, so it is kept as a text. */
    signed: text('signed').notNull(),
    /** SHA-256 of `signed` in UTF-8, in hexadecimal. */
    fingerprint: text('fingerprint').notNull(),
    /** The signature by a key, a compact JWS; empty where it was signed by name alone. */
    jws: typed('jws'),
    createdAt: instant('created_at').notNull(),
  },
  (table) => [
    foreignKey({ name: 'findings_claim_id_fk', columns: [table.claimId], foreignColumns: [claims.id] }),
    unique('findings_claim_id_number_unique').on(table.claimId, table.number),
    check('findings_outcome_known', oneOf('outcome', OUTCOMES)),
    check('findings_fingerprint_whole', sql`"fingerprint" ~ '^[0-9a-f]{64}$'`),
  ],
)
