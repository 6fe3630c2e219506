import { cpSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import path from 'node:path'
import { PGlite } from '@electric-sql/pglite'
import type { Database } from '@/data/connection'
import { migrated } from '@/data/pglite'
import { openServer } from '@/data/postgres'

/** A new database for one test: in a folder of the run's, or on the PostgreSQL server that TRUE_WEIGHT_TEST_SERVER names. */
export async function openTestDatabase(): Promise<Database> {
  const { TRUE_WEIGHT_TEST_SERVER: server, TRUE_WEIGHT_NEW_DATABASE: empty } = process.env
  if (!server) {
    const folder = mkdtempSync(path.join(tmpdir(), 'true-weight-test-'))
    cpSync(empty!, folder, { recursive: true })
    return migrated(new PGlite(folder))
  }
  const name = `test_${process.pid}_${process.hrtime.bigint()}`
  const first = await openServer(`${server}/postgres`)
  await first.execute(`create database ${name}`)
  await first.close()
  return openServer(`${server}/${name}`)
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
