import 'server-only'
import { mkdirSync } from 'node:fs'
import path from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { drizzle } from 'drizzle-orm/pglite'
import { migrate } from 'drizzle-orm/pglite/migrator'
import { type Connection, type Database, MIGRATIONS } from './connection'
import { lockFolder } from './folderLock'
import * as schema from './schema'

/**
 * Opens the database in a folder, which it locks against every other process, and brings its tables up to date.
 *
 * @param folder - an absolute path; made where it does not exist
 * @throws FolderInUse where another process holds the folder
 */
export async function openFolder(folder: string): Promise<Database> {
  mkdirSync(folder, { recursive: true })
  const release = await lockFolder(folder)
  return migrated(new PGlite(path.join(folder, 'postgres')), release)
}

/** A new database that is gone with the process. */
export const openInMemory = (): Promise<Database> => migrated(new PGlite())

async function migrated(client: PGlite, release = () => {}): Promise<Database> {
  const tables = connectionOf(client)
  await migrate(tables, { migrationsFolder: MIGRATIONS })
  return Object.assign(tables, {
    inTransaction: <T>(work: (connection: Connection) => Promise<T>) =>
      client.transaction((transaction) => work(connectionOf(transaction))),
    close: async () => {
      await client.close()
      release()
    },
  })
}

/** Drizzle's own transactions can't copy. */
function connectionOf(client: Pick<PGlite, 'query'>) {
  // Drizzle asks nothing of a client but its queries.
  const tables = drizzle(client as PGlite, { schema })
  return Object.assign(tables, {
    copyIn: async (target: string, parts: readonly Uint8Array[]) => {
      const blob = new Blob([...parts] as BlobPart[])
      await client.query(`COPY ${target} FROM '/dev/blob' (FORMAT binary)`, [], { blob })
    },
    copyOut: async (source: string) => {
      const { blob } = await client.query(`COPY ${source} TO '/dev/blob' (FORMAT binary)`)
      return new Uint8Array(await blob!.arrayBuffer())
    },
  })
}
