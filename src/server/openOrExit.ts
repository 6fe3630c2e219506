import 'server-only'
import { FolderInUse } from '@/data/folderLock'
import { database } from './database'

/** Opens the database, and ends the process where it can't be had: a server without it would only fail later. */
export async function openOrExit(): Promise<void> {
  try {
    await database()
  } catch (error) {
    console.error(error instanceof FolderInUse ? error.message : error)
    process.exit(1)
  }
}
