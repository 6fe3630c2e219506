import 'server-only'
import { mkdirSync } from 'node:fs'
import path from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import { drizzle, type PgliteDatabase } from 'drizzle-orm/pglite'
import { migrate } from 'drizzle-orm/pglite/migrator'
import { lockFolder } from './folderLock'
import * as schema from './schema'

export type Database = PgliteDatabase<typeof schema> & Readonly<{ $client: PGlite }>
/** A database or one transaction in it. */
export type Connection = Pick<Database, 'query' | 'select' | 'insert' | 'update'>

const MIGRATIONS = path.join(process.cwd(), 'src/data/migrations')

/**
 * Opens the database in a folder, which it locks against every other process, and brings its tables up to date.
 *
 * @param folder - an absolute path; made where it does not exist
 * @throws FolderInUse where another process holds the folder
 */
export async function openDatabase(folder: string): Promise<Database> {
  mkdirSync(folder, { recursive: true })
  await lockFolder(folder)
  return migrated(new PGlite(path.join(folder, 'postgres')))
}

/** A new database that is gone with the process: for tests. */
export function openMemoryDatabase(): Promise<Database> {
  return migrated(new PGlite())
}

async function migrated(client: PGlite): Promise<Database> {
  const database = drizzle(client, { schema })
  await migrate(database, { migrationsFolder: MIGRATIONS })
  return database
}
