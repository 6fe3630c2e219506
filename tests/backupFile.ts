import { createHash } from 'node:crypto'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { unzipSync, zipSync } from 'fflate'
import type { Database } from '@/data/client'
import { openCase } from '@/server/case/changeCase'
import { backUp } from '@/server/keeping/backup'
import { exportCase } from '@/server/keeping/caseFile'
import { importSheet } from '@/server/sample/importSheet'
import { openTestDatabase } from './database'

const now = new Date('2026-11-05T08:00:00Z')
const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }

/** A database with two cases that a file was brought into, and a backup of it. */
export async function backedUpTestDatabase(): Promise<Readonly<{ database: Database; file: string }>> {
  const database = await openTestDatabase()
  kept.trueWeightDatabase = Promise.resolve(database)
  for (const by of ['A. Officer', 'B. Weigher']) {
    const { caseId } = await openCase({ by, now })
    const body = (async function* () {
      yield new TextEncoder().encode('depot,mass,note\n7,14.1,"a, b"\n8,15.2,\n7,14.2,=c\n')
    })()
    const brought = await importSheet(database, { caseId, fileName: 'log.csv', by, body }, now)
    if (!brought.ok) throw new Error(brought.problem.message)
  }
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'true-weight-backup-')), 'backup.zip')
  await backUp(database, file, now)
  return { database, file }
}

/** A file of its own with such bytes. */
export function written(bytes: Uint8Array): string {
  const place = path.join(mkdtempSync(path.join(tmpdir(), 'true-weight-backup-')), 'given.zip')
  writeFileSync(place, bytes)
  return place
}

/** The file of every case of a database. */
export async function caseFilesOf(database: Database) {
  kept.trueWeightDatabase = Promise.resolve(database)
  const files = []
  for (const { id } of await database.query.cases.findMany({ orderBy: (row) => row.id })) {
    const exported = await exportCase(id)
    if (!exported.ok) throw new Error(exported.problem.message)
    const pieces = []
    for await (const piece of exported.value.bytes) pieces.push(piece)
    files.push(Buffer.concat(pieces).toString('base64'))
  }
  return files
}

type Entries = Record<string, Uint8Array>
type Copies = { path: string; table: string; bytes: number; sha256: string }[]

/** A backup with other entries. */
export function changed(file: string, change: (entries: Entries) => void): Uint8Array {
  const entries = unzipSync(readFileSync(file))
  change(entries)
  return zipSync(entries)
}

/** Makes the manifest of a backup another. */
export const manifest = (edit: (text: string) => string) => (entries: Entries) => {
  entries['backup.json'] = new TextEncoder().encode(edit(new TextDecoder().decode(entries['backup.json'])))
}

/** A backup with other copies, and a manifest that states their hashes. */
export const withCopies = (file: string, change: (copies: Copies, entries: Entries) => void): Uint8Array =>
  changed(file, (entries) => {
    const read = JSON.parse(new TextDecoder().decode(entries['backup.json']))
    change(read.copies, entries)
    for (const copy of read.copies) {
      copy.bytes = entries[copy.path]!.length
      copy.sha256 = createHash('sha256').update(entries[copy.path]!).digest('hex')
    }
    entries['backup.json'] = new TextEncoder().encode(JSON.stringify(read))
  })
