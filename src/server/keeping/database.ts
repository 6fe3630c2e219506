import 'server-only'
import { type Database, openDatabase } from '@/data/client'
import { computeOutcomes } from '../check/laterOutcomes'
import { fillWithDemo } from '../demo/fillWithDemo'

/** Kept on the global object, because a server may load this file more than once. */
const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }

/**
 * The database of this process, opened once.
 *
 * DATABASE_URL names a PostgreSQL server; without it, TRUE_WEIGHT_DATA the data folder. With TRUE_WEIGHT_DEMO=1 a database
 * without cases is filled with the demo.
 */
export function database(): Promise<Database> {
  kept.trueWeightDatabase ??= open()
  return kept.trueWeightDatabase
}

async function open(): Promise<Database> {
  const { DATABASE_URL: server, TRUE_WEIGHT_DATA: folder } = process.env
  if (!server && !folder)
    throw new Error(
      'Neither DATABASE_URL nor TRUE_WEIGHT_DATA is set: the address of a PostgreSQL server, or the absolute path of the data folder.',
    )
  const db = await openDatabase(server ? { server } : { folder: folder! })
  if (process.env.TRUE_WEIGHT_DEMO === '1') await fillWithDemo(db)
  // What was left when the server was ended.
  computeOutcomes(db)
  return db
}
