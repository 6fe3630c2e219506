import 'server-only'
import { createHash } from 'node:crypto'
import { createWriteStream } from 'node:fs'
import { type FileHandle, link, open, readdir, rm } from 'node:fs/promises'
import path from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { Wrong } from '@/casefile/entries'
import { opened, type ZipEntry, zipped } from '@/casefile/zip'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { countCases, listCaseIds } from '@/data/caseRepository'
import type { Connection, Database } from '@/data/client'
import { syncPath } from '@/data/syncedFolder'
import {
  BY_SAMPLE,
  REGISTERS,
  TABLES,
  columnsOf,
  copyTables,
  replaceTables,
  type TableCopy,
  type TableName,
} from '@/data/tableCopies'
import { verifyChain } from '@/desk/trail/chain'
import type { Column } from '@/intake/sheet/columns'
import { verdictWords } from '@/words/en/trailWords'
import { BACKUP_VERSION, readBackupManifest, type WrittenManifest } from './backupManifest'
import { keysOf } from '@/casefile/signature'
import { listKeyEntries } from '@/data/keyRepository'
import { chainOlderEntries, sha256 as hashOf } from '@/data/trailRepository'
import { computeOutcomes } from '../check/laterOutcomes'
import { readContent } from './readContent'

const MANIFEST = 'backup.json'
const MAX_UNPACKED = 3 * 1024 * 1024 * 1024

const sha256 = (bytes: Uint8Array) => createHash('sha256').update(bytes).digest('hex')

/**
 * Writes everything that is stored to a file, as it is at one moment, whatever is changed meanwhile. The tables are copied first,
 * and packed once others can go on; the file has its name only when it is whole and on the disk.
 */
export async function backUp(db: Database, file: string, now: Date): Promise<void> {
  const [raw, packed] = [`${file}.tables`, `${file}.part`]
  try {
    const copies = await db.inSnapshot((connection) => copied(copyTables(connection), raw))
    const source = await open(raw, 'r')
    try {
      await pipeline(
        Readable.from(zipped(entriesOf(copies, source, now))),
        createWriteStream(packed, { mode: 0o600, flush: true }),
      )
    } finally {
      await source.close()
    }
    // A file that is there already is not written over.
    await link(packed, file)
    syncPath(path.dirname(file))
  } finally {
    await Promise.all([raw, packed].map((one) => rm(one, { force: true })))
  }
}

type Copied = Readonly<{ table: TableName; columns: readonly string[]; from: number; length: number }>

/** The copies one after the other in a file, and where each stands. */
async function copied(copies: AsyncIterable<TableCopy>, file: string): Promise<readonly Copied[]> {
  const target = await open(file, 'w', 0o600)
  const listed: Copied[] = []
  let from = 0
  try {
    for await (const { table, columns, bytes } of copies) {
      await target.writeFile(bytes)
      listed.push({ table, columns, from, length: bytes.length })
      from += bytes.length
    }
  } finally {
    await target.close()
  }
  return listed
}

