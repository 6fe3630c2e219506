import 'server-only'
import { type Database, openDatabase } from '@/data/client'
import { fillWithDemo } from './demo/fillWithDemo'

/** Kept on the global object, because a server may load this file more than once. */
const kept = globalThis as typeof globalThis & { trueWeightDatabase?: Promise<Database> }

/**
 * The database of this process, opened once.
 *
 * The folder comes from TRUE_WEIGHT_DATA; with TRUE_WEIGHT_DEMO=1 a folder without cases is filled with the demo.
 */
export function database(): Promise<Database> {
  kept.trueWeightDatabase ??= open()
  return kept.trueWeightDatabase
}

async function open(): Promise<Database> {
  const folder = process.env.TRUE_WEIGHT_DATA
  if (!folder)
    throw new Error('TRUE_WEIGHT_DATA is not set; it has to be the absolute path of the data folder.')
  const db = await openDatabase(folder)
  if (process.env.TRUE_WEIGHT_DEMO === '1') await fillWithDemo(db)
  return db
}
