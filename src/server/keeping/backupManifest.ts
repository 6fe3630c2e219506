import 'server-only'
import * as z from 'zod/mini'
import { type TableName, TABLES } from '@/data/tableCopies'
import { parseJson } from '@/desk/parseJson'

/** The version of backups that is written. A table or column that is renamed makes a new one, and freezes the one before it. */
export const BACKUP_VERSION = 8

const copyOf = <Names extends readonly [string, ...string[]]>(tables: Names) =>
  z.strictObject({
    path: z.string(),
    table: z.enum(tables),
    columns: z.array(z.string().check(z.regex(/^[a-z_0-9]+$/))),
    bytes: z.int().check(z.nonnegative()),
    sha256: z.string(),
  })

const manifestOf = <Version extends number, Names extends readonly [string, ...string[]]>(
  version: Version,
  tables: Names,
) =>
  z.strictObject({
    kind: z.literal('true-weight-backup'),
    version: z.literal(version),
    madeAt: z.iso.datetime(),
    copies: z.array(copyOf(tables)),
  })

/** `backup.json`: every copy of a table, with its columns and its hash. */
const currentSchema = manifestOf(BACKUP_VERSION, TABLES)
export type WrittenManifest = Readonly<z.infer<typeof currentSchema>>
/** A manifest, and the tables that a backup of its version has to have. */
export type BackupManifest = Pick<WrittenManifest, 'madeAt' | 'copies'> &
  Readonly<{ tables: readonly TableName[] }>

/** Of versions 1 and 2, frozen: the tables of the day, from which nothing was renamed since. */
const V2_TABLES = [
  'cases',
  'samples',
  'sheet_columns',
  'column_chunks',
  'claims',
  'findings',
  'trail_entries',
] as const

/** Of version 3, frozen: with the files and the register of keys. Version 4 has the seals. */
const V3_TABLES = [
  'cases',
  'samples',
  'sheet_columns',
  'column_chunks',
  'file_chunks',
  'claims',
  'findings',
  'trail_entries',
  'key_entries',
] as const

/** Of version 4, frozen. Version 5 has the register of instruments, and more columns. */
const V4_TABLES = [...V3_TABLES, 'seals'] as const

/** Of version 5, frozen. Version 6 has the register of control plans, and more columns. */
const V5_TABLES = [...V4_TABLES, 'instruments'] as const

/** Of versions 6 and 7, frozen: version 7 has locked plans on the trail. Version 8 has what the office says of itself, and more columns. */
const V6_TABLES = [...V5_TABLES, 'control_plans'] as const

/** Every version that is read, each with its tables. */
const VERSIONS = [
  { schema: manifestOf(1, V2_TABLES), tables: V2_TABLES },
  { schema: manifestOf(2, V2_TABLES), tables: V2_TABLES },
  { schema: manifestOf(3, V3_TABLES), tables: V3_TABLES },
  { schema: manifestOf(4, V4_TABLES), tables: V4_TABLES },
  { schema: manifestOf(5, V5_TABLES), tables: V5_TABLES },
  { schema: manifestOf(6, V6_TABLES), tables: V6_TABLES },
  { schema: manifestOf(7, V6_TABLES), tables: V6_TABLES },
  { schema: currentSchema, tables: TABLES },
] as const

/** A manifest of any version as one of today's; or why it is none, in words. */
export function readBackupManifest(bytes: Uint8Array | undefined): BackupManifest | string {
  const unfit = 'its backup.json is missing, or is not as it has to be.'
  let manifest: unknown
  try {
    manifest = parseJson(new TextDecoder().decode(bytes))
  } catch {
    return unfit
  }
  const later = laterSchema.safeParse(manifest)
  if (later.success)
    return `it is of version ${later.data.version}, and this True Weight reads 1 to ${BACKUP_VERSION}. Use the one that wrote it, or a later one.`
  for (const { schema, tables } of VERSIONS) {
    const read = schema.safeParse(manifest)
    if (read.success) return { madeAt: read.data.madeAt, copies: read.data.copies, tables }
  }
  return unfit
}

const laterSchema = z.looseObject({
  kind: z.literal('true-weight-backup'),
  version: z.int().check(z.gt(BACKUP_VERSION)),
})
