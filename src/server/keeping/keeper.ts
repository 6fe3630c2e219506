import 'server-only'
import { timingSafeEqual } from 'node:crypto'
import path from 'node:path'
import { failure, type Outcome, success } from '@/claims/terms/outcome'
import { heldToken } from '@/data/folderLock'
import { backUp } from './backup'
import { restore, type Restored } from './restore'
import { database } from './database'

/** Whether a request comes from somebody who can read the lock file of the data folder. */
export function isKeeper(request: Request): boolean {
  const wanted = Buffer.from(`Bearer ${heldToken() ?? ''}`)
  const given = Buffer.from(request.headers.get('authorization') ?? '')
  return heldToken() !== undefined && given.length === wanted.length && timingSafeEqual(given, wanted)
}

/** Writes a backup of everything to a file that is not there yet. */
export async function backUpTo(file: string, now: Date): Promise<Outcome<Readonly<{ file: string }>>> {
  try {
    await backUp(await database(), file, now)
    return success({ file })
  } catch (error) {
    return failure(unusable(file, error, 'written to'))
  }
}

/** Restores everything from a backup. */
export async function restoreFrom(file: string, now: Date): Promise<Outcome<Restored>> {
  try {
    const folder = process.env.DATABASE_URL ? path.dirname(file) : process.env.TRUE_WEIGHT_DATA!
    return await restore(await database(), file, { folder, now })
  } catch (error) {
    return failure(unusable(file, error, 'read'))
  }
}

/** What is wrong with a file; any other error is thrown on. */
function unusable(file: string, error: unknown, how: string) {
  const reasons: Readonly<Record<string, string>> = {
    EEXIST: 'it is there already, and is not written over',
    ENOENT: 'there is no such file or folder',
    EACCES: 'this is not allowed',
    EISDIR: 'it is a folder',
    ENOSPC: 'the disk is full',
  }
  const reason = reasons[(error as NodeJS.ErrnoException).code ?? '']
  if (!reason) throw error
  return { code: 'file', path: file, message: `${file} cannot be ${how}: ${reason}. Nothing was changed.` }
}
