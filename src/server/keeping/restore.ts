import 'server-only'
import { readdir, rm } from 'node:fs/promises'
import path from 'node:path'
import { Wrong } from '@/casefile/entries'
import { keysOf } from '@/casefile/signature'
import { type Archive, opened } from '@/casefile/zip'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { countCases, listCaseIds } from '@/data/caseRepository'
import type { Connection, Database } from '@/data/client'
import { listKeyEntries } from '@/data/keyRepository'
import { findColumnHeads, readColumn } from '@/data/sheetRepository'
import { columnsOf, isBySample, REGISTERS, replaceTables, type TableCopy, TABLES } from '@/data/tableCopies'
import { chainOlderEntries, sha256 as hashOf } from '@/data/trailRepository'
import { verifyChain } from '@/desk/trail/chain'
import { columnOfBytes } from '@/intake/sheet/columnBytes'
import type { Column } from '@/intake/sheet/columns'
import { verdictWords } from '@/words/en/trailWords'
import { computeOutcomes } from '../check/laterOutcomes'
import { backUp, MANIFEST } from './backup'
import { type BackupManifest, readBackupManifest } from './backupManifest'
import { readContent } from './readContent'

const ALLOWED = /^(backup\.json|tables\/\d{4,}-[a-z_]+\.pgcopy)$/

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
 * taken, or nothing. It is read a copy at a time, however large it is.
 *
 * @param file - the backup
 * @param input.folder - where the backup of what was there goes
 * @returns the problem `backup` where the file is damaged, or of a later version
 */
export async function restore(
  db: Database,
  file: string,
  { folder, now }: Readonly<{ folder: string; now: Date }>,
): Promise<Outcome<Restored>> {
  const archive = await opened({ file }, (entry) => ALLOWED.test(entry), { isOwn: true })
  if (!archive.ok) return problem(archive.problem.message)
  try {
    const manifest = await manifestOf(archive.value)
    return typeof manifest === 'string'
      ? problem(manifest)
      : await restoreFrom(db, archive.value, { manifest, folder, now })
  } catch (error) {
    if (error instanceof Unsound || error instanceof Wrong) return problem(error.message)
    throw error
  } finally {
    archive.value.close()
  }
}

async function restoreFrom(
  db: Database,
  archive: Archive,
  { manifest, folder, now }: Readonly<{ manifest: BackupManifest; folder: string; now: Date }>,
): Promise<Outcome<Restored>> {
  const { madeAt, tables } = manifest
  const hadCases = (await countCases(db)) > 0
  const keptAs = path.join(folder, `${BEFORE}${now.toISOString().replace(/[:.]/g, '-')}.zip`)
  if (hadCases) await backUp(db, keptAs, now)
  try {
    await db.inTransaction(async (connection) => {
      // A register of the office stays where an earlier backup knows nothing of it: all else hangs on cases that are gone.
      const replaced = TABLES.filter((table) => !REGISTERS.includes(table) || tables.includes(table))
      await replaceTables(connection, copiesIn(connection, archive, manifest), replaced)
      await chainOlderEntries(connection)
      const wrong = await wrongIn(connection)
      if (wrong) throw new Unsound(wrong)
    })
  } catch (error) {
    if (hadCases) await rm(keptAs, { force: true })
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
    for (const { id: sampleId, draft, file } of content.samples)
      for (const head of file ? await findColumnHeads(db, sampleId) : []) {
        const count = cellsIn(columnOfBytes(await readColumn(db, sampleId, head)))
        if (count !== file!.rowCount)
          return `of the sample “${draft.name}” of ${name} the column ${head.name} has ${count} cells and not ${file!.rowCount}.`
      }
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

/** What a backup says is in it, with a copy of every table that has one always; or what is wrong with it, in words. */
async function manifestOf({ sizes, unpack }: Archive): Promise<BackupManifest | string> {
  const manifest = readBackupManifest(sizes.has(MANIFEST) ? (await unpack(MANIFEST)).bytes : undefined)
  if (typeof manifest === 'string') return manifest
  const missing = manifest.tables.find(
    (table) => !isBySample(table) && !manifest.copies.some((copy) => copy.table === table),
  )
  return missing ? `it has no copy of the table ${missing}.` : manifest
}

/**
 * The copies of a backup, each unpacked where it is come to, those first that others refer to.
 *
 * @throws Unsound where one was altered, or is of a later version's
 */
async function* copiesIn(
  db: Connection,
  { unpack }: Archive,
  { copies }: BackupManifest,
): AsyncGenerator<TableCopy> {
  const rising = copies.toSorted((a, b) => TABLES.indexOf(a.table) - TABLES.indexOf(b.table))
  for (const { path: entry, table, columns, sha256: stated } of rising) {
    const { bytes, sha256 } = await unpack(entry)
    if (sha256 !== stated) throw new Unsound(`${entry} is missing or was altered.`)
    const known = await columnsOf(db, table)
    const unknown = columns.find((name) => !known.includes(name))
    if (unknown)
      throw new Unsound(`it has “${unknown}” in ${table}, which a later version of True Weight made.`)
    yield { table, columns, bytes }
  }
}
