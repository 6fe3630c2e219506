import * as z from 'zod/mini'
import {
  caseSchema,
  contentClaimSchema,
  contentFindingSchema,
  sampleRecordSchema,
  trailEntrySchema,
} from './content'
import { V1_SCHEMAS } from './v1/schemas'

/** The version of case files that is written. A change of any record makes a new one, and freezes the one before it. */
export const CASE_FILE_VERSION = 9

/** Today's records, by what they are of. */
export const RECORDS = {
  case: caseSchema,
  claim: contentClaimSchema,
  sample: sampleRecordSchema,
  finding: contentFindingSchema,
  'trail-entry': trailEntrySchema,
} as const
export type RecordKind = keyof typeof RECORDS

const V2_SCHEMAS = { ...RECORDS, finding: z.omit(contentFindingSchema, { jws: true }) } as const

type Version = Readonly<{
  /** What a record of this version has to be: frozen. */
  schemas: { readonly [Kind in RecordKind]: z.ZodMiniType }
  /** Makes a record of the next version of it. */
  upgrade: (kind: RecordKind, record: unknown) => unknown
}>

/** The versions before today's, each frozen with the step that leads to the next. */
const OLDER: Readonly<Record<number, Version>> = {
  // Version 2 has the same records; its results are of one kind each, and its JSON is spelled by RFC 8785.
  1: { schemas: V1_SCHEMAS, upgrade: (_, record) => record },
  // Version 3 has the signatures of keys.
  2: { schemas: V2_SCHEMAS, upgrade: (_, record) => record },
  // Version 4 has seals of the trail with entries that tell of them, and rates.
  3: { schemas: RECORDS, upgrade: (_, record) => record },
  // Version 5 has shares of items by their readings, clusters, layers, and what is known of an instrument.
  4: { schemas: RECORDS, upgrade: (_, record) => record },
  // Version 6 has controls of net content, groups and lots.
  5: { schemas: RECORDS, upgrade: (_, record) => record },
  // Version 7 has locked plans on the trail.
  6: { schemas: RECORDS, upgrade: (_, record) => record },
  // Version 8 has what a test report states: the office and the occasion of a case, how a sample came in and was measured.
  7: { schemas: RECORDS, upgrade: (_, record) => record },
  // Version 9 has the accreditation of the office, and who worked where a finding was signed by another name.
  8: { schemas: RECORDS, upgrade: (_, record) => record },
}

export const KNOWN_VERSIONS: readonly number[] = [...Object.keys(OLDER).map(Number), CASE_FILE_VERSION]

/**
 * A record of any version as one of today's: each frozen schema reads it in turn, and the step behind it brings it up. Keys
 * that it lacks take their defaults; one that is not known is refused by its name.
 *
 * @returns the record, or the first issue with it
 */
export function readRecord<Kind extends RecordKind>(
  kind: Kind,
  value: unknown,
  version: number,
): Readonly<{ ok: true; value: z.output<(typeof RECORDS)[Kind]> } | { ok: false; issue: z.core.$ZodIssue }> {
  let record = value
  for (let at = version; at < CASE_FILE_VERSION; at += 1) {
    const { schemas, upgrade } = OLDER[at]!
    const read = schemas[kind].safeParse(record)
    if (!read.success) return { ok: false, issue: read.error.issues[0]! }
    record = upgrade(kind, read.data)
  }
  const read = RECORDS[kind].safeParse(record)
  return read.success
    ? { ok: true, value: read.data as z.output<(typeof RECORDS)[Kind]> }
    : { ok: false, issue: read.error.issues[0]! }
}
