import 'server-only'
import { chmodSync, type Dirent, existsSync, mkdirSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { drizzle } from 'drizzle-orm/pglite'
import { migrate } from 'drizzle-orm/pglite/migrator'
import { type Connection, type Database, MIGRATIONS } from './connection'
import { CopyDevice } from './copyDevice'
import { DiskSpace } from './diskSpace'
import { lockFolder } from './folderLock'
import { type KeptColumns, newKeptColumns } from './keptColumns'
import * as schema from './schema'
import { Scratch } from './scratch'
import { copyTree, openSynced, syncPath, syncTree } from './syncedFolder'

/**
 * Opens the database in a folder, which it locks against every other process, and brings its tables up to date. What a
 * transaction did is on the disk once it is over; the folder is its owner's alone.
 *
 * @param folder - an absolute path; made where it does not exist
 * @throws FolderInUse where another process holds the folder; DiskFull where there is no room to begin
 */
export async function openFolder(folder: string): Promise<Database> {
  // Whatever this process makes from here on is its owner's alone.
  process.umask(0o077)
  mkdirSync(folder, { recursive: true })
  const release = await lockFolder(folder)
  try {
    closeToOthers(folder)
    const space = new DiskSpace(folder)
    space.ensure()
    return await migrated(await openWhole(folder, space), {
      release,
      folder,
      ensureRoom: (bytes) => space.ensure(bytes),
    })
  } catch (error) {
    release()
    throw error
  }
}

/** What this application puts into its folder; whatever else is there is somebody else's. */
const OWN = /^(postgres|postgres-is-being-made|reserve|scratch-.*|in-use\.json.*|before-restore-.*\.zip.*)$/

/** A folder that was made before, by another umask or by hand, may be open to others. */
function closeToOthers(folder: string): void {
  const entries = readdirSync(folder, { withFileTypes: true })
  const own = entries.filter(({ name }) => OWN.test(name))
  if (own.length === entries.length) chmodSync(folder, 0o700)
  for (const entry of own) closeEntry(entry)
}

function closeEntry(entry: Dirent): void {
  const place = path.join(entry.parentPath, entry.name)
  if (entry.isFile()) chmodSync(place, 0o600)
  if (!entry.isDirectory()) return
  chmodSync(place, 0o700)
  for (const inside of readdirSync(place, { withFileTypes: true })) closeEntry(inside)
}

/** One whose making was cut short is begun anew, and nothing else ever is. */
async function openWhole(folder: string, space: DiskSpace): Promise<PGlite> {
  const place = path.join(folder, 'postgres')
  const making = path.join(folder, 'postgres-is-being-made')
  if (existsSync(making)) rmSync(place, { recursive: true, force: true })
  else if (existsSync(place)) return openSynced(place, space)
  writeFileSync(making, '')
  syncPath(folder)
  await makeDatabase(place, space)
  syncTree(place)
  rmSync(making)
  syncPath(folder)
  return openSynced(place, space)
}

/** A copy of the one that TRUE_WEIGHT_NEW_DATABASE names. Without it a database is made, which takes four seconds and, until the process ends, 400 MB more. */
async function makeDatabase(place: string, space: DiskSpace): Promise<void> {
  const made = process.env.TRUE_WEIGHT_NEW_DATABASE
  if (made) copyTree(made, place)
  else await (await openSynced(place, space)).close()
}

/** @throws DiskFull where so many bytes more might not find room */
type EnsureRoom = (bytes: number) => void

/** The database of a client, with its tables brought up to date. */
export async function migrated(
  client: PGlite,
  {
    release,
    folder,
    ensureRoom,
  }: Readonly<{ release: () => void; folder: string; ensureRoom: EnsureRoom }> = {
    release: () => {},
    folder: tmpdir(),
    ensureRoom: () => {},
  },
): Promise<Database> {
  await client.waitReady
  const opened = { client, device: new CopyDevice(client), keptColumns: newKeptColumns(), ensureRoom }
  const tables = connectionOf(opened)
  await migrate(tables, { migrationsFolder: MIGRATIONS })
  return Object.assign(tables, {
    inTransaction: async <T>(work: (connection: Connection) => Promise<T>) => {
      const filled = new Set<string>()
      try {
        return await client.transaction((transaction) => {
          ensureRoom(0)
          return work(connectionOf(opened, transaction, filled))
        })
      } catch (error) {
        // What was copied and taken back would lie on the disk for ever: nothing else tidies this database.
        if (filled.size > 0) await client.exec(`vacuum ${[...filled].join(', ')}`).catch(() => {})
        throw error
      }
    },
    // Nothing else is done meanwhile.
    inSnapshot: <T>(read: (connection: Connection) => Promise<T>) =>
      client.transaction((transaction) => read(connectionOf(opened, transaction))),
    scratch: () => new Scratch(folder, ensureRoom),
    close: async () => {
      await client.close()
      release()
    },
  })
}

type Opened = Readonly<{
  client: PGlite
  device: CopyDevice
  keptColumns: KeptColumns
  ensureRoom: EnsureRoom
}>

/**
 * Drizzle's own transactions can't copy.
 *
 * @param asked - the client itself, or a transaction of it
 * @param filled - is told of the tables that are copied into
 */
function connectionOf(
  { client, device, keptColumns, ensureRoom }: Opened,
  asked: Pick<PGlite, 'query'> = client,
  filled = new Set<string>(),
) {
  // PGlite copies its three hundred parsers for each query that brings some, which is a fifth of the query: Drizzle's, which
  // are always the same, become its own.
  const query: PGlite['query'] = (text, values, { parsers, ...options } = {}) => {
    Object.assign(client.parsers, parsers)
    return asked.query(text, values, options)
  }
  // Drizzle asks nothing else of a client; a transaction only where it brings the tables up to date.
  const tables = drizzle({ query, transaction: (work) => client.transaction(work) } as PGlite, { schema })
  return Object.assign(tables, {
    keptColumns,
    copyIn: async (target: string, parts: readonly Uint8Array[]) => {
      // Once in the table, and once in the log.
      ensureRoom(2 * parts.reduce((sum, { length }) => sum + length, 0))
      filled.add(target.split(' ')[0]!)
      await device.reading(parts, (path) => asked.query(`COPY ${target} FROM '${path}' (FORMAT binary)`))
    },
    copyOut: (source: string) =>
      device.written((path) => asked.query(`COPY ${source} TO '${path}' (FORMAT binary)`)),
  })
}
