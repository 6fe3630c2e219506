import 'server-only'
import type { Database } from './connection'
import { openFolder, openInMemory } from './pglite'
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

/** A new database for one test: in memory, or on the PostgreSQL server that TRUE_WEIGHT_TEST_SERVER names. */
export async function openTestDatabase(): Promise<Database> {
  const server = process.env.TRUE_WEIGHT_TEST_SERVER
  if (!server) return openInMemory()
  const name = `test_${process.pid}_${process.hrtime.bigint()}`
  const first = await openServer(`${server}/postgres`)
  await first.execute(`create database ${name}`)
  await first.close()
  return openServer(`${server}/${name}`)
}
