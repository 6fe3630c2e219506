import 'server-only'
import type { Database } from './connection'
import { openFolder } from './pglite'
import { openServer } from './postgres'
import { chainOlderEntries } from './trailRepository'

export type { Connection, Database } from './connection'

/** Where the data are: in a folder of this machine's, or on a PostgreSQL server. */
export type Place = Readonly<{ folder: string }> | Readonly<{ server: string }>

/**
 * Opens the database and brings its tables up to date.
 *
 * @throws FolderInUse where another process holds the folder
 */
export async function openDatabase(place: Place): Promise<Database> {
  const database = await ('server' in place ? openServer(place.server) : openFolder(place.folder))
  await database.inTransaction(chainOlderEntries)
  return database
}
