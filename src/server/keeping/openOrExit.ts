import 'server-only'
import { prepareReports } from '@/report/files'
import { database } from './database'
import { whyNotOpened } from './whyNotOpened'

/** The first pages come before the first report. */
const IDLE_AFTER_MS = 2000

/** Opens the database, and ends the process where it can't be had: a server without it would only fail later. */
export async function openOrExit(): Promise<void> {
  try {
    await database()
    setTimeout(() => void prepareReports(process.cwd()), IDLE_AFTER_MS).unref()
  } catch (error) {
    console.error(whyNotOpened(error))
    process.exit(1)
  }
}
