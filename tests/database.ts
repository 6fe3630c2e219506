import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import type { Database } from '@/data/connection'
import { migrated } from '@/data/pglite'
import { openServer } from '@/data/postgres'

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

/** Making a database takes four seconds: those after the run's first begin as that one did, from the run's own temporary folder. */
async function openInMemory(): Promise<Database> {
  const made = path.join(tmpdir(), 'new-database.tar')
  if (existsSync(made)) return migrated(new PGlite({ loadDataDir: new Blob([readFileSync(made)]) }))
  const client = new PGlite()
  const database = await migrated(client)
  const files = await client.dumpDataDir('none')
  // Several processes may make it at once.
  const own = `${made}.${process.pid}`
  writeFileSync(own, Buffer.from(await files.arrayBuffer()))
  renameSync(own, made)
  return database
}

const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }

/** Has the server's own functions work on a new database, through all tests of a file. */
export function startTestDatabase(): () => Database {
  let database: Database | undefined
  beforeAll(async () => {
    database = await openTestDatabase()
    kept.trueWeightDatabase = Promise.resolve(database)
  })
  afterAll(() => database?.close())
  return () => database!
}
