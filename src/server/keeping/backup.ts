import 'server-only'
import { createHash } from 'node:crypto'
import { createWriteStream } from 'node:fs'
import path from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { unzipped, type ZipEntry, zipped } from '@/casefile/zip'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { countCases } from '@/data/caseRepository'
import type { Database } from '@/data/client'
import { columnsOf, copyTables, replaceTables, type TableCopy } from '@/data/tableCopies'
import { BACKUP_VERSION, type BackupManifest, readBackupManifest } from './backupManifest'
import { chainOlderEntries } from '@/data/trailRepository'

const MANIFEST = 'backup.json'
const MAX_UNPACKED = 3 * 1024 * 1024 * 1024

const sha256 = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex')

/** Writes everything that is stored to a file, as it is at one moment, whatever is changed meanwhile. */
export async function backUp(db: Database, file: string, now: Date): Promise<void> {
  await db.inTransaction(async (connection) => {
    const bytes = Readable.from(zipped(entriesOf(copyTables(connection), now)))
    // A file that is there already is not written over.
    await pipeline(bytes, createWriteStream(file, { flags: 'wx', mode: 0o600 }))
  })
}

async function* entriesOf(copies: AsyncIterable<TableCopy>, now: Date): AsyncGenerator<ZipEntry> {
  const listed: BackupManifest['copies'][number][] = []
  for await (const { table, columns, bytes } of copies) {
    const entry = `tables/${String(listed.length + 1).padStart(4, '0')}-${table}.pgcopy`
    listed.push({ path: entry, table, columns: [...columns], bytes: bytes.length, sha256: sha256(bytes) })
    yield { path: entry, pieces: [bytes] }
  }
  const manifest: BackupManifest = {
    kind: 'true-weight-backup',
    version: BACKUP_VERSION,
    madeAt: now.toISOString(),
    copies: listed,
  }
  yield { path: MANIFEST, pieces: [new TextEncoder().encode(JSON.stringify(manifest, null, 2))] }
}

export type Restored = Readonly<{
  madeAt: string
  cases: number
  /** Where what was there before is kept; absent where there was nothing. */
  keptAs?: string
}>

/**
 * Puts what a backup holds in the place of everything that is stored. What was there is backed up first; all of the backup is
 * taken, or nothing.
 *
 * @param input.folder - where the backup of what was there goes
 * @returns the problem `backup` where the file is damaged, or of a later version
 */
export async function restore(
  db: Database,
  bytes: Uint8Array,
  { folder, now }: Readonly<{ folder: string; now: Date }>,
): Promise<Outcome<Restored>> {
  const read = await copiesIn(db, bytes)
  if (!read.ok) return read
  const { madeAt, copies } = read.value
  const hadCases = (await countCases(db)) > 0
  const keptAs = path.join(folder, `before-restore-${now.toISOString().replace(/[:.]/g, '-')}.zip`)
  if (hadCases) await backUp(db, keptAs, now)
  await db.inTransaction(async (connection) => {
    await replaceTables(connection, copies)
    await chainOlderEntries(connection)
  })
  return success({ madeAt, cases: await countCases(db), ...(hadCases ? { keptAs } : {}) })
}

const problem = (message: string) =>
  failure({
    code: 'backup',
    path: '',
    message: `This is no backup that can be restored: ${message} Nothing was changed.`,
  })

async function copiesIn(
  db: Database,
  bytes: Uint8Array,
): Promise<Outcome<Readonly<{ madeAt: string; copies: readonly TableCopy[] }>>> {
  const isAllowed = (entry: string) => entry === MANIFEST || /^tables\/\d{4,}-[a-z_]+\.pgcopy$/.test(entry)
  const entries = unzipped(bytes, isAllowed, MAX_UNPACKED)
  if (!entries.ok) return problem(entries.problem.message)
  const manifest = readBackupManifest(entries.value.get(MANIFEST))
  if (!manifest) return problem(`its ${MANIFEST} is missing, or is not as it has to be.`)
  const copies: TableCopy[] = []
  for (const { path: entry, table, columns, sha256: stated } of manifest.copies) {
    const copy = entries.value.get(entry)
    if (!copy || sha256(copy) !== stated) return problem(`${entry} is missing or was altered.`)
    const known = await columnsOf(db, table)
    const unknown = columns.find((name) => !known.includes(name))
    if (unknown) return problem(`it has “${unknown}” in ${table}, which a later version of True Weight made.`)
    copies.push({ table, columns, bytes: copy })
  }
  return success({ madeAt: manifest.madeAt, copies })
}
