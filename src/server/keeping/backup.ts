import 'server-only'
import { createHash } from 'node:crypto'
import { createWriteStream } from 'node:fs'
import { type FileHandle, link, open, rm } from 'node:fs/promises'
import path from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { type ZipEntry, zipped } from '@/casefile/zip'
import type { Database } from '@/data/client'
import { syncPath } from '@/data/syncedFolder'
import { copyTables, type TableCopy, type TableName } from '@/data/tableCopies'
import { BACKUP_VERSION, type WrittenManifest } from './backupManifest'

export const MANIFEST = 'backup.json'

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