async function* entriesOf(
  copies: readonly Copied[],
  source: FileHandle,
  now: Date,
): AsyncGenerator<ZipEntry> {
  const listed: WrittenManifest['copies'][number][] = []
  for (const { table, columns, from, length } of copies) {
    const { buffer } = await source.read(new Uint8Array(length), 0, length, from)
    const entry = `tables/${String(listed.length + 1).padStart(4, '0')}-${table}.pgcopy`
    listed.push({ path: entry, table, columns: [...columns], bytes: length, sha256: sha256(buffer) })
    yield { path: entry, pieces: [buffer] }
  }
  const manifest: WrittenManifest = {
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
  /** How many of the oldest files of that kind were removed. */
  dropped: number
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
  const { madeAt, copies, tables } = read.value
  const hadCases = (await countCases(db)) > 0
  const keptAs = path.join(folder, `${BEFORE}${now.toISOString().replace(/[:.]/g, '-')}.zip`)
  if (hadCases) await backUp(db, keptAs, now)
  try {
    await db.inTransaction(async (connection) => {
      // A register of the office stays where an earlier backup knows nothing of it: all else hangs on cases that are gone.
      const replaced = TABLES.filter((table) => !REGISTERS.includes(table) || tables.includes(table))
      await replaceTables(connection, copies, replaced)
      await chainOlderEntries(connection)
      const wrong = await wrongIn(connection)
      if (wrong) throw new Unsound(wrong)
    })
  } catch (error) {
    if (hadCases) await rm(keptAs, { force: true })
    if (error instanceof Unsound) return problem(error.message)
    // PostgreSQL's classes of errors in what it was given: 22 for values, 23 for what they refer to.
    if (/^2[23]/.test(codeOf(error))) return problem(`a table in it is malformed (${causeOf(error)}).`)
    throw error
  }
  computeOutcomes(db)
  const dropped = await thinOut(folder)
  return success({
    ...{ madeAt, cases: await countCases(db), dropped },
    ...(hadCases ? { keptAs } : {}),
  })
}

/** What was there before a restore is kept in a file of such a name, the last few times. */
const BEFORE = 'before-restore-'
const KEPT_BEFORE = 5

/** @returns how many of the oldest were removed */
async function thinOut(folder: string): Promise<number> {
  const files = (await readdir(folder)).filter((name) => name.startsWith(BEFORE) && name.endsWith('.zip'))
  const old = files.toSorted().slice(0, Math.max(0, files.length - KEPT_BEFORE))
  for (const name of old) await rm(path.join(folder, name), { force: true })
  return old.length
}

/** Thrown in the middle of a restore, so that nothing of it stays. */
class Unsound extends Error {}

const causeOf = (error: unknown): string => {
  const { cause, message } = error as Readonly<{ cause?: unknown; message?: string }>
  return cause === undefined ? (message ?? String(error)) : causeOf(cause)
}
const codeOf = (error: unknown): string => {
  const { cause, code } = (error ?? {}) as Readonly<{ cause?: unknown; code?: unknown }>
  return typeof code === 'string' ? code : cause === undefined ? '' : codeOf(cause)
}

/** What of the tables does not hold together: a chain, a signed text, or the cells of a column. */
async function wrongIn(db: Connection): Promise<string | undefined> {
  const register = await keysOf(await listKeyEntries(db))
  if (!register.ok) return `entry ${register.number} of the register of keys is not what was written.`
  for (const id of await listCaseIds(db)) {
    const content = await readContent(db, id)
    if (!content) continue
    const name = `the case “${content.case.reference} ${content.case.subject}”`
    const verdict = verifyChain(content.trail, hashOf, content.head)
    if (!verdict.holds) return `the trail of ${name} does not hold. ${verdictWords(verdict)}`
    const altered = content.findings.find(({ signed, fingerprint }) => hashOf(signed) !== fingerprint)
    if (altered) return `the signed finding ${altered.number} of a claim of ${name} was altered.`
    for (const { draft, sheet } of content.samples)
      for (const column of (await sheet?.columns()) ?? [])
        if (cellsIn(column) !== sheet!.rowCount)
          return `of the sample “${draft.name}” of ${name} the column ${column.name} has ${cellsIn(column)} cells and not ${sheet!.rowCount}.`
  }
  return undefined
}

const cellsIn = (column: Column): number =>
  column.kind === 'text'
    ? column.texts.length
    : column.chunks.reduce<number>((sum, { length }) => sum + length, 0)

const problem = (message: string) =>
  failure({
    code: 'backup',
    path: '',
    message: `This is no backup that can be restored: ${message} Nothing was changed.`,
  })

async function copiesIn(
  db: Database,
  bytes: Uint8Array,
): Promise<
  Outcome<Readonly<{ madeAt: string; copies: readonly TableCopy[]; tables: readonly TableName[] }>>
> {
  const isAllowed = (entry: string) => entry === MANIFEST || /^tables\/\d{4,}-[a-z_]+\.pgcopy$/.test(entry)
  const archive = await opened(bytes, isAllowed, { max: MAX_UNPACKED, isOwn: true })
  if (!archive.ok) return problem(archive.problem.message)
  const { sizes, unpack } = archive.value
  const copies: TableCopy[] = []
  try {
    const manifest = readBackupManifest(sizes.has(MANIFEST) ? (await unpack(MANIFEST)).bytes : undefined)
    if (typeof manifest === 'string') return problem(manifest)
    const missing = manifest.tables.find(
      (table) => !BY_SAMPLE.includes(table) && !manifest.copies.some((copy) => copy.table === table),
    )
    if (missing) return problem(`it has no copy of the table ${missing}.`)
    for (const { path: entry, table, columns, sha256: stated } of manifest.copies) {
      const copy = await unpack(entry)
      if (copy.sha256 !== stated) return problem(`${entry} is missing or was altered.`)
      const known = await columnsOf(db, table)
      const unknown = columns.find((name) => !known.includes(name))
      if (unknown)
        return problem(`it has “${unknown}” in ${table}, which a later version of True Weight made.`)
      copies.push({ table, columns, bytes: copy.bytes })
    }
    return success({ madeAt: manifest.madeAt, copies, tables: manifest.tables })
  } catch (error) {
    if (error instanceof Wrong) return problem(error.message)
    throw error
  }
}
